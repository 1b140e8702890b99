import { smoothstep } from '@urbild/core';
import { bank, islet, treeline } from '../land/land';
import { meadowFlecks, reedBank } from '../land/plants';
import { stiltHouse } from '../props/stiltHouse';
import { mill } from '../props/towers';
import { mist } from '../sky/precipitation';
import { horizonOf, type Place } from './place';
import { foregroundReeds, openWater } from './waterways';

export const marsh: Place = (scene, setting) => {
  const { width: W, height: H, unit: u } = scene;
  const hz = horizonOf(scene, setting, 0.45);
  openWater(scene, hz, 0.7);
  treeline(scene, hz + 1, 14 * u, [0.42, 0.07, 165], 0.7, -0.02, 0.46);
  mill(scene, W * 0.2, hz + 4 * u, 92 * u, 0.56, 0.35, [0.5, 0.05, 50], true);
  stiltHouse(scene, W * 0.86, hz + 20 * u, 96 * u, 0.45, { smoke: true });
  islet(scene, W * 0.52, W * 0.78, hz + 34 * u, 8 * u, 0.4, [0.52, 0.08, 110]);
  reedBank(scene, W * 0.53, W * 0.77, () => hz + 37 * u, 18 * u, [0.55, 0.08, 95], 0.38, {
    step: 6,
    width: 1.2 * u,
    wind: 0.15,
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
  reedBank(scene, -10, W * 0.2, (x) => shore - 6 * u - x * 0.03, 60 * u, [0.5, 0.085, 96], 0.12, {
    width: 2 * u,
    wind: 0.16,
    plumes: 0.12,
    scale: (x) => 0.5 + 0.6 * smoothstep(W * 0.2, 0, x),
  });
  meadowFlecks(scene, shore, H, 60, [0.52, 0.09, 105], 0.12);
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
