import { clamp, type SceneBrief } from '@urbild/core';
import type { LayoutHints, Staging } from '../places';
import type { Scene } from '../stage/scene';
import type { Actor } from './actors';
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
 * each other. What does not fit is drawn smaller.
 */
export function layOut(
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
  const gap = order.length > 4 ? 0.25 : 0.5;
  const need = order.reduce((sum, c) => sum + c.width, 0) + gap * (order.length - 1);
  head = Math.min(head, (right - left) / need);
  const total = need * head;
  const alone = order.length === 1;
  const wanted = at.x + (alone ? scene.random.bell() * 0.025 * W : 0) + sideShift(order, W);
  const subject = hints.subject;
  const middle = subject ? wanted + (subject.x * W - wanted) * subject.share : wanted;
  let x = clamp(middle - total / 2, left, Math.max(left, right - total));
  const centre = x + total / 2;
  for (const c of order) {
    const own = x + (c.width * head) / 2;
    const far = c.base.brief.distance === 'near' ? 1.22 : 1;
    const stagger = c.base.person || alone ? 0 : ((order.indexOf(c) % 2) * 2 - 1) * head * 0.12;
    const lower = far > 1 ? head * 0.5 : 0;
    spots.set(c, {
      x: own,
      y: Math.min(scene.height - 2, at.y + stagger + lower),
      head: head * far,
      depth: Math.max(0.01, at.depth - stagger * 0.0005),
      pose: c === clusters.find((k) => k.base.person) ? hints.pose : undefined,
      flip: alone ? own > W * 0.56 : own > centre + head * 0.2,
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

function sideShift(order: readonly Cluster[], W: number): number {
  const sides = new Set(order.map((c) => c.base.brief.side));
  if (sides.size !== 1) return 0;
  return sides.has('left') ? -W * 0.22 : sides.has('right') ? W * 0.22 : 0;
}
