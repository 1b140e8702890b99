import { wobble } from '../geometry/curve';
import { ellipse } from '../geometry/point';
import { ridge } from '../land/land';
import { tree } from '../land/plants';
import { paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import { paintThing } from '../things';
import { cobbles, houseRow, steeple } from './town';
import { horizonOf, type Place } from './place';

/** An open square with a well, before a row of gabled houses and a tower. */
export const townSquare: Place = (scene, setting) => {
  const { width: W, height: H, unit: u } = scene;
  const hz = horizonOf(scene, setting, 0.56);
  paintSky(scene, hz, 0.78);
  paintClouds(scene, hz * 0.75);
  ridge(scene, hz, 60, 160, [0.52, 0.05, 240], 0.84);
  steeple(scene, [W * 0.67, hz + 10 * u], [W * 0.05, 180 * u, 94 * u], 0.5, [
    [0.72, 0.05, 60],
    [0.5, 0.07, 165],
  ]);
  const face = scene.pen({ region: REGION.window, depth: 0.5 });
  face.shape(ellipse(W * 0.67, hz - 138 * u, 15 * u, 15 * u), [0.93, 0.03, 88], { outline: 1.4 });
  for (const [dx, dy] of [
    [0, -10],
    [7, 3],
  ])
    face.line(
      [
        [W * 0.67, hz - 138 * u],
        [W * 0.67 + dx * u, hz + (dy - 138) * u],
      ],
      1.8 * u,
      [0.3, 0.02, 260],
    );
  houseRow(scene, -0.02 * W, W * 1.02, hz + 26 * u, 78 * u, 0.36);
  scene.pen({ region: REGION.ground, depth: 0.25 }).shape(
    wobble(
      [
        [-20, H + 20],
        [-20, hz + 22 * u],
        [W * 1.05, hz + 22 * u],
        [W * 1.05, H + 20],
      ],
      1,
      20,
      2,
    ),
    [0.66, 0.03, 72],
    { strokes: 0, texture: 1.2 },
  );
  tree(scene, W * 0.9, hz + 58 * u, 150 * u, 0.26);
  if (!setting.named.has('well')) paintThing(scene, 'well', { x: W * 0.18, y: hz + 74 * u, size: 120 * u, depth: 0.2 });
  if (!setting.named.has('street lamp'))
    paintThing(scene, 'street lamp', { x: W * 0.8, y: hz + 88 * u, size: 210 * u, depth: 0.18 });
  cobbles(scene, H * 0.78, false);
  return { x: W * 0.42, y: H * 0.87, head: 47 * u, depth: 0.05, left: W * 0.26, keepOut: [W * 0.67], horizon: hz };
};
