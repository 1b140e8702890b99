import { clamp } from '@urbild/core';
import { grassOf } from '../land/fields';
import { islet } from '../land/land';
import type { Staging } from '../places';
import type { Scene } from '../scene/scene';
import { THINGS } from '../things';
import { ripples } from '../water/water';
import type { Actor } from './actors';
import { paintActor, type Spot } from './paintActor';

/** Part of the width where nothing important stands yet, farthest from what is taken. */
function freePlace(W: number, taken: readonly number[], candidates: readonly number[]): number {
  const distance = (t: number) => Math.min(2, ...taken.map((x) => Math.abs(x / W - t)));
  return W * candidates.reduce((best, t) => (distance(t) > distance(best) + 1e-9 ? t : best));
}

const sideOf = (a: Actor, W: number): number | undefined =>
  a.brief.side === 'left'
    ? W * 0.2
    : a.brief.side === 'right'
      ? W * 0.8
      : a.brief.side === 'middle'
        ? W * 0.5
        : undefined;

/** Perspective: the height of a head on the ground at a height y (px). */
const headAt = (at: Staging, y: number): number =>
  at.head * Math.max(0.12, (y - at.horizon) / Math.max(20, at.y - at.horizon));

/**
 * Houses, trees and other tall things between the people and the horizon, small things far off; where there is water
 * (`afloat`) they stand on an islet.
 */
export function paintBackdrop(
  scene: Scene,
  actors: readonly Actor[],
  at: Staging,
  taken: number[],
  afloat: boolean,
): void {
  const W = scene.width;
  const list = actors.filter((a) => a.zone === 'back' || a.zone === 'far').sort((a, b) => reach(a) - reach(b));
  for (const a of list) {
    const t = reach(a);
    const y = at.horizon + (at.y - at.horizon) * t;
    const head = headAt(at, y);
    const under =
      a.brief.relation?.how === 'under' && taken.length
        ? taken[0] + (taken[0] > W / 2 ? 1 : -1) * head * 1.4
        : undefined;
    const x =
      sideOf(a, W) ??
      under ??
      freePlace(W, taken, a.zone === 'far' ? [0.62, 0.36, 0.74, 0.25] : [0.76, 0.2, 0.88, 0.1, 0.62, 0.36]);
    const tallest = (y - scene.height * 0.04) / (a.height * head);
    const fits = Math.min(1, tallest, (W * 0.5) / (a.width * head));
    const half = (a.width * head * fits) / 2;
    const inside = clamp(x, Math.min(W / 2, half * 0.85), Math.max(W / 2, W - half * 0.85));
    const wide = a.width * head * fits;
    if (afloat && !floats(a))
      islet(scene, {
        x0: inside - wide * 0.75,
        x1: inside + wide * 0.75,
        y: y - wide * 0.02,
        h: Math.max(6, wide * 0.07),
        depth: 0.06 + 0.5 * (1 - t),
        colour: grassOf(scene),
      });
    paintActor(scene, a, { x: inside, y, head: head * fits, depth: 0.06 + 0.5 * (1 - t), flip: x > W / 2 });
    taken.push(inside);
  }
}

/** True for what stands in water or as far off as the horizon. */
const floats = (a: Actor): boolean =>
  a.brief.kind === 'thing' &&
  (THINGS[a.brief.thing]?.stands === 'water' || ['peaks', 'bridge'].includes(a.brief.thing));

/** How near a thing of the backdrop stands: 0 at the horizon, 1 with the people. */
function reach(a: Actor): number {
  if (a.brief.relation?.how === 'under') return 0.86;
  if (a.brief.relation?.how === 'before') return 0.72;
  if (a.brief.distance === 'far') return a.brief.kind === 'thing' && a.brief.thing === 'peaks' ? 0.02 : 0.2;
  if (a.zone === 'far') return 0.24;
  if (a.height > 12) return a.brief.kind === 'thing' && a.brief.thing === 'peaks' ? 0.02 : 0.34;
  return 0.62;
}

/** Birds, balloons and other things of the air, clear of heads; returns where across the picture they are, px. */
export function paintAir(scene: Scene, actors: readonly Actor[], at: Staging, heads: readonly Spot[]): number[] {
  const { width: W, random: r } = scene;
  const flying = actors.filter((a) => a.zone === 'air');
  const indoor = at.wall !== undefined;
  const taken = heads.map((s) => s.x);
  const places: number[] = [];
  flying.forEach((a, i) => {
    const large = a.height > 2;
    const head = at.head * (large ? Math.min(0.62, (at.horizon * 0.56) / (a.height * at.head)) : 0.5 + r.next() * 0.2);
    const x =
      sideOf(a, W) ??
      (large ? freePlace(W, taken, [0.72, 0.3, 0.84, 0.16]) : W * (0.2 + ((i * 0.37 + r.next() * 0.2) % 0.62)));
    const top = indoor ? 0.2 : 0.16;
    const y =
      a.brief.kind === 'thing' && a.brief.thing === 'rainbow'
        ? at.horizon
        : at.horizon * (large ? 0.08 : top + 0.5 * r.next()) + a.height * head * (large ? 1 : 0);
    taken.push(x);
    places.push(x);
    paintActor(scene, a, {
      x: a.brief.kind === 'thing' && a.brief.thing === 'rainbow' ? W * 0.5 : x,
      y,
      head,
      depth: large ? 0.3 : 0.25,
      flip: i % 2 === 1,
    });
  });
  return places;
}

/** Boats and swimmers, with their mirror images. */
export function paintAfloat(scene: Scene, actors: readonly Actor[], at: Staging): void {
  if (!at.boat) return;
  const { width: W, unit: u } = scene;
  const list = actors.filter((a) => a.zone === 'water');
  list.forEach((a, i) => {
    const spread = list.length > 1 ? (i - (list.length - 1) / 2) * 0.2 : 0;
    const y = a.brief.distance === 'far' ? at.horizon + 14 * u : at.boat!.y + (i % 2) * 12 * u;
    const scale = Math.min(1, Math.max(0.2, (y - at.horizon) / Math.max(30, at.boat!.y - at.horizon)));
    const head = Math.min(
      at.head * 0.86 * scale * (a.brief.kind === 'creature' && a.height < 3 ? 1.15 : 1),
      (W * 0.5) / a.width,
      (at.boat!.y * 0.72) / a.height,
    );
    const x = sideOf(a, W) ?? at.boat!.x + spread * W + (list.length === 1 ? 0.06 * W : 0);
    scene.group({ y, sway: 2, tint: 0.36, alpha: 0.7 }, () =>
      paintActor(scene, a, { x, y, head, depth: 0.1 + 0.3 * (1 - scale), flip: x > W * 0.55 }),
    );
    if (a.brief.kind === 'creature')
      ripples(scene, at.horizon, y - 2 * u, y + 8 * u, 12, { centre: x / W, spread: 0.05, alpha: 0.6, light: 0.7 });
  });
}

/** Shelves and windows on the wall of a room. */
export function paintWall(scene: Scene, actors: readonly Actor[], at: Staging, taken: number[]): void {
  for (const a of actors.filter((b) => b.zone === 'wall')) {
    if (a.brief.kind === 'thing' && a.brief.thing === 'window') continue;
    const x = sideOf(a, scene.width) ?? freePlace(scene.width, taken, [0.34, 0.7, 0.2]);
    taken.push(x);
    paintActor(scene, a, { x, y: at.wall!, head: at.head * 0.86, depth: 0.1, flip: false }, { shadow: false });
  }
}
