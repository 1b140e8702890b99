import { treeline } from '../land/land';
import { rock } from '../land/rock';
import { jetty } from '../things/boats';
import { stiltHouse } from '../things/stiltHouse';
import { lighthouse } from '../things/towers';
import { horizonOf, type Place } from './place';
import { openWater } from './waterways';

export const pier: Place = (scene, setting) => {
  const { width: W, height: H, unit: u } = scene;
  const hz = horizonOf(scene, setting, 0.47);
  openWater(scene, hz, 0.75);
  treeline(scene, { y: hz + 1, height: 13 * u, colour: [0.42, 0.06, 165], depth: 0.68, from: 0.4, to: 1.05 });
  rock(scene, { x: W * 0.14, y: hz + 9 * u, w: 84 * u, h: 15 * u, colour: [0.5, 0.02, 260], depth: 0.48 });
  lighthouse(scene, W * 0.14, hz + 3 * u, 128 * u, 0.5);
  stiltHouse(scene, W * 0.86, hz + 26 * u, 150 * u, 0.3, { smoke: true, flip: true, wall: [0.52, 0.11, 28] });
  stiltHouse(scene, W * 0.62, hz + 12 * u, 80 * u, 0.45, { smoke: true, wall: [0.62, 0.09, 80] });
  const deck = H * 0.79;
  scene.landmark('pier', () =>
    jetty(scene, { x0: -20, x1: W * 1.05, y: deck, depth: 0.06, deck: 32 * u, leg: 60 * u }),
  );
  return {
    x: W * 0.42,
    y: deck + 9 * u,
    head: 48 * u,
    depth: 0.05,
    horizon: hz,
    edge: true,
    boat: { x: W * 0.5, y: hz + 60 * u },
  };
};
