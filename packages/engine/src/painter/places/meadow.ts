import { cornerGrass, fields, grass, grassOf } from '../land/fields';
import { ridge, treeline } from '../land/land';
import { tree } from '../land/plants';
import { paintClouds, paintSky } from '../sky/sky';
import { horizonOf, type Place } from './place';

/** Rolling grassland with a few trees before far hills. */
export const meadow: Place = (scene, setting) => {
  const { width: W, height: H, unit: u } = scene;
  const hz = horizonOf(scene, setting, 0.5);
  paintSky(scene, hz + 24 * u, 0.74);
  paintClouds(scene, hz);
  ridge(scene, hz + 6 * u, 74, 190, [0.5, 0.06, 235], 0.86);
  ridge(scene, hz + 12 * u, 36, 120, [0.48, 0.07, 180], 0.7);
  treeline(scene, { y: hz + 12 * u, height: 16 * u, colour: grassOf(scene, -0.12), depth: 0.58 });
  fields(scene, hz + 8 * u, H * 0.8, 5, (i) => grassOf(scene, [0.07, -0.01, 0.05, 0, 0.03][i]));
  tree(scene, W * 0.13, H * 0.68, 190 * u, 0.22);
  tree(scene, W * 0.83, H * 0.61, 96 * u, 0.36);
  tree(scene, W * 0.92, H * 0.63, 124 * u, 0.32);
  grass(scene, H * 0.66, H, 120, 0.16);
  cornerGrass(scene, 60);
  return { x: W * 0.4, y: H * 0.86, head: 46 * u, depth: 0.05, horizon: hz };
};
