import { type Lch } from '@urbild/core';
import { spline, wobble } from '../geometry/curve';
import { ellipse, rectangle, type Point } from '../geometry/point';
import { townhouse } from '../things/townhouse';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';

export const FRONTS: readonly Lch[] = [
  [0.62, 0.11, 32],
  [0.78, 0.09, 80],
  [0.62, 0.05, 215],
  [0.84, 0.04, 85],
  [0.6, 0.08, 155],
  [0.68, 0.09, 55],
  [0.55, 0.07, 270],
  [0.74, 0.08, 25],
];
export const TOWN_ROOFS: readonly Lch[] = [
  [0.45, 0.09, 32],
  [0.38, 0.04, 255],
  [0.5, 0.08, 45],
];
export const SHUTTERS: readonly Lch[] = [
  [0.45, 0.07, 160],
  [0.45, 0.07, 235],
  [0.5, 0.1, 30],
];

/** A row of gabled houses between two x (px) on a foot line, about `w` px wide each. */
export function houseRow(scene: Scene, x0: number, x1: number, y: number, w: number, depth: number): void {
  const r = scene.random;
  for (let x = x0, i = 0; x < x1; i++) {
    const width = w * r.range(0.84, 1.16);
    const height = w * r.range(1.1, 2.1);
    townhouse(scene, {
      x: x + width / 2,
      y,
      w: width,
      h: height,
      depth,
      colour: FRONTS[i % FRONTS.length],
      roof: r.pick(TOWN_ROOFS),
      shutter: r.pick(SHUTTERS),
    });
    x += width;
  }
}

/** Cobbles from a height (px) down; `posts` for mooring along their edge. */
export function cobbles(scene: Scene, y: number, posts: boolean): void {
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
  if (!posts) return;
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

/** A square tower with a pointed roof: middle of its foot (x, y), half its width, heights of wall and roof, px. */
export function steeple(
  scene: Scene,
  [x, y]: readonly [number, number],
  [half, wall, spire]: readonly [number, number, number],
  depth: number,
  [stone, roof]: readonly [Lch, Lch],
): void {
  scene
    .pen({ region: REGION.building, depth })
    .shape(wobble(rectangle(x - half, y - wall, half * 2, wall), 0.7, 14, 2), stone, { strokes: Math.PI / 2 });
  const eaves = y - wall + half * 0.05;
  const peak: Point[] = [
    [x - half * 1.3, eaves],
    [x, eaves - spire],
    [x + half * 1.3, eaves],
  ];
  scene.pen({ region: REGION.roof, depth }).shape(wobble(peak, 0.7, 14, 2), roof);
}
