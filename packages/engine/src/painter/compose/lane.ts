import { clamp, type SceneBrief } from '@urbild/core';
import type { LayoutHints, Staging } from '../places';
import type { Scene } from '../scene/scene';
import { largerBy, type Actor } from './actors';
import type { Spot } from './paintActor';

/** Actors that belong together: one on the ground, and what it carries. */
export interface Cluster {
  readonly base: Actor;
  readonly carried: readonly Actor[];
  readonly width: number;
}

/** Groups actors by what carries them. */
export function clustersOf(actors: readonly Actor[]): Cluster[] {
  return actors
    .filter((a) => !a.on)
    .map((base) => {
      const carried = actors.filter((a) => a.on === base);
      return { base, carried, width: Math.max(base.width, ...carried.map((c) => c.width)) };
    });
}

const SIDE_ORDER = { left: 0, middle: 1, right: 2 } as const;

/**
 * Puts clusters side by side on the ground of a place, the first ones nearest to where its subject belongs; people turn to
 * each other. Where there is no room for all, things stand in a row of their own behind; what still does not fit is drawn
 * smaller.
 */
export function layOut(
  scene: Scene,
  brief: SceneBrief,
  clusters: readonly Cluster[],
  at: Staging,
  hints: LayoutHints,
): Map<Cluster, Spot> {
  const room = (at.right ?? scene.width * 0.93) - (at.left ?? scene.width * 0.07);
  const front = clusters.filter((c) => c.base.brief.kind !== 'thing' || c.carried.length);
  const behind = clusters.filter((c) => !front.includes(c));
  if (!front.length || behind.length < 3 || widthOf(clusters) * at.head < room * 0.85)
    return row(scene, brief, clusters, at, hints);
  const foot = at.wall ?? at.horizon;
  const y = foot + (at.y - foot) * 0.5;
  const scale = at.wall ? 0.84 : (y - at.horizon) / (at.y - at.horizon);
  const back = row(
    scene,
    brief,
    behind,
    { ...at, y, head: at.head * scale, depth: at.depth + 0.05, x: scene.width * 0.5 },
    {},
  );
  return new Map([...back, ...row(scene, brief, front, at, hints)]);
}

const gapOf = (count: number): number => (count > 4 ? 0.25 : 0.5);
const widthOf = (clusters: readonly Cluster[]): number =>
  clusters.reduce((sum, c) => sum + c.width, 0) + gapOf(clusters.length) * (clusters.length - 1);

function row(
  scene: Scene,
  brief: SceneBrief,
  clusters: readonly Cluster[],
  at: Staging,
  hints: LayoutHints,
): Map<Cluster, Spot> {
  const W = scene.width;
  const spots = new Map<Cluster, Spot>();
  if (!clusters.length) return spots;
  const left = at.left ?? W * 0.07;
  const right = at.right ?? W * 0.93;
  const order = arranged(clusters);
  const framing = brief.framing === 'wide view' ? 0.62 : 1;
  const crowd = order.length > 1 ? 0.94 : 1;
  let head = at.head * framing * crowd;
  const gap = gapOf(order.length);
  const need = widthOf(order);
  head = Math.min(head, (right - left) / need);
  if (!order.some((c) => c.base.person || c.carried.some((a) => a.person))) {
    // without people, what there is may be larger
    const tallest = Math.max(
      ...order.map((c) => c.base.height + c.carried.reduce((most, a) => Math.max(most, a.height), 0)),
    );
    head = Math.min(Math.max(head, (scene.height * 0.24) / tallest), head * 2.1, (right - left) / need);
  }
  const total = need * head;
  const alone = order.length === 1;
  const usual = at.x + (alone ? scene.random.bell() * 0.025 * W : 0) + sideShift(order, W);
  const wanted = alone && order[0].base.person ? clearOfSun(scene, usual, at.y, head) : usual;
  const { subject, stride } = hints;
  const goes = stride && clusters.find((k) => k.base.person);
  const middle = subject ? wanted + (subject.x * W - wanted) * subject.share : wanted;
  let x = clamp(middle - total / 2, left, Math.max(left, right - total));
  const centre = x + total / 2;
  for (const c of order) {
    const own = x + (c.width * head) / 2;
    const counts = c.base.person ? largerBy(c.base.brief.prominence) : 1;
    const far = (c.base.brief.distance === 'near' ? 1.22 : 1) * counts;
    const stagger = c.base.person || alone ? 0 : ((order.indexOf(c) % 2) * 2 - 1) * head * 0.12;
    // nearer is lower in the picture, farther higher
    const lower = counts === 1 ? (far > 1 ? head * 0.5 : 0) : head * 2.3 * (far - 1);
    spots.set(c, {
      x: own + (c === goes ? stride!.dx * W : 0),
      y: Math.min(scene.height - 2, at.y + stagger + lower),
      head: head * far,
      depth: Math.max(0.01, at.depth - stagger * 0.0005),
      edge: at.edge,
      pose: c === clusters.find((k) => k.base.person) ? hints.pose : undefined,
      stride: c === goes ? stride!.phase : undefined,
      flip: c === goes ? stride!.left : alone ? own > W * 0.56 : own > centre + head * 0.2,
    });
    x += (c.width + gap) * head;
  }
  return spots;
}

/** Left ones first, right ones last; companions stay next to whom they are beside. */
function arranged(clusters: readonly Cluster[]): Cluster[] {
  const sided = clusters.map((c, i) => ({ c, i, side: SIDE_ORDER[c.base.brief.side ?? 'middle'] }));
  sided.sort((a, b) => a.side - b.side || a.i - b.i);
  return sided.map((s) => s.c);
}

/** The light of a low sun must not eat a face: who would stand before it steps aside. */
function clearOfSun({ sun, width }: Scene, x: number, y: number, head: number): number {
  if (!sun) return x;
  const near = Math.abs(sun.x - x) < 1.7 * head && sun.y > y - 5.6 * head && sun.y < y - 3 * head;
  return near ? x + (sun.x > width / 2 ? -1 : 1) * (2 * head - Math.abs(sun.x - x) * 0.5) : x;
}

function sideShift(order: readonly Cluster[], W: number): number {
  const sides = new Set(order.map((c) => c.base.brief.side));
  if (sides.size !== 1) return 0;
  return sides.has('left') ? -W * 0.22 : sides.has('right') ? W * 0.22 : 0;
}
