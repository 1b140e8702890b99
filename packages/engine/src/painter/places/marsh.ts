import { smoothstep } from '@urbild/core';
import { bank, islet, treeline } from '../land/land';
import { meadowFlecks, reedBank } from '../land/plants';
import { stiltHouse } from '../things/stiltHouse';
import { mill } from '../things/towers';
import { mist } from '../sky/precipitation';
import { horizonOf, type Place } from './place';
import { foregroundReeds, openWater } from './waterways';

export const marsh: Place = (scene, setting) => {
  const { width: W, height: H, unit: u } = scene;
  const hz = horizonOf(scene, setting, 0.45);
  openWater(scene, hz, 0.7);
  treeline(scene, { y: hz + 1, height: 14 * u, colour: [0.42, 0.07, 165], depth: 0.7, from: -0.02, to: 0.46 });
  mill(scene, { x: W * 0.2, y: hz + 4 * u, s: 92 * u, depth: 0.56, turn: 0.35, colour: [0.5, 0.05, 50], mirror: true });
  stiltHouse(scene, W * 0.86, hz + 20 * u, 96 * u, 0.45, { smoke: true });
  islet(scene, { x0: W * 0.52, x1: W * 0.78, y: hz + 34 * u, h: 8 * u, depth: 0.4, colour: [0.52, 0.08, 110] });
  reedBank(scene, {
    x0: W * 0.53,
    x1: W * 0.77,
    shore: () => hz + 37 * u,
    height: 18 * u,
    colour: [0.55, 0.08, 95],
    depth: 0.38,
    style: {
      step: 6,
      width: 1.2 * u,
      wind: 0.15,
    },
  });
  mist(scene, hz + 8 * u, 22 * u, 0.42);
  const shore = H * 0.8;
  bank(
    scene,
    [
      [-20, H + 20, 1],
      [-20, shore - 6 * u],
      [W * 0.4, shore - 16 * u],
      [W * 0.8, shore - 4 * u],
      [W * 1.05, shore + 2 * u],
      [W * 1.05, H + 20, 1],
    ],
    [0.48, 0.085, 112],
    0.12,
  );
  reedBank(scene, {
    x0: -10,
    x1: W * 0.2,
    shore: (x) => shore - 6 * u - x * 0.03,
    height: 60 * u,
    colour: [0.5, 0.085, 96],
    depth: 0.12,
    style: {
      width: 2 * u,
      wind: 0.16,
      plumes: 0.12,
      scale: (x) => 0.5 + 0.6 * smoothstep(W * 0.2, 0, x),
    },
  });
  meadowFlecks(scene, { y0: shore, y1: H, count: 60, colour: [0.52, 0.09, 105], depth: 0.12 });
  foregroundReeds(scene, 0.1, 0.82, 110);
  return {
    x: W * 0.42,
    y: shore + 26 * u,
    head: 52 * u,
    depth: 0.05,
    horizon: hz,
    boat: { x: W * 0.5, y: hz + 128 * u },
  };
};
