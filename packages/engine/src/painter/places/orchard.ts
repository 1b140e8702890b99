import { lerp, type Lch } from '@urbild/core';
import { ellipse } from '../geometry/point';
import { cornerGrass, fields, grass, grassOf } from '../land/fields';
import { ridge, treeline } from '../land/land';
import { tree } from '../land/plants';
import { paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
import { horizonOf, type Place } from './place';

const BLOSSOM: readonly Lch[] = [
  [0.93, 0.04, 0],
  [0.96, 0.015, 20],
];
const FRUIT: readonly Lch[] = [
  [0.58, 0.18, 28],
  [0.7, 0.14, 60],
];

/** Blossom in spring, fruit in summer and autumn, scattered over a crown. */
function dress(scene: Scene, x: number, y: number, size: number, depth: number): void {
  const { random: r, light: e } = scene;
  if (e.season === 'winter' || e.weather === 'snow') return;
  const spring = e.season === 'spring';
  const pen = scene.pen({ region: REGION.foliage, depth });
  for (let i = 0; i < (spring ? 90 : 22); i++) {
    const a = r.next() * 6.283;
    const k = Math.sqrt(r.next());
    const radius = size * (spring ? r.range(0.012, 0.026) : 0.024);
    pen.shape(
      ellipse(x + Math.cos(a) * k * size * 0.4, y - size * 0.66 + Math.sin(a) * k * size * 0.28, radius, radius, 0, 9),
      r.pick(spring ? BLOSSOM : FRUIT),
      { plain: true },
    );
  }
}

/** Rows of fruit trees that lead into the distance. */
export const orchard: Place = (scene, setting) => {
  const { width: W, height: H, unit: u } = scene;
  const hz = horizonOf(scene, setting, 0.48);
  paintSky(scene, hz + 20 * u, 0.3);
  paintClouds(scene, hz);
  ridge(scene, hz + 6 * u, 50, 170, [0.5, 0.06, 220], 0.84);
  treeline(scene, { y: hz + 8 * u, height: 14 * u, colour: grassOf(scene, -0.1), depth: 0.6 });
  fields(scene, hz + 4 * u, H * 0.78, 4, (i) => grassOf(scene, [0.06, 0, 0.04, 0.02][i]));
  for (let row = 4; row >= 0; row--) {
    const t = Math.pow(0.62, row);
    const y = lerp(hz + 6 * u, H * 0.82, t);
    for (const [side, k] of [
      [-1, 1],
      [1, 1.08],
    ]) {
      const x = W * 0.5 + side * W * (0.06 + 0.4 * t) * k;
      const size = lerp(30, 250, t) * u;
      const depth = 0.5 * (1 - t) + 0.08;
      tree(scene, x, y, size, depth);
      dress(scene, x, y, size, depth);
    }
  }
  grass(scene, H * 0.66, H, 110, 0.14);
  cornerGrass(scene, 44, 0.16, 0.84);
  return { x: W * 0.5, y: H * 0.87, head: 46 * u, depth: 0.05, horizon: hz, left: W * 0.14, right: W * 0.86 };
};
