import { mixLch } from '@urbild/core';
import { treeline } from '../land/land';
import { jetty } from '../things/boats';
import { stiltHouse } from '../things/stiltHouse';
import { mist } from '../sky/precipitation';
import { cloudStreaks } from '../sky/sky';
import { horizonOf, type Place } from './place';
import { foregroundReeds, openWater } from './waterways';

export const stiltVillage: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, random: r, light: e } = scene;
  const hz = horizonOf(scene, setting, 0.46);
  openWater(scene, hz, 0.44);
  treeline(scene, { y: hz + 1, height: 12 * u, colour: [0.4, 0.05, 200], depth: 0.66, from: 0.2, to: 0.66 });
  for (const [x, y, s, depth] of [
    [0.6, 5, 46, 0.6],
    [0.24, 6, 44, 0.6],
    [0.7, 11, 66, 0.48],
    [0.32, 10, 56, 0.5],
  ]) {
    stiltHouse(scene, W * (x + r.range(-0.015, 0.015)), hz + y * u, s * u, depth, {
      smoke: r.chance(0.5),
      flip: r.chance(0.5),
    });
  }
  mist(scene, hz + 8 * u, 20 * u, 0.3);
  scene.landmark('stilt village', () => {
    stiltHouse(scene, W * 0.9, hz + 48 * u, 158 * u, 0.26, { flip: true, lamp: true, wall: [0.55, 0.09, 45] });
    stiltHouse(scene, W * 0.08, hz + 90 * u, 226 * u, 0.1, {
      lamp: true,
      wall: [0.5, 0.06, 200],
      roof: [0.42, 0.06, 35],
    });
  });
  cloudStreaks(scene, hz * 0.3, hz * 0.6, 2, mixLch(e.sky[2], e.light, 0.35), 0.25);
  if (setting.onFoot) {
    const deck = H * 0.8;
    jetty(scene, { x0: W * 0.16, x1: W * 1.05, y: deck, depth: 0.06, deck: 30 * u, leg: 60 * u });
    return {
      x: W * 0.44,
      y: deck + 8 * u,
      head: 46 * u,
      depth: 0.05,
      horizon: hz,
      edge: true,
      left: W * 0.2,
      right: W,
    };
  }
  foregroundReeds(scene, 0.08, 0.86, 90);
  return { x: W * 0.44, y: H * 0.82, head: 46 * u, depth: 0.05, horizon: hz, boat: { x: W * 0.53, y: hz + 172 * u } };
};
