import { type Lch } from '@urbild/core';
import type { Season } from '@urbild/core';
import type { Point } from '../geometry/point';
import type { Scene } from '../scene/scene';
import { bank } from './land';
import { meadowFlecks, reedBank } from './plants';

const GRASS: Readonly<Record<Season, Lch>> = {
  spring: [0.62, 0.125, 128],
  summer: [0.54, 0.105, 126],
  autumn: [0.58, 0.1, 92],
  winter: [0.56, 0.045, 100],
};

/** The colour of grass in the season, `shift` lighter or darker. */
export const grassOf = (scene: Scene, shift = 0): Lch => {
  const [L, C, h] = GRASS[scene.light.season];
  return [L + shift, C, h];
};

/** Bands of field from the horizon to `y1` (px), nearer ones larger and deeper in colour. */
export function fields(scene: Scene, horizon: number, y1: number, bands: number, colour: (i: number) => Lch): void {
  const { width: W, height: H, random: r, unit: u } = scene;
  for (let i = 0; i < bands; i++) {
    const t = i / bands;
    const y = horizon + 2 * u + (y1 - horizon) * t * t;
    const lift = () => r.bell() * (2 + 9 * t) * u;
    const edge: Point[] = [
      [-20, y + lift()],
      [W * 0.3, y + lift()],
      [W * 0.65, y + lift()],
      [W * 1.05, y + lift()],
    ];
    bank(scene, [[-20, H + 20, 1], ...edge, [W * 1.05, H + 20, 1]], colour(i), 0.62 * (1 - t) + 0.06);
  }
}

/** Tall grass in both lower corners, which holds the picture together. */
export function cornerGrass(scene: Scene, height = 70, left = 0.2, right = 0.8): void {
  const { width: W, height: H, unit: u } = scene;
  const dark = grassOf(scene, -0.2);
  const style = { step: 10, count: 6, width: 2.6 * u, lit: 0.25, heads: 0.04, plumes: 0.05 };
  reedBank(scene, {
    x0: -10,
    x1: W * left,
    shore: () => H + 5 * u,
    height: height * u,
    colour: dark,
    depth: 0,
    style: {
      ...style,
      wind: 0.14,
      scale: (x) => 0.4 + 0.7 * Math.max(0, 1 - x / (W * left)),
    },
  });
  reedBank(scene, {
    x0: W * right,
    x1: W * 1.02,
    shore: () => H + 5 * u,
    height: height * 0.85 * u,
    colour: dark,
    depth: 0,
    style: {
      ...style,
      wind: -0.1,
      scale: (x) => 0.4 + 0.7 * Math.max(0, (x - W * right) / (W * (1 - right))),
    },
  });
}

/** Grass tufts and flowers over a meadow between two heights (px). */
export function grass(scene: Scene, y0: number, y1: number, count: number, depth: number): void {
  const flowers = { spring: 0.6, summer: 0.5, autumn: 0.15, winter: 0 }[scene.light.season];
  meadowFlecks(scene, { y0, y1, count, colour: grassOf(scene, 0.03), depth, flowers });
}
