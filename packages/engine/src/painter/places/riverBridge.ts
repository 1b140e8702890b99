import { adjustLch, type Lch } from '@urbild/core';
import { spline, wobble } from '../geometry/curve';
import { ellipse, rectangle, type Point } from '../geometry/point';
import { fields, grass, grassOf } from '../land/fields';
import { bank, ridge, treeline } from '../land/land';
import { reedBank, tree } from '../land/plants';
import { paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
import { ripples } from '../water/water';
import { horizonOf, type Place } from './place';

const STONE: Lch = [0.66, 0.03, 70];

/** The height of a bridge's deck at a part of the width; `y` is that of its ends. */
const deckOf =
  ({ unit }: Scene, y: number) =>
  (t: number): number =>
    y - 34 * unit * Math.sin(Math.PI * Math.min(1, Math.max(0, t)));

/** A humped stone bridge across the whole width. */
function bridge(scene: Scene, y: number, deck: (t: number) => number): void {
  const { width: W, unit: u, random: r } = scene;
  const top: Point[] = Array.from({ length: 21 }, (_, i) => [-20 + ((W + 40) * i) / 20, deck(i / 20)]);
  const foot = y + 118 * u;
  const arch = (c: number, half: number, rise: number): Point[] =>
    Array.from({ length: 15 }, (_, i) => {
      const a = Math.PI * (i / 14);
      return [c + Math.cos(a) * half, foot - Math.sin(a) * rise];
    });
  const pen = scene.pen({ region: REGION.rock, depth: 0.1 });
  scene.group({ y: foot, sway: 2, tint: 0.35, alpha: 0.7 }, () => {
    const wall = pen.shape(
      wobble(
        [...top, [W + 20, foot], ...arch(W * 0.72, W * 0.16, 92 * u), ...arch(W * 0.28, W * 0.16, 92 * u), [-20, foot]],
        0.9,
        16,
        3,
      ),
      STONE,
      { strokes: 0, texture: 1.3, volume: 0.4 },
    );
    scene.inside(wall, () => {
      for (let row = 0; row < 9; row++)
        for (let x = -20 + (row % 2) * 16 * u; x < W + 20; x += 34 * u) {
          const yy = deck(x / W) + (10 + row * 15) * u;
          pen.shape(
            wobble(rectangle(x, yy, 31 * u, 12 * u), 0.9, 8, x + row),
            adjustLch(STONE, r.bell() * 0.035, 1, r.bell() * 10),
            { volume: 0.3, rim: 0.5, shade: 0.5, texture: 0.6 },
          );
        }
      for (const c of [0.28, 0.72])
        for (let i = 0; i <= 14; i++) {
          const a = Math.PI * (i / 14);
          const [cx, cy] = [W * c + Math.cos(a) * W * 0.175, foot - Math.sin(a) * 104 * u];
          pen.shape(ellipse(cx, cy, 10 * u, 10 * u, 0, 8), adjustLch(STONE, -0.07 + (i % 2) * 0.04), { volume: 0.4 });
        }
    });
  });
  const parapet: Point[] = [
    ...top.map(([x, py]): Point => [x, py - 12 * u]),
    ...[...top].reverse().map(([x, py]): Point => [x, py + 4 * u]),
  ];
  pen.shape(wobble(parapet, 0.8, 14, 5), adjustLch(STONE, 0.06), { strokes: 0, texture: 1.1 });
}

/** A river under an old stone bridge, willows on its banks; people stand on the bridge. */
export const riverBridge: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, light: e } = scene;
  const hz = horizonOf(scene, setting, 0.44);
  paintSky(scene, hz + 20 * u, 0.68);
  paintClouds(scene, hz);
  ridge(scene, hz + 6 * u, 50, 160, [0.5, 0.06, 230], 0.84);
  treeline(scene, { y: hz + 8 * u, height: 20 * u, colour: grassOf(scene, -0.1), depth: 0.6 });
  fields(scene, hz + 4 * u, H * 0.7, 4, (i) => grassOf(scene, [0.06, 0, 0.04, 0.02][i]));
  scene.pen({ region: REGION.water, depth: 0.2, raw: true }).shape(
    wobble(
      spline([
        [W * 0.56, hz + 12 * u, 1],
        [W * 0.6, hz + 12 * u, 1],
        [W * 0.66, hz + 40 * u],
        [W * 0.98, H * 0.72],
        [W * 1.06, H * 0.8],
        [W * 1.06, H + 20, 1],
        [-20, H + 20, 1],
        [-20, H * 0.8],
        [W * 0.1, H * 0.72],
        [W * 0.5, hz + 46 * u],
      ]),
      1,
      18,
      3,
    ),
    e.water[0],
    { toColour: e.water[1], volume: 0, rim: 0.3, shade: 0, strokes: 0 },
  );
  ripples(scene, hz, H * 0.72, H, 60, { alpha: 0.4 });
  tree(scene, W * 0.08, H * 0.6, 180 * u, 0.26);
  tree(scene, W * 0.93, H * 0.58, 140 * u, 0.3);
  const onFoot = setting.onFoot;
  const y = H * (onFoot ? 0.74 : 0.6);
  const deck = deckOf(scene, y);
  scene.landmark('river bridge', () => bridge(scene, y, deck));
  bank(
    scene,
    [
      [-20, H + 20, 1],
      [-20, H * 0.88],
      [W * 0.1, H * 0.9],
      [W * 0.24, H + 20, 1],
    ],
    grassOf(scene, -0.05),
    0.05,
  );
  bank(
    scene,
    [
      [W * 1.05, H + 20, 1],
      [W * 1.05, H * 0.86],
      [W * 0.93, H * 0.9],
      [W * 0.8, H + 20, 1],
    ],
    grassOf(scene, -0.05),
    0.05,
  );
  reedBank(scene, {
    x0: -10,
    x1: W * 0.2,
    shore: () => H + 4 * u,
    height: 66 * u,
    colour: grassOf(scene, -0.12),
    depth: 0.02,
    style: {
      count: 6,
      width: 2.4 * u,
      wind: 0.15,
      heads: 0.1,
    },
  });
  reedBank(scene, {
    x0: W * 0.84,
    x1: W * 1.03,
    shore: () => H + 4 * u,
    height: 60 * u,
    colour: grassOf(scene, -0.12),
    depth: 0.02,
    style: {
      count: 6,
      width: 2.4 * u,
      wind: -0.12,
      heads: 0.1,
    },
  });
  grass(scene, H * 0.94, H, 14, 0.04);
  return {
    x: W * 0.46,
    y: deck(0.46) + 3 * u,
    head: 43 * u,
    depth: 0.08,
    horizon: hz,
    left: W * 0.14,
    right: W * 0.86,
    boat: { x: W * 0.55, y: H * 0.93 },
  };
};
