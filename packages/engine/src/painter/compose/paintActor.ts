import { adjustLch, mixLch, type Action, type View } from '@urbild/core';
import { CREATURES, paintCreature } from '../creatures';
import { baseOf, paintPerson } from '../people/paintPerson';
import type { PoseHint } from '../people/personPlace';
import { ellipse } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
import { paintThing } from '../things';
import { topOf, type Actor } from './actors';

export const YAW: Readonly<Record<View, number>> = { front: 0, 'three-quarter': 34, profile: 84, back: 168 };

/** Where an actor's feet (or foot of a thing) are. */
export interface Spot {
  readonly x: number;
  readonly y: number;
  /** Height of a grown person's head there, px. */
  readonly head: number;
  readonly depth: number;
  readonly flip: boolean;
  readonly pose?: PoseHint;
  /** It walks, and is so far in its stride, 0..1. */
  readonly stride?: number;
  /** The ground ends there: legs hang down. */
  readonly edge?: boolean;
}

/** A soft shadow on the ground. */
export function groundShadow(scene: Scene, { x, y, head, depth }: Spot, width: number): void {
  const e = scene.light;
  const w = (width * head) / 2;
  const colour = mixLch(adjustLch([0.3, 0.05, 270], 0), e.shadow, 0.5);
  scene
    .pen({ region: REGION.none, depth, raw: true })
    .shape(
      ellipse(x + e.direction[0] * head * 0.22, y + head * 0.04, w, Math.max(1, Math.min(head * 0.16, w * 0.16))),
      colour,
      { alpha: 0.32, plain: true },
    );
}

/** Paints an actor at its spot; `sits` when something carries it. */
export function paintActor(
  scene: Scene,
  a: Actor,
  spot: Spot,
  options: { readonly shadow?: boolean; readonly action?: Action } = {},
): void {
  if (scene.unpainted.has(a.entity)) return;
  if (options.shadow !== false && a.zone !== 'air' && a.zone !== 'water')
    groundShadow(scene, spot, a.width * (a.person ? 0.95 : 0.9));
  const { x, y, head, depth, flip } = spot;
  if (a.person && a.brief.kind === 'person') {
    const p = a.brief;
    const walks = spot.stride !== undefined && (!p.action || p.action === 'stand');
    const action = options.action ?? (walks ? 'walk' : (p.action ?? 'stand'));
    const size = head * a.person.stature;
    const yaw = YAW[p.view ?? 'three-quarter'];
    const seat = a.on || spot.edge ? 'raised' : 'ground';
    paintPerson(scene, a.person, {
      x,
      y: y - baseOf({ action, seat, pose: spot.pose, flip }) * size,
      seat,
      head: size,
      depth,
      yaw,
      flip,
      expression: p.expression ?? 'smile',
      action,
      holds: p.holds,
      entity: a.entity,
      pose: spot.pose,
      stride: spot.stride,
    });
    return;
  }
  const own = (kind: 'creature' | 'thing', what: string, draw: () => void) =>
    scene.item({ entity: a.entity, kind, what }, draw);
  if (a.brief.kind === 'creature') {
    const c = a.brief;
    const scale = a.height / (CREATURES[c.species]?.height ?? 1);
    const draw = () =>
      paintCreature(scene, c.species, {
        x,
        y,
        head: head * scale,
        depth,
        flip,
        colour: c.colour?.lch,
        action: c.action ?? (a.on ? 'sit' : undefined),
        scarf: scarfOf(a),
      });
    own('creature', c.species, draw);
    noteCreature(scene, a, spot);
    return;
  }
  if (a.brief.kind === 'thing') {
    const { thing, colour } = a.brief;
    const place = { x, y, size: head * a.height, depth, colour: colour?.lch, options: { flip } };
    own('thing', thing, () => paintThing(scene, thing, place));
  }
}

function scarfOf(a: Actor) {
  if (a.brief.kind !== 'creature') return undefined;
  const scarf = a.brief.garments.find((g) => g.kind === 'scarf' || g.kind === 'shawl');
  if (scarf) return scarf.colour?.lch ?? ([0.55, 0.185, 27] as const);
  return a.brief.cast === 'Brom' ? ([0.55, 0.185, 27] as const) : undefined;
}

function noteCreature(scene: Scene, a: Actor, { x, y, head, depth, flip }: Spot): void {
  const w = (a.width * head) / 2;
  scene.figures.push({
    entity: a.entity,
    kind: 'creature',
    box: [x - w, y - a.height * head, x + w, y],
    joints: {},
    landmarks: {},
    yaw: flip ? -84 : 84,
    head,
    depth,
  });
}

/** The spot on top of what carries an actor. */
export const spotOn = (carrier: Spot, under: Actor): Spot => ({
  ...carrier,
  y: carrier.y - topOf(under) * carrier.head,
});
