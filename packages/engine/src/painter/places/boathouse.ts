import { adjustLch, type Lch } from '@urbild/core';
import { wobble } from '../geometry/curve';
import { rectangle } from '../geometry/point';
import { REGION } from '../scene/region';
import { paintThing } from '../things';
import type { Place } from './place';
import { beams, hangingLamp, room, windowView } from './room';

/** The sorting room in a boathouse: pigeonholes for letters, nets, barrels, a window on the water. */
export const boathouse: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, random: r } = scene;
  const floor = room(scene, { floorAt: 0.69, wall: [0.55, 0.055, 58], floor: [0.52, 0.05, 58], planks: true });
  windowView(scene, { x: W * 0.58, y: H * 0.2, w: 150 * u, h: 124 * u, floorY: floor, water: true });
  beams(scene, [0.36, 0.05, 50], [0.48], floor);
  const wood = scene.pen({ region: REGION.wood, depth: 0.1 });
  const paper = scene.pen({ region: REGION.prop, depth: 0.1 });
  const [x0, y0, cw, ch] = [W * 0.15, H * 0.32, 30 * u, 24 * u];
  wood.shape(wobble(rectangle(x0 - 6 * u, y0 - 6 * u, cw * 5 + 12 * u, ch * 3 + 12 * u), 0.7, 12, 1), [0.46, 0.06, 55]);
  for (let row = 0; row < 3; row++)
    for (let i = 0; i < 5; i++) {
      wood.shape(rectangle(x0 + i * cw + 2 * u, y0 + row * ch + 2 * u, cw - 4 * u, ch - 4 * u), [0.28, 0.04, 50], {
        texture: 0.5,
      });
      if (r.chance(0.7))
        for (let k = 0; k < r.integer(1, 3); k++)
          paper.shape(
            wobble(
              rectangle(x0 + i * cw + (4 + k) * u, y0 + (row + 1) * ch - (6 + k * 4) * u, 20 * u, 3.4 * u),
              0.3,
              8,
              i + k,
            ),
            [0.94, 0.025, 85],
            { texture: 0.2 },
          );
    }
  wood.shape(wobble(rectangle(W * 0.13, H * 0.245, 190 * u, 6 * u), 0.6, 12, 2), [0.44, 0.06, 55], { strokes: 0 });
  const jars: readonly Lch[] = [
    [0.6, 0.11, 190],
    [0.7, 0.12, 80],
    [0.55, 0.13, 30],
    [0.6, 0.09, 145],
    [0.5, 0.09, 260],
  ];
  for (let i = 0; i < 8; i++)
    paper.shape(wobble(rectangle(W * 0.14 + i * 22 * u, H * 0.245 - 22 * u, 14 * u, 22 * u), 0.6, 7, i), jars[i % 5], {
      volume: 0.9,
      rim: 1.3,
    });
  const rope = adjustLch([0.72, 0.06, 78], -0.05);
  for (const k of [0, 1, 2])
    wood.line(
      [
        [W * 0.9, H * 0.2 + k * 6 * u],
        [W * 0.93, H * 0.28 + k * 9 * u],
        [W * 0.96, H * 0.2 + k * 6 * u],
      ],
      3 * u,
      rope,
    );
  if (!setting.named.has('net'))
    paintThing(scene, 'net', { x: W * 0.93, y: floor + 20 * u, size: 100 * u, depth: 0.08 });
  if (!setting.named.has('barrel'))
    paintThing(scene, 'barrel', { x: W * 0.07, y: floor + 34 * u, size: 92 * u, depth: 0.08 });
  hangingLamp(scene, W * 0.5, H * 0.19, 320 * u);
  return {
    x: W * 0.44,
    y: H * 0.9,
    head: 54 * u,
    depth: 0.05,
    horizon: H * 0.45,
    sill: { x: W * 0.58 + 60 * u, y: H * 0.2 + 130 * u },
    wall: floor,
    left: W * 0.16,
    right: W * 0.84,
  };
};
