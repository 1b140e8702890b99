import type { Action, PersonBrief } from '@urbild/core';
import { CREATURES, paintCreature } from '../creatures';
import { environmentFor } from '../light/environment';
import type { FigureRecord } from '../scene/figureRecord';
import { Scene } from '../scene/scene';
import { heldItems, isSeen, seenItems, type Case, type Testimony, type Witness } from './scene';

type Point = readonly [number, number];

/** Joints of a body in heads, y down; undefined where one is missing. */
function bodyOf({ joints, head }: FigureRecord) {
  const at = (name: string): Point | undefined => {
    const q = joints[name];
    return q && [q[0] / head, q[1] / head];
  };
  return { at, both: (name: string) => [at(`far ${name}`), at(`near ${name}`)] as const };
}

const WAIST_UP = 'The picture ends above the legs: ask for a full figure.';
const OTHERWISE = 'They are drawn doing something else here.';

/** How legs are bent: from the hip down to the knee and from the knee down to the foot, in heads. */
function legsOf(f: FigureRecord): { thigh: number; shin: number; stride: number; lift: number } | undefined {
  const { both } = bodyOf(f);
  const [hips, knees, feet] = [both('hip'), both('knee'), both('foot')];
  if ([...hips, ...knees, ...feet].some((q) => !q)) return undefined;
  const down = (a: readonly (Point | undefined)[], b: readonly (Point | undefined)[]) =>
    Math.min(...a.map((q, i) => b[i]![1] - q![1]));
  return {
    thigh: down(hips, knees),
    shin: down(knees, feet),
    stride: Math.abs(feet[0]![0] - feet[1]![0]),
    lift: Math.abs(feet[0]![1] - feet[1]![1]),
  };
}

const byLegs =
  (test: (legs: NonNullable<ReturnType<typeof legsOf>>) => boolean) =>
  (f: FigureRecord): Testimony => {
    const legs = legsOf(f);
    return legs ? test(legs) || OTHERWISE : WAIST_UP;
  };

const byHands =
  (test: (hand: Point, shoulder: Point) => boolean) =>
  (f: FigureRecord): Testimony => {
    const { both } = bodyOf(f);
    const shoulders = both('shoulder');
    return both('hand').some((hand, i) => hand && shoulders[i] && test(hand, shoulders[i])) || OTHERWISE;
  };

const drawnAs =
  (action: Action) =>
  (f: FigureRecord): Testimony =>
    f.drawn?.action === action || OTHERWISE;

/** What a body must do for a word: a predicate over its joints. */
const BODY: Partial<Record<Action, (f: FigureRecord) => Testimony>> = {
  stand: (f) => (legsOf(f) ? byLegs(({ thigh, stride }) => thigh > 0.6 && stride < 1.1)(f) : true),
  walk: byLegs(({ thigh, stride }) => thigh > 0.45 && stride > 0.5),
  run: byLegs(({ stride, lift }) => stride > 0.9 && lift > 0.2),
  sit: byLegs(({ thigh }) => thigh < 0.6),
  kneel: byLegs(({ thigh, shin }) => thigh < 0.95 && shin < 0.5),
  wave: byHands((hand, shoulder) => hand[1] < shoulder[1] - 0.5),
  point: byHands((hand, shoulder) => Math.abs(hand[0] - shoulder[0]) > 0.8 && hand[1] < shoulder[1] + 0.5),
  row: drawnAs('row'),
  pole: drawnAs('pole'),
  read: drawnAs('read'),
  hold: () => true,
  carry: () => true,
  sleep: (f) => f.drawn?.asleep || OTHERWISE,
  lean: drawnAs('lean'),
  // the head rolls by a few degrees, which nobody sees
  'look up': () => 'The head is turned up too little to be seen.',
};

