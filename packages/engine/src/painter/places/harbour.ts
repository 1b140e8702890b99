import { wobble } from '../geometry/curve';
import { rectangle } from '../geometry/point';
import { ridge } from '../land/land';
import { sailingBoat } from '../things/boats';
import { lighthouse as lighthouseTower } from '../things/towers';
import { paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import { glitter, paintWater, ripples } from '../water/water';
import { cobbles, houseRow } from './town';
import { horizonOf, type Place } from './place';

export const harbour: Place = (scene, setting) => {
  const { width: W, height: H, unit: u } = scene;
  const hz = horizonOf(scene, setting, 0.46);
  const sun = paintSky(scene, hz, 0.16);
  paintClouds(scene, hz);
  ridge(scene, hz, 30, 140, [0.5, 0.06, 240], 0.8);
  paintWater(scene, hz);
  glitter(scene, hz, sun, 70);
  ripples(scene, hz, hz + 3 * u, H, 110, { alpha: 0.35 });
  lighthouseTower(scene, W * 0.07, hz + 3 * u, 120 * u, 0.55);
  const row = hz + 26 * u;
  scene.group({ y: row + 14 * u, sway: 1.8 }, () => {
    houseRow(scene, W * 0.3, W * 1.08, row, 60 * u, 0.4);
    scene
      .pen({ region: REGION.rock, depth: 0.36 })
      .shape(wobble(rectangle(W * 0.27, row - 2 * u, W, 17 * u), 0.8, 14, 3), [0.55, 0.02, 80], { strokes: 0 });
  });
  sailingBoat(scene, W * 0.36, row + 60 * u, 110 * u, 0.28, { colour: [0.45, 0.09, 230], furled: true });
  sailingBoat(scene, W * 0.64, row + 48 * u, 92 * u, 0.3, { furled: true, flip: true });
  sailingBoat(scene, W * 0.1, row + 26 * u, 70 * u, 0.42);
  cobbles(scene, H * 0.8, true);
  return {
    x: W * 0.46,
    y: H * 0.8 + 34 * u,
    head: 48 * u,
    depth: 0.03,
    horizon: hz,
    boat: { x: W * 0.3, y: H * 0.74 },
  };
};
