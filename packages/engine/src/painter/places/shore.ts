import { type Lch } from '@urbild/core';
import { spline, wobble } from '../geometry/curve';
import { ellipse, rectangle, type Point } from '../geometry/point';
import { bank, ridge, treeline } from '../land/land';
import { meadowFlecks, reedBank, tree } from '../land/plants';
import { rock } from '../land/rock';
import { sailingBoat } from '../props/boats';
import { LIGHTHOUSE_LAMP, lightBeam, lighthouse as lighthouseTower, mill as millTower } from '../props/towers';
import { townhouse } from '../props/townhouse';
import { paintWindow } from '../props/stiltHouse';
import { cloudBank, paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../stage/region';
import type { Scene } from '../stage/scene';
import { glitter, paintWater, ripples } from '../water/water';
import { roughSea, waveRow } from '../water/waves';
import { horizonOf, type Place } from './place';

/** The keeper's cottage beside a lighthouse. */
function cottage(scene: Scene, x: number, y: number, depth: number): void {
  const u = scene.unit;
  const wall = scene.pen({ region: REGION.building, depth });
  wall.shape(wobble(rectangle(x, y - 34 * u, 66 * u, 38 * u), 0.7, 12, 1), [0.86, 0.02, 85], { strokes: Math.PI / 2 });
  wall.shape(wobble(rectangle(x + 48 * u, y - 70 * u, 9 * u, 16 * u), 0.5, 9, 2), [0.5, 0.06, 35]);
  scene.pen({ region: REGION.roof, depth }).shape(
    wobble(
      [
        [x - 6 * u, y - 32 * u],
        [x + 10 * u, y - 58 * u],
        [x + 58 * u, y - 58 * u],
        [x + 73 * u, y - 32 * u],
      ],
      0.7,
      12,
      2,
    ),
    [0.48, 0.1, 32],
    { strokes: 1 },
  );
  for (const k of [17, 50])
    paintWindow(scene, wall, x + k * u, y - 18 * u, 10 * u, 13 * u, 60 * u, [0.86, 0.02, 85], scene.light.lamps);
  scene.pen({ region: REGION.wood, depth }).shape(rectangle(x + 29 * u, y - 25 * u, 11 * u, 27 * u), [0.4, 0.07, 210]);
}

export const lighthouse: Place = (scene, hints) => {
  const { width: W, height: H, unit: u, light: e } = scene;
  const hz = horizonOf(scene, hints, 0.54);
  const storm = e.weather === 'storm';
  const sun = paintSky(scene, hz, 0.22);
  paintClouds(scene, hz);
  const x = W * 0.68;
  const foot = hz - 40 * u;
  const lampY = foot - 238 * u * LIGHTHOUSE_LAMP;
  if (e.lamps) {
    lightBeam(scene, x, lampY, W * 0.9, Math.PI - 0.03, Math.PI + 0.15, 0.45);
    lightBeam(scene, x, lampY, W * 0.6, -0.1, 0.1, 0.34);
  }
  paintWater(scene, hz);
  if (storm) roughSea(scene, hz);
  else {
    glitter(scene, hz, sun, 90);
    sailingBoat(scene, W * 0.2, hz + 22 * u, 70 * u, 0.46, { sail: [0.86, 0.04, 80] });
    ripples(scene, hz, hz + 3 * u, H, 160, { alpha: 0.4 });
  }
  rock(scene, x + 10 * u, hz + 32 * u, 340 * u, 90 * u, [0.45, 0.03, 260], 0.34, 9, 0.8);
  cottage(scene, x + 52 * u, hz - 12 * u, 0.3);
  lighthouseTower(scene, x, foot, 238 * u, 0.26);
  rock(scene, x - 50 * u, hz + 38 * u, 150 * u, 64 * u, [0.39, 0.03, 262], 0.24, 7);
  rock(scene, x + 104 * u, hz + 42 * u, 200 * u, 60 * u, [0.37, 0.03, 262], 0.22, 7);
  if (storm) waveRow(scene, hz + 150 * u, 46, 80, 0.06, [0.33, 0.05, 212], true);
  rock(scene, W * 0.34, H + 46 * u, 900 * u, 150 * u, [0.38, 0.035, 255], 0.04, 16, 0.28);
  return { x: W * 0.3, y: H * 0.845, head: 46 * u, depth: 0.03, horizon: hz };
};

const FRONTS: readonly Lch[] = [
  [0.62, 0.11, 32],
  [0.78, 0.09, 80],
  [0.62, 0.05, 215],
  [0.84, 0.04, 85],
  [0.6, 0.08, 155],
  [0.68, 0.09, 55],
  [0.55, 0.07, 270],
  [0.74, 0.08, 25],
];
const TOWN_ROOFS: readonly Lch[] = [
  [0.45, 0.09, 32],
  [0.38, 0.04, 255],
  [0.5, 0.08, 45],
];
const SHUTTERS: readonly Lch[] = [
  [0.45, 0.07, 160],
  [0.45, 0.07, 235],
  [0.5, 0.1, 30],
];

export const harbour: Place = (scene, hints) => {
  const { width: W, height: H, unit: u, random: r } = scene;
  const hz = horizonOf(scene, hints, 0.46);
  const sun = paintSky(scene, hz, 0.16);
  paintClouds(scene, hz);
  ridge(scene, hz, 30, 140, [0.5, 0.06, 240], 0.8);
  paintWater(scene, hz);
  glitter(scene, hz, sun, 70);
  ripples(scene, hz, hz + 3 * u, H, 110, { alpha: 0.35 });
  lighthouseTower(scene, W * 0.07, hz + 3 * u, 120 * u, 0.55);
  const row = hz + 26 * u;
  scene.group({ y: row + 14 * u, sway: 1.8 }, () => {
    for (let x = W * 0.3, i = 0; x < W * 1.08; i++) {
      const w = r.range(50, 70) * u;
      townhouse(
        scene,
        x + w / 2,
        row,
        w,
        r.range(66, 128) * u,
        0.4,
        FRONTS[i % FRONTS.length],
        r.pick(TOWN_ROOFS),
        r.pick(SHUTTERS),
      );
      x += w;
    }
    scene
      .pen({ region: REGION.rock, depth: 0.36 })
      .shape(wobble(rectangle(W * 0.27, row - 2 * u, W, 17 * u), 0.8, 14, 3), [0.55, 0.02, 80], { strokes: 0 });
  });
  sailingBoat(scene, W * 0.36, row + 60 * u, 110 * u, 0.28, { colour: [0.45, 0.09, 230], furled: true });
  sailingBoat(scene, W * 0.64, row + 48 * u, 92 * u, 0.3, { furled: true, flip: true });
  sailingBoat(scene, W * 0.1, row + 26 * u, 70 * u, 0.42);
  quay(scene, H * 0.8);
  return { x: W * 0.46, y: H * 0.8 + 34 * u, head: 48 * u, depth: 0.03, horizon: hz };
};

/** Cobbles with a kerb and mooring posts, from a height (px) down. */
function quay(scene: Scene, y: number): void {
  const { width: W, height: H, unit: u, random: r } = scene;
  const ground = scene.pen({ region: REGION.ground, depth: 0.05 });
  ground.shape(
    wobble(
      [
        [-20, y],
        [W * 1.05, y - 4 * u],
        [W * 1.05, H + 20],
        [-20, H + 20],
      ],
      1,
      20,
      4,
    ),
    [0.62, 0.025, 75],
    { strokes: 0, texture: 1.3 },
  );
  for (let row = 0; row < 5; row++) {
    const top = y + 8 * u + row * row * 6.5 * u;
    for (let x = -20 + row * 13; x < W + 20; x += (34 + row * 9) * u) {
      const stone: Point[] = [
        [x, top],
        [x + (14 + row * 4) * u, top - (2 + row) * u],
        [x + (29 + row * 8) * u, top],
        [x + (28 + row * 8) * u, top + (6 + row * 4) * u],
        [x + 2 * u, top + (6 + row * 4) * u],
      ];
      ground.shape(wobble(spline(stone), 0.8, 10, x), [0.6 + r.bell() * 0.03, 0.022, 75 + r.bell() * 12], {
        shade: 0.6,
        texture: 0.6,
      });
    }
  }
  scene
    .pen({ region: REGION.rock, depth: 0.05 })
    .shape(wobble(rectangle(-20, y - 6 * u, W + 60, 11 * u), 0.8, 14, 3), [0.72, 0.02, 80], { strokes: 0 });
  const iron = scene.pen({ region: REGION.prop, depth: 0.05 });
  for (const k of [0.08, 0.62, 0.93]) {
    const x = W * k;
    iron.shape(
      wobble(
        spline([
          [x - 8 * u, y + 4 * u, 1],
          [x - 6 * u, y - 16 * u],
          [x - 10 * u, y - 24 * u],
          [x + 10 * u, y - 24 * u],
          [x + 6 * u, y - 16 * u],
          [x + 8 * u, y + 4 * u, 1],
        ]),
        0.5,
        9,
        k,
      ),
      [0.3, 0.02, 260],
    );
    iron.shape(ellipse(x, y - 24 * u, 9 * u, 2.5 * u), [0.4, 0.02, 260], { plain: true });
  }
}

export const millByTheDyke: Place = (scene, hints) => {
  const { width: W, height: H, unit: u, random: r, light: e } = scene;
  const hz = horizonOf(scene, hints, 0.52);
  const autumn = e.season === 'autumn';
  paintSky(scene, hz + 30 * u, 0.22);
  paintClouds(scene, hz);
  if (e.weather === 'clear') cloudBank(scene, hz * 0.3, 2, 1.3, { spread: 20 });
  ridge(scene, hz, 30, 140, [0.5, 0.06, 200], 0.8);
  treeline(scene, hz + 4, 18 * u, autumn ? [0.58, 0.11, 60] : [0.45, 0.08, 145], 0.62);
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
  millTower(scene, W * 0.7, dyke + 8 * u, 290 * u, 0.24, 0.28);
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
  meadowFlecks(scene, dyke + 22 * u, H * 0.78, 70, [0.55, 0.09, 105], 0.2);
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
  reedBank(scene, -10, W * 1.02, () => H + 4 * u, 58 * u, [0.38, 0.07, 118], 0, {
    count: 6,
    step: 14,
    width: 3 * u,
    wind: 0.12,
    heads: 0.06,
    plumes: 0.06,
  });
  return { x: W * (0.28 + 0.04 * r.next()), y: dyke + 52 * u, head: 46 * u, depth: 0.14, horizon: hz };
};
