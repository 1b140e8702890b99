import { type Lch } from '@urbild/core';
import { spline, wobble } from '../geometry/curve';
import { bank, ridge, treeline } from '../land/land';
import { meadowFlecks, reedBank, tree } from '../land/plants';
import { mill as millTower } from '../things/towers';
import { cloudBank, paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import { horizonOf, type Place } from './place';

export const millByTheDyke: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, random: r, light: e } = scene;
  const hz = horizonOf(scene, setting, 0.52);
  const autumn = e.season === 'autumn';
  paintSky(scene, hz + 30 * u, 0.22);
  paintClouds(scene, hz);
  if (e.weather === 'clear') cloudBank(scene, hz * 0.3, 2, 1.3, { spread: 20 });
  ridge(scene, hz, 30, 140, [0.5, 0.06, 200], 0.8);
  treeline(scene, { y: hz + 4, height: 18 * u, colour: autumn ? [0.58, 0.11, 60] : [0.45, 0.08, 145], depth: 0.62 });
  for (let i = 0; i < 6; i++) {
    const y = hz + 3 * u + i * i * 2.2 * u;
    const field: Lch = i % 2 ? [0.6, 0.09, 105] : autumn ? [0.66, 0.11, 82] : [0.56, 0.1, 125];
    bank(
      scene,
      [
        [-20, y + 30 * u, 1],
        [-20, y],
        [W * 0.5, y - 2 * u],
        [W * 1.05, y + 1 * u],
        [W * 1.05, y + 30 * u, 1],
      ],
      field,
      0.6 - i * 0.07,
    );
  }
  const dyke = hz + 62 * u;
  bank(
    scene,
    [
      [-20, H + 20, 1],
      [-20, dyke + 24 * u],
      [W * 0.3, dyke + 2 * u],
      [W * 0.62, dyke - 10 * u],
      [W * 1.05, dyke - 2 * u],
      [W * 1.05, H + 20, 1],
    ],
    autumn ? [0.58, 0.115, 96] : [0.5, 0.1, 128],
    0.24,
  );
  scene.landmark('mill', () => millTower(scene, { x: W * 0.7, y: dyke + 8 * u, s: 290 * u, depth: 0.24, turn: 0.28 }));
  for (const [x, y, s, d] of [
    [0.5, 14, 130, 0.24],
    [0.91, 12, 170, 0.22],
    [0.42, 10, 84, 0.3],
  ])
    tree(scene, W * x, dyke + y * u, s * u, d);
  const canal = spline([
    [-20, H * 0.84, 1],
    [W * 0.3, H * 0.8],
    [W * 0.7, H * 0.815],
    [W * 1.05, H * 0.79, 1],
    [W * 1.05, H * 0.93, 1],
    [W * 0.6, H * 0.95],
    [W * 0.25, H * 0.93],
    [-20, H * 0.97, 1],
  ]);
  scene
    .pen({ region: REGION.water, depth: 0.15, raw: true })
    .shape(wobble(canal, 1, 20, 3), e.water[0], { toColour: e.water[1], volume: 0, strokes: 0, rim: 0.4, shade: 0.5 });
  meadowFlecks(scene, { y0: dyke + 22 * u, y1: H * 0.78, count: 70, colour: [0.55, 0.09, 105], depth: 0.2 });
  bank(
    scene,
    [
      [-20, H + 20, 1],
      [-20, H * 0.95],
      [W * 0.4, H * 0.945],
      [W * 1.05, H * 0.92],
      [W * 1.05, H + 20, 1],
    ],
    [0.36, 0.07, 125],
    0.03,
  );
  reedBank(scene, {
    x0: -10,
    x1: W * 1.02,
    shore: () => H + 4 * u,
    height: 58 * u,
    colour: [0.38, 0.07, 118],
    depth: 0,
    style: {
      count: 6,
      step: 14,
      width: 3 * u,
      wind: 0.12,
      heads: 0.06,
      plumes: 0.06,
    },
  });
  return {
    x: W * (0.28 + 0.04 * r.next()),
    y: dyke + 52 * u,
    head: 46 * u,
    depth: 0.14,
    keepOut: [W * 0.7],
    horizon: hz,
  };
};