/** Everybody does what the words say, and holds or has what it needs. */
export const isDone: Witness = (one) => {
  const { entity, claim } = one;
  const action = claim.value as Action;
  if (entity?.kind === 'creature') return creatureDoes(one, entity.species, action);
  if (entity?.kind !== 'person' || !one.figures.length) return 'Nobody who could do it is in the picture.';
  if (action === 'fly' && heldItems(one, 'kite').length) return true;
  const body = BODY[action];
  if (!body) return `People are not drawn doing that.`;
  for (const f of one.figures) {
    const said = body(f);
    if (said !== true) return said;
  }
  return needs(one, entity, action);
};

/** What a verb needs besides a body. */
function needs(one: Case, e: PersonBrief, action: Action): Testimony {
  const held = e.holds.some((h) => heldItems(one, h.what).length > 0);
  switch (action) {
    case 'hold':
    case 'carry':
      return held || 'Nothing to hold is named, or it cannot be seen.';
    case 'row':
    case 'pole':
      return isAboard(one) || 'Nobody is in a boat here: this place has no water for one.';
    case 'lean':
      return leansOn(one) || 'There is nothing beside them to lean on: name it ("leaning on a fence").';
    default:
      return true;
  }
}

/** Everybody sits or stands in a boat: hips above it, between its ends. */
function isAboard({ figures, seen }: Case): boolean {
  const boats = seen.items.filter((i) => i.what === 'boat' && i.box);
  return figures.every(({ joints: { hips }, head }) =>
    boats.some(({ box }) => {
      const [left, top, right, bottom] = box!;
      return hips && hips[0] > left && hips[0] < right && hips[1] > top - 3 * head && hips[1] < bottom + 0.2 * head;
    }),
  );
}

/** A hand lies on something that stands there. */
function leansOn({ figures, seen, claim, ...rest }: Case): boolean {
  const one = { figures, seen, claim, ...rest };
  const things = seen.items.filter((i) => i.kind === 'thing' && !i.held && isSeen(one, i));
  return figures.some((f) => {
    const { both } = bodyOf(f);
    return both('hand').some(
      (hand) =>
        hand &&
        things.some(({ box }) => {
          const [left, top, right, bottom] = box!.map((v) => v / f.head);
          const [x, y] = hand;
          return x > left - 0.6 && x < right + 0.6 && y > top - 0.6 && y < bottom + 0.2;
        }),
    );
  });
}

const known = new Map<string, boolean>();

/** Whether a creature is drawn otherwise when it does something than when nothing is said: by its display list. */
function isDrawnDoing(species: string, action: Action): boolean {
  const key = `${species} ${action}`;
  let does = known.get(key);
  if (does === undefined) {
    const list = (doing?: Action) => {
      const scene = new Scene(64, 64, environmentFor('noon', 'clear', 'summer'), 1);
      paintCreature(scene, species, { x: 32, y: 60, head: 16, depth: 0, action: doing });
      return JSON.stringify(scene.root);
    };
    known.set(key, (does = list(action) !== list()));
  }
  return does;
}

/** A creature does what the words say. */
function creatureDoes(one: Case, species: string, action: Action): Testimony {
  const items = seenItems(one);
  const drawing = CREATURES[species];
  if (!items.length || !drawing) return 'It is not in the picture.';
  const { horizon } = one.seen;
  const inAir = horizon !== undefined && items.every(({ box }) => box![3] < horizon + 0.04 * one.seen.height);
  if (action === 'fly')
    return (inAir && species !== 'heron') || 'It is drawn on the ground: only what lives in the air flies.';
  if (action === 'swim') return drawing.lives === 'water' || 'It is drawn on the ground, not in the water.';
  if (drawing.lives === 'air') return 'It is drawn in the air.';
  // a creature of which nothing is said stands
  if (action === 'stand')
    return isDrawnDoing(species, 'stand') || !isDrawnDoing(species, 'sit') || 'It is drawn in another posture.';
  return isDrawnDoing(species, action) || 'This creature is drawn in one posture only.';
}
