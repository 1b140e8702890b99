import { smoothstep, type Lch } from '@urbild/core';
import { bank, islet, treeline } from '../land/land';
import { reedBank } from '../land/plants';
import { mist } from '../sky/precipitation';
import { horizonOf, type Place } from './place';
import { foregroundReeds, openWater } from './waterways';

export const reedChannel: Place = (scene, setting) => {
  const { width: W, unit: u } = scene;
  const hz = horizonOf(scene, setting, 0.44);
  openWater(scene, hz, 0.56, 110);
  treeline(scene, { y: hz + 1, height: 16 * u, colour: [0.42, 0.07, 170], depth: 0.68, from: 0, to: 1.02 });
  const green: Lch = [0.52, 0.08, 108];
  for (const [x0, x1, y, h, depth, tall, wind] of [
    [-0.06, 0.4, 9, 7, 0.54, 17, 0.15],
    [0.64, 1.1, 15, 8, 0.48, 20, 0.15],
    [-0.1, 0.32, 58, 18, 0.3, 50, 0.2],
    [0.74, 1.2, 76, 22, 0.24, 66, -0.16],
  ]) {
    islet(scene, { x0: W * x0, x1: W * x1, y: hz + y * u, h: h * u, depth, colour: green });
    reedBank(scene, {
      x0: W * x0,
      x1: W * x1,
      shore: () => hz + (y + 4) * u,
      height: tall * u,
      colour: [0.53, 0.085, 92],
      depth: depth - 0.02,
      style: {
        step: depth > 0.4 ? 6 : 9,
        count: 8,
        width: (depth > 0.4 ? 1.2 : 2.1) * u,
        wind,
        plumes: 0.13,
        scale: (x) =>
          x0 < 0.3 ? 0.55 + 0.6 * smoothstep(W * x1, W * x0, x) : 0.5 + 0.65 * smoothstep(W * x0, W * x1, x),
      },
    });
  }
  mist(scene, hz + 10 * u, 24 * u, 0.45);
  if (setting.onFoot)
    bank(
      scene,
      [
        [-20, scene.height + 20, 1],
        [-20, hz + 176 * u],
        [W * 0.3, hz + 150 * u],
        [W * 0.66, hz + 146 * u],
        [W * 0.9, hz + 168 * u],
        [W * 1.05, scene.height + 20, 1],
      ],
      green,
      0.1,
    );
  foregroundReeds(scene, setting.onFoot ? 0.16 : 0.3, 0.84, setting.onFoot ? 110 : 165);
  return {
    x: W * 0.56,
    y: hz + 168 * u,
    head: 44 * u,
    depth: 0.05,
    horizon: hz,
    boat: { x: W * 0.53, y: hz + 148 * u },
  };
};
