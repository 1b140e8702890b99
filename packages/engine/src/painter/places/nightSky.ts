import { mixLch } from '@urbild/core';
import { ellipse } from '../geometry/point';
import { cornerGrass, grassOf } from '../land/fields';
import { bank, ridge, treeline } from '../land/land';
import { paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import { paintThing } from '../things';
import { horizonOf, type Place } from './place';

/** A great sky over low hills with one lit house. */
export const nightSky: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, random: r, light: e } = scene;
  const hz = horizonOf(scene, setting, 0.74);
  paintSky(scene, hz, 0.7);
  if (e.stars > 0.3) {
    const pen = scene.pen({ region: REGION.sky, depth: 1, raw: true });
    const glow = mixLch(e.sky[2], [0.9, 0.04, 280], 0.4);
    for (let i = 0; i < 9; i++)
      pen.glow(W * (0.1 + i * 0.1), hz * (0.75 - i * 0.075), (60 + r.next() * 50) * u, glow, 0.16);
    for (let i = 0; i < 240; i++) {
      const t = r.next();
      const x = W * (0.02 + t * 0.96) + r.bell() * 20 * u;
      const y = hz * (0.8 - t * 0.72) + r.bell() * 44 * u;
      const size = r.range(0.3, 1.3) * u * (r.chance(0.06) ? 1.8 : 1);
      if (y < hz * 0.95)
        pen.shape(ellipse(x, y, size, size, 0, 8), [0.96, 0.03, r.range(60, 280)], {
          plain: true,
          alpha: r.range(0.4, 1),
        });
    }
  } else paintClouds(scene, hz);
  if (e.weather !== 'clear' && e.stars > 0.3) paintClouds(scene, hz);
  ridge(scene, hz + 4 * u, 60, 190, [0.4, 0.05, 260], 0.7);
  treeline(scene, { y: hz + 8 * u, height: 18 * u, colour: [0.34, 0.06, 170], depth: 0.5 });
  if (!setting.named.has('cottage'))
    paintThing(scene, 'cottage', { x: W * 0.8, y: hz + 20 * u, size: 46 * u, depth: 0.4 });
  bank(
    scene,
    [
      [-20, H + 20, 1],
      [-20, hz + 26 * u],
      [W * 0.35, hz + 14 * u],
      [W * 0.7, hz + 22 * u],
      [W * 1.05, hz + 12 * u],
      [W * 1.05, H + 20, 1],
    ],
    grassOf(scene, -0.06),
    0.2,
  );
  bank(
    scene,
    [
      [-20, H + 20, 1],
      [-20, H * 0.9],
      [W * 0.4, H * 0.86],
      [W * 1.05, H * 0.9],
      [W * 1.05, H + 20, 1],
    ],
    grassOf(scene, -0.1),
    0.06,
  );
  cornerGrass(scene, 46, 0.22, 0.78);
  return { x: W * 0.4, y: H * 0.92, head: 38 * u, depth: 0.06, horizon: hz };
};
