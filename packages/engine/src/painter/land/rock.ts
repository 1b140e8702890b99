import { mixLch, type Lch } from '@urbild/core';
import { wobble } from '../geometry/curve';
import type { Point } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';

/** A rock standing on (x, y) px, `w` x `h` px, with facets; `flat` 0.7 is a dome, 0.25 a long shelf. */
export function rock(
  scene: Scene,
  {
    x,
    y,
    w,
    h,
    colour,
    depth,
    knobs = 8,
    flat = 0.7,
  }: {
    readonly x: number;
    readonly y: number;
    readonly w: number;
    readonly h: number;
    readonly colour: Lch;
    readonly depth: number;
    readonly knobs?: number;
    readonly flat?: number;
  },
): void {
  if (!scene.allows('thing: rock')) return;
  const r = scene.random;
  const path: Point[] = [[x - w / 2, y + 3]];
  for (let i = 0; i <= knobs; i++) {
    const t = i / knobs;
    const rise = Math.pow(Math.sin(Math.PI * (0.08 + 0.84 * t)), flat);
    path.push([x - w / 2 + w * (t + r.bell() * 0.02), y - h * rise * r.range(0.72, 1.08)]);
  }
  path.push([x + w / 2, y + 3]);
  const pen = scene.pen({ region: REGION.rock, depth });
  const body = pen.shape(wobble(path, 1.3, 10, x), colour, {
    strokes: 1,
    volume: 1,
    shade: 0.9,
    texture: 1.5,
    mottled: true,
  });
  scene.inside(body, () => {
    for (let i = 0; i < knobs * 1.6; i++) {
      const px = x + r.bell() * w * 0.3;
      const py = y - r.next() * h * 0.9;
      const q = Math.min(r.range(0.08, 0.2) * w, h * 0.7);
      const facet: Point[] = [
        [px, py],
        [px + q * 0.5, py - q * 0.25],
        [px + q, py + q * 0.1],
        [px + q * 0.55, py + q * 0.7],
        [px - q * 0.1, py + q * 0.5],
      ];
      const c = r.chance(0.5) ? mixLch(colour, [0.25, 0.05, 270], 0.45) : mixLch(colour, [0.85, 0.05, 80], 0.25);
      pen.shape(wobble(facet, 1, 10, i + x), c, { alpha: 0.55, volume: 0.4, rim: 0.6, shade: 0.3 });
    }
  });
}
