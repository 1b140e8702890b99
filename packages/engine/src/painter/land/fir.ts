import { adjustLch, mixLch, type Lch } from '@urbild/core';
import { wobble } from '../geometry/curve';
import type { Point } from '../geometry/point';
import { isSnowy } from '../light/environment';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';

/** A fir standing on (x, y) px, `size` px tall, in tiers; snow lies on its branches. */
export function fir(scene: Scene, x: number, y: number, size: number, depth: number): void {
  if (!scene.allows('thing: tree', 'thing: fir')) return;
  const r = scene.random;
  const green: Lch = [0.4 + r.bell() * 0.03, 0.07, 155 + r.bell() * 8];
  scene.pen({ region: REGION.wood, depth }).shape(
    [
      [x - size * 0.03, y],
      [x + size * 0.03, y],
      [x + size * 0.025, y - size * 0.2],
      [x - size * 0.025, y - size * 0.2],
    ],
    [0.34, 0.04, 50],
  );
  const leaves = scene.pen({ region: REGION.foliage, depth });
  const snow = scene.pen({ region: REGION.ground, depth });
  const tiers = 5;
  for (let i = 0; i < tiers; i++) {
    const t = i / tiers;
    const w = size * 0.3 * (1 - t * 0.82);
    const base = y - size * (0.1 + t * 0.72);
    const top = base - size * 0.32 * (1 - t * 0.35);
    const path: Point[] = [[x, top]];
    const notches = 5;
    for (let k = 0; k <= notches; k++) {
      const u = 1 - (2 * k) / notches;
      path.push([
        x + u * w * r.range(0.94, 1.05),
        base + (k % 2 ? -size * 0.025 : size * 0.018) + Math.abs(u) * size * 0.012,
      ]);
    }
    leaves.shape(wobble(path, 0.8, 6, x + i), adjustLch(green, t * 0.05), {
      volume: 0.9,
      shade: 1.2,
      strokes: 1.2,
      texture: 1.2,
    });
    if (isSnowy(scene.light)) {
      const cap: Point[] = [
        [x, top],
        [x + w * 0.5, (top + base) / 2 + size * 0.03],
        [x + w * 0.2, (top + base) / 2 - size * 0.01],
        [x - w * 0.1, (top + base) / 2 + size * 0.03],
        [x - w * 0.45, (top + base) / 2],
      ];
      snow.shape(wobble(cap, 0.6, 5, i), mixLch([0.95, 0.012, 252], green, 0.06), { texture: 0.4 });
    }
  }
}
