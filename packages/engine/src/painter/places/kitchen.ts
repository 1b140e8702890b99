import { adjustLch, type Lch } from '@urbild/core';
import { wobble } from '../geometry/curve';
import { ellipse, rectangle } from '../geometry/point';
import { REGION } from '../scene/region';
import { paintThing } from '../things';
import type { Place } from './place';
import { beams, hangingLamp, room, windowView } from './room';

/** A farmhouse kitchen: window, stove, a shelf of plates, a table. */
export const kitchen: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, random: r } = scene;
  const floor = room(scene, {
    floorAt: 0.68,
    wall: [0.82, 0.045, 82],
    floor: [0.6, 0.07, 45],
    planks: false,
    tiles: true,
  });
  windowView(scene, { x: W * 0.56, y: H * 0.17, w: 120 * u, h: 118 * u, floorY: floor });
  beams(scene, [0.42, 0.05, 52], [], floor);
  const wood = scene.pen({ region: REGION.wood, depth: 0.1 });
  const china = scene.pen({ region: REGION.prop, depth: 0.1 });
  for (let row = 0; row < 2; row++) {
    const y = H * (0.3 + row * 0.13);
    for (let i = 0; i < 5; i++) {
      const x = W * (0.27 + i * 0.045);
      const plate: Lch = r.pick([
        [0.93, 0.02, 90],
        [0.6, 0.09, 245],
        [0.86, 0.06, 80],
        [0.66, 0.1, 160],
      ]);
      if (row === 0) {
        china.shape(wobble(ellipse(x, y - 13 * u, 11 * u, 12 * u), 0.4, 8, i), plate);
        china.shape(ellipse(x, y - 13 * u, 6 * u, 7 * u), adjustLch(plate, -0.08), { plain: true });
      } else china.shape(wobble(rectangle(x - 7 * u, y - 18 * u, 14 * u, 18 * u), 0.5, 8, i), plate, { volume: 0.9 });
    }
    wood.shape(wobble(rectangle(W * 0.24, y, W * 0.25, 6 * u), 0.6, 12, row), [0.46, 0.06, 55], { strokes: 0 });
  }
  if (!setting.named.has('stove'))
    paintThing(scene, 'stove', { x: W * 0.11, y: floor + 26 * u, size: 190 * u, depth: 0.08 });
  hangingLamp(scene, W * 0.5, H * 0.16, 330 * u);
  if (!setting.named.has('table')) paintThing(scene, 'table', { x: W * 0.82, y: H * 0.9, size: 112 * u, depth: 0.05 });
  if (!setting.named.has('bread') && !setting.named.has('table'))
    paintThing(scene, 'bread', { x: W * 0.8, y: H * 0.9 - 106 * u, size: 26 * u, depth: 0.05 });
  return {
    x: W * 0.42,
    y: H * 0.9,
    head: 54 * u,
    depth: 0.05,
    horizon: H * 0.44,
    sill: { x: W * 0.56 + 44 * u, y: H * 0.17 + 124 * u },
    wall: floor,
    left: W * 0.2,
    right: W * 0.76,
    table: setting.named.has('table') ? undefined : { x: W * 0.87, y: H * 0.9 - 106 * u },
  };
};
