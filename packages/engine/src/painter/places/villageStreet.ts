import { mixLch, type Lch } from '@urbild/core';
import { wobble } from '../geometry/curve';
import { ridge, treeline } from '../land/land';
import { tree } from '../land/plants';
import { townhouse } from '../things/townhouse';
import { paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import { paintThing } from '../things';
import { cobbles, FRONTS, SHUTTERS, steeple, TOWN_ROOFS } from './town';
import { horizonOf, type Place } from './place';

/** A lane between gabled houses that grow smaller towards a church and hills. */
export const villageStreet: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, random: r } = scene;
  const hz = horizonOf(scene, setting, 0.55);
  paintSky(scene, hz, 0.5);
  paintClouds(scene, hz * 0.8);
  ridge(scene, hz, 60, 140, [0.5, 0.06, 235], 0.84);
  treeline(scene, { y: hz + 4 * u, height: 22 * u, colour: [0.42, 0.08, 150], depth: 0.62, from: 0.3, to: 0.7 });
  steeple(scene, [W * 0.5, hz + 4 * u], [W * 0.03, 70 * u, 64 * u], 0.6, [
    [0.82, 0.03, 80],
    [0.45, 0.06, 250],
  ]);
  const street: Lch = [0.64, 0.03, 72];
  scene.pen({ region: REGION.ground, depth: 0.3 }).shape(
    wobble(
      [
        [-20, H + 20],
        [-20, hz + 10 * u],
        [W * 1.05, hz + 10 * u],
        [W * 1.05, H + 20],
      ],
      1,
      20,
      2,
    ),
    street,
    { strokes: 0, texture: 1.2 },
  );
  const rows: readonly [x: number, w: number, y: number, depth: number][] = [
    [0.4, 46, 12, 0.5],
    [0.6, 48, 12, 0.5],
    [0.3, 74, 30, 0.38],
    [0.7, 78, 30, 0.38],
    [0.16, 116, 62, 0.22],
    [0.85, 122, 62, 0.22],
    [-0.03, 170, 112, 0.1],
    [1.04, 180, 112, 0.1],
  ];
  rows.forEach(([x, w, y, depth], i) =>
    townhouse(scene, {
      x: W * x,
      y: hz + y * u,
      w: w * u,
      h: w * u * r.range(1, 1.4),
      depth,
      colour: mixLch(FRONTS[(i * 3) % FRONTS.length], [0.8, 0.03, 80], 0.15),
      roof: r.pick(TOWN_ROOFS),
      shutter: r.pick(SHUTTERS),
    }),
  );
  tree(scene, W * 0.245, hz + 54 * u, 90 * u, 0.3);
  if (!setting.named.has('street lamp'))
    paintThing(scene, 'street lamp', { x: W * 0.745, y: hz + 76 * u, size: 190 * u, depth: 0.2 });
  cobbles(scene, H * 0.79, false);
  for (const [x, s] of [
    [0.06, 56],
    [0.94, 60],
  ])
    paintThing(scene, 'flower pot', { x: W * x, y: H * 0.84, size: s * u, depth: 0.06 });
  return { x: W * 0.41, y: H * 0.87, head: 47 * u, depth: 0.05, horizon: hz, left: W * 0.12, right: W * 0.88 };
};
