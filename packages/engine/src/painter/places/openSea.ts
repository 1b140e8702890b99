import { rock } from '../land/rock';
import { sailingBoat } from '../things/boats';
import { paintClouds, paintSky } from '../sky/sky';
import { glitter, paintWater, ripples } from '../water/water';
import { roughSea } from '../water/waves';
import { horizonOf, type Place } from './place';

export const openSea: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, light: e } = scene;
  const hz = horizonOf(scene, setting, 0.48);
  const sun = paintSky(scene, hz, 0.7);
  paintClouds(scene, hz);
  paintWater(scene, hz);
  if (e.weather === 'storm') {
    roughSea(scene, hz);
  } else {
    glitter(scene, hz, sun, 140);
    sailingBoat(scene, W * 0.26, hz + 20 * u, 80 * u, 0.5);
    ripples(scene, hz, hz + 3 * u, H, 220, { alpha: 0.42 });
  }
  rock(scene, { x: W * 0.12, y: H + 30 * u, w: 330 * u, h: 120 * u, colour: [0.42, 0.03, 258], depth: 0.05 });
  rock(scene, {
    x: W * 0.5,
    y: H + 40 * u,
    w: 620 * u,
    h: 118 * u,
    colour: [0.4, 0.03, 258],
    depth: 0.03,
    knobs: 11,
    flat: 0.35,
  });
  return { x: W * 0.46, y: H * 0.875, head: 46 * u, depth: 0.02, horizon: hz, boat: { x: W * 0.5, y: hz + 130 * u } };
};
