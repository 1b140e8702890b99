import type { Action, Held } from '@urbild/core';
import { CREATURES, paintCreature } from '../../creatures';
import type { Point } from '../../geometry/point';
import { paintThing, THINGS } from '../../things';
import type { FigureFrame } from '../figure';
import { paintLantern, paintLetter } from './heldThings';
import type { ArmPose } from './limbs';

/** Where the hands go because of what they hold. */
export interface Reach {
  readonly far?: ArmPose;
  readonly near?: ArmPose;
  /** The hand that each held thing hangs from, stands on or is pressed to, figure units. */
  readonly at: readonly Point[];
}

type Grip = 'up' | 'down' | 'palm' | 'both' | 'open';

const UP = new Set(['umbrella', 'kite', 'flag', 'toy balloon', 'rod', 'candle', 'flower']);
const DOWN = new Set(['lantern', 'basket', 'bucket', 'suitcase', 'net', 'anchor', 'fish']);
const BOTH = new Set([
  'teddy',
  'parcel',
  'crate',
  'pumpkin',
  'vase',
  'bread',
  'sack',
  'fiddle',
  'flower pot',
  'clock',
  'cat',
  'rabbit',
  'hen',
  'goose',
  'duck',
]);

function gripOf({ what, size }: Held, action: Action): Grip {
  if (what === 'letter' || what === 'book') return action === 'wave' || action === 'walk' ? 'palm' : 'open';
  if (UP.has(what)) return 'up';
  if (DOWN.has(what) && size !== 'big') return 'down';
  if (BOTH.has(what) || size === 'big') return 'both';
  return 'palm';
}

const FAR: Readonly<Record<Grip, ArmPose>> = {
  up: { hand: [0.86, 0.62], bend: 1, grip: true },
  down: { hand: [0.82, 1.6], bend: -1, grip: true },
  palm: { hand: [1.12, 0.86], bend: 1, grip: true },
  both: { hand: [0.66, 1.2], bend: 1, grip: true, side: 1 },
  open: { hand: [0.66, 1.02], bend: 1, grip: true, side: 1 },
};
const NEAR: Partial<Record<Grip, ArmPose>> = {
  both: { hand: [0.04, 1.3], bend: 1, side: -1, grip: true },
  open: { hand: [0.02, 1.12], bend: 1, side: -1, grip: true },
};

/** Where the hands of somebody go who holds these things while doing that. */
export function reachFor(holds: readonly Held[], action: Action): Reach {
  const list = holds.length || action !== 'read' ? holds : [{ what: 'letter', creature: false }];
  if (!list.length) return { at: [] };
  const grip = gripOf(list[0], action);
  const lantern = list[0].what === 'lantern';
  const far: ArmPose = lantern ? { hand: [1.45, 0.42], bend: 1, grip: true } : FAR[grip];
  const at: Point[] = [grip === 'both' || grip === 'open' ? [0.36, grip === 'open' ? 0.9 : 1.02] : far.hand];
  let near = NEAR[grip];
  if (list.length > 1) {
    near ??= { hand: [-0.7, 1.6], bend: 1, side: -1, grip: true };
    at.push(near.hand);
  }
  return { far: action === 'row' || action === 'pole' ? undefined : far, near, at };
}

/** Something in the hands: which of the held things it is, and where the hands are. */
export interface Holding {
  readonly item: Held;
  readonly index: number;
  readonly reach: Reach;
}

/** Paints a held thing where the hand is. */
export function paintHeld(f: FigureFrame, entity: number, { item, index, reach }: Holding): void {
  const kind = item.creature ? 'creature' : 'thing';
  f.scene.item({ entity, kind, what: item.what, held: true }, () => paintInHand(f, item, index, reach));
}

function paintInHand(f: FigureFrame, item: Held, index: number, reach: Reach): void {
  const hand = reach.at[index];
  if (!hand) return;
  if (item.what === 'lantern') return paintLantern(f, [hand[0] + 0.05, hand[1] + 0.08], 1.05);
  if (item.what === 'letter') return paintLetter(f, index === 0 && reach.near ? [0.38, 0.78] : hand, -0.06, 1.12);
  const [x, y] = f.point(hand);
  const bigger = item.creature ? 2 : 1.35;
  const big = item.size === 'big' ? bigger : item.size === 'small' ? 0.7 : 1;
  const options = { flip: f.flip, keep: f.scene.light.figureKeep };
  const least = item.creature ? Math.max(0.75, 0.62 / (CREATURES[item.what]?.height ?? 1)) : 1;
  if (item.creature)
    return paintCreature(f.scene, item.what, {
      x,
      y: y + f.head * 0.25,
      head: f.head * least * big,
      depth: f.depth,
      flip: f.flip,
      colour: item.colour?.lch,
      action: 'sit',
    });
  const thing = THINGS[item.what];
  if (!thing) return;
  const grip = gripOf(item, 'stand');
  const size = f.head * thing.height * (thing.inHand ?? 1) * big;
  const foot =
    grip === 'down'
      ? y + size * 0.95
      : grip === 'up'
        ? y + f.head * (thing.gripAt ?? 0.2)
        : y + (grip === 'both' ? size * 0.55 : f.head * 0.02);
  paintThing(f.scene, item.what, { x, y: foot, size, depth: f.depth, colour: item.colour?.lch, options });
}
