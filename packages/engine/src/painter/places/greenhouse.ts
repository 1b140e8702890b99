import { adjustLch, mixLch, type Lch } from '@urbild/core';
import { wobble } from '../geometry/curve';
import { rectangle, type Path } from '../geometry/point';
import { reeds } from '../land/plants';
import { treeline } from '../land/land';
import { paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
import { paintThing } from '../things';
import type { Place } from './place';
import { hangingLamp } from './room';

const FRAME: Lch = [0.6, 0.05, 165];

/** Under glass: iron frames, beds of plants on both sides, a tiled path between. */
export const greenhouse: Place = (scene) => {
  const { width: W, height: H, unit: u } = scene;
  const floor = H * 0.66;
  paintSky(scene, floor, 0.75);
  paintClouds(scene, floor * 0.7);
  treeline(scene, { y: floor, height: 60 * u, colour: [0.46, 0.07, 160], depth: 0.7 });
  scene
    .pen({ region: REGION.ground, depth: 0.1 })
    .shape(rectangle(-10, floor - 4 * u, W + 20, H - floor + 20), [0.6, 0.045, 60], { strokes: 0, texture: 1.2 });
  tiledPath(scene, floor);
  const glass = scene.pen({ region: REGION.window, depth: 0.3, raw: true });
  glass.shape(rectangle(-10, -10, W + 20, floor + 10), mixLch(scene.light.sky[2], [0.9, 0.03, 170], 0.5), {
    plain: true,
    alpha: 0.16,
  });
  ironFrames(scene, floor);
  brickWall(scene, floor);
  for (let row = 0; row < 4; row++) for (const side of [-1, 1]) bed(scene, floor, row / 3, side);
  for (const [x, s] of [
    [0.08, 84],
    [0.92, 92],
  ])
    paintThing(scene, 'flower pot', { x: W * x, y: H * 0.97, size: s * u, depth: 0.03 });
  if (scene.light.lamps) hangingLamp(scene, W * 0.5, H * 0.26, 300 * u);
  return {
    x: W * 0.5,
    y: H * 0.89,
    head: 50 * u,
    depth: 0.05,
    horizon: H * 0.44,
    sill: { x: W * 0.5, y: floor - 30 * u },
    wall: floor,
    left: W * 0.24,
    right: W * 0.76,
  };
};

function tiledPath(scene: Scene, floor: number): void {
  const { width: W, height: H, unit: u } = scene;
  const tile = scene.pen({ region: REGION.ground, depth: 0.08 });
  const path = tile.shape(
    wobble(
      [
        [W * 0.44, floor],
        [W * 0.56, floor],
        [W * 0.86, H + 10],
        [W * 0.14, H + 10],
      ],
      0.8,
      16,
      2,
    ),
    [0.72, 0.045, 62],
    { strokes: 0 },
  );
  scene.inside(path, () => {
    for (let i = 1; i < 8; i++)
      tile.line(
        [
          [0, floor + (H - floor) * (i / 8) ** 1.7],
          [W, floor + (H - floor) * (i / 8) ** 1.7],
        ],
        1.5 * u,
        [0.52, 0.045, 55],
        { taper: [0, 0] },
      );
    for (let i = -3; i <= 3; i++)
      tile.line(
        [
          [W * (0.5 + i * 0.02), floor],
          [W * (0.5 + i * 0.12), H + 10],
        ],
        1.5 * u,
        [0.52, 0.045, 55],
        { taper: [0, 0] },
      );
  });
}

/** The frames of the glass house: ribs of the far wall, bows at both sides, ridge and eaves. */
function ironFrames(scene: Scene, floor: number): void {
  const { width: W, height: H, unit: u } = scene;
  const iron = scene.pen({ region: REGION.building, depth: 0.05 });
  const bar = (p: Path, w: number) => iron.line(p, w * u, FRAME, { taper: [0, 0] });
  const ridge = H * 0.1;
  const eaves = H * 0.3;
  for (let i = 0; i <= 8; i++) {
    const x = W * (0.3 + i * 0.05);
    bar(
      [
        [x, floor],
        [x, eaves + 30 * u * Math.abs(i - 4) * 0.05],
        [W * 0.5 + (x - W * 0.5) * 0.7, ridge + 36 * u],
      ],
      2.6,
    );
  }
  for (const s of [-1, 1]) sideBows(bar, { W, u, floor, ridge, eaves }, s);
  bar(
    [
      [W * 0.5, ridge - 60 * u],
      [W * 0.5, ridge + 36 * u],
    ],
    4,
  );
  bar(
    [
      [W * 0.3, floor - 60 * u],
      [W * 0.7, floor - 60 * u],
    ],
    3,
  );
  bar(
    [
      [W * 0.29, eaves],
      [W * 0.71, eaves],
    ],
    4,
  );
}

interface Frames {
  readonly W: number;
  readonly u: number;
  readonly floor: number;
  readonly ridge: number;
  readonly eaves: number;
}

function sideBows(bar: (p: Path, w: number) => void, { W, u, floor, ridge, eaves }: Frames, s: number): void {
  for (let i = 0; i < 5; i++) {
    const t = i / 4;
    const x = W * 0.5 + s * W * (0.22 + 0.34 * t);
    bar(
      [
        [x, floor + 60 * u * t],
        [x, eaves - 50 * u * t],
        [W * 0.5 + s * W * 0.14 * (1 + t), ridge - 40 * u * t],
      ],
      3 + 2.4 * t,
    );
  }
  bar(
    [
      [W * 0.5 + s * W * 0.2, eaves],
      [W * 0.5 + s * W * 0.6, eaves - 70 * u],
    ],
    5,
  );
  bar(
    [
      [W * 0.5 + s * W * 0.2, floor - 60 * u],
      [W * 0.5 + s * W * 0.6, floor - 30 * u],
    ],
    3.4,
  );
}

function brickWall(scene: Scene, floor: number): void {
  const { width: W, unit: u } = scene;
  const brick = scene.pen({ region: REGION.building, depth: 0.24 });
  brick.shape(wobble(rectangle(W * 0.29, floor - 26 * u, W * 0.42, 28 * u), 0.8, 14, 7), [0.6, 0.08, 42], {
    strokes: 0,
    texture: 1.2,
  });
  brick.shape(wobble(rectangle(W * 0.285, floor - 31 * u, W * 0.43, 7 * u), 0.6, 14, 8), [0.82, 0.03, 80], {
    strokes: 0,
  });
}

/** Colours of the flowers in the beds. */
const PETALS: readonly Lch[] = [
  [0.66, 0.18, 22],
  [0.85, 0.14, 92],
  [0.76, 0.12, 345],
  [0.6, 0.13, 300],
];

/** A bed of plants beside the path: `t` from 0 at the far wall to 1 near the eye. */
function bed(scene: Scene, floor: number, t: number, side: number): void {
  const { width: W, unit: u, random: r } = scene;
  const x = W * 0.5 + side * W * (0.14 + 0.26 * t);
  const y = floor + (8 + 92 * t) * u;
  const depth = 0.22 - 0.16 * t;
  const w = (46 + 60 * t) * u;
  scene
    .pen({ region: REGION.wood, depth })
    .shape(wobble(rectangle(x - w * 0.8, y - 10 * u, w * 1.6, (14 + 26 * t) * u), 0.8, 12, x), [0.5, 0.06, 55], {
      strokes: 0,
    });
  for (let k = 0; k < 6; k++)
    reeds(scene, {
      x: x + (k - 2.5) * w * 0.26,
      y: y - 8 * u,
      count: 8,
      height: (36 + 60 * t) * r.range(0.7, 1.2) * u,
      colour: adjustLch([0.5, 0.11, 138], r.bell() * 0.05, 1, r.bell() * 14),
      depth,
      style: { spread: w * 0.16, width: (2.4 + 3 * t) * u, wind: r.bell() * 0.2 },
    });
  for (let k = 0; k < 4; k++)
    paintThing(scene, 'flower', {
      x: x + (k - 1.5) * w * 0.36,
      y: y - 6 * u,
      size: (34 + 34 * t) * u,
      depth,
      colour: r.pick(PETALS),
    });
}
