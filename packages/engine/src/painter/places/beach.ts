import { adjustLch, mixLch, type Lch } from '@urbild/core';
import { spline, wobble } from '../geometry/curve';
import { ellipse, type Point } from '../geometry/point';
import { bank, ridge } from '../land/land';
import { reedBank } from '../land/plants';
import { sailingBoat } from '../things/boats';
import { paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
import { glitter, paintWater, ripples } from '../water/water';
import { roughSea } from '../water/waves';
import { horizonOf, type Place } from './place';

const SAND: Lch = [0.82, 0.065, 78];

/** Sand before the sea, dunes with grass on one side. */
export const beach: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, random: r, light: e } = scene;
  const hz = horizonOf(scene, setting, 0.44);
  const sun = paintSky(scene, hz, 0.3);
  paintClouds(scene, hz);
  ridge(scene, hz, 16, 150, [0.5, 0.05, 240], 0.84);
  paintWater(scene, hz);
  if (e.weather === 'storm') roughSea(scene, hz);
  else {
    glitter(scene, hz, sun, 70);
    ripples(scene, hz, hz + 3 * u, H * 0.7, 120, { alpha: 0.4 });
    sailingBoat(scene, W * 0.2, hz + 14 * u, 54 * u, 0.5, { sail: [0.93, 0.02, 85] });
  }
  shoreline(scene);
  const ground = scene.pen({ region: REGION.ground, depth: 0.06 });
  for (let i = 0; i < 50; i++) {
    const y = H * r.range(0.74, 1);
    const near = (y / H - 0.7) * 3;
    ground.shape(
      ellipse(r.next() * W, y, (2 + 7 * near) * u, (0.8 + 1.6 * near) * u, 0, 9),
      adjustLch(SAND, r.bell() * 0.05),
      { plain: true, alpha: 0.6 },
    );
  }
  dunes(scene);
  ground.line(
    wobble(
      [
        [W * 0.5, H * 0.96],
        [W * 0.62, H * 0.9],
      ],
      1,
      9,
      2,
    ),
    1,
    adjustLch(SAND, -0.1),
    { alpha: 0.3 },
  );
  return {
    x: W * 0.46,
    y: H * 0.84,
    head: 46 * u,
    depth: 0.05,
    keepOut: [W * 0.9],
    horizon: hz,
    left: W * 0.1,
    right: W * 0.86,
    boat: { x: W * 0.44, y: hz + 46 * u },
  };
};

/** Wet sand, foam and dry sand, each a step further up the beach. */
function shoreline(scene: Scene): void {
  const { width: W, height: H, unit: u, light: e } = scene;
  const edge = (dy: number): Point[] => [
    [-20, H * 0.665 + dy],
    [W * 0.22, H * 0.68 + dy],
    [W * 0.46, H * 0.645 + dy],
    [W * 0.7, H * 0.655 + dy],
    [W * 1.05, H * 0.61 + dy],
  ];
  const strip = (dy: number, colour: Lch, region: 4 | 5) =>
    bank(scene, [[-20, H + 20, 1], ...edge(dy), [W * 1.05, H + 20, 1]], colour, 0.16, region, { rim: 0, shade: 0 });
  strip(-6 * u, mixLch(SAND, e.water[0], 0.55), REGION.ground);
  const foam = scene.pen({ region: REGION.water, depth: 0.16 });
  foam.line(spline(edge(-5 * u), false), 4 * u, [0.97, 0.01, 200], { alpha: 0.9, taper: [0, 0] });
  foam.line(spline(edge(-16 * u), false), 2.4 * u, [0.95, 0.015, 200], { alpha: 0.6 });
  strip(4 * u, adjustLch(SAND, -0.08), REGION.ground);
  strip(22 * u, SAND, REGION.ground);
}

/** Sand with grass on it, at the right and in the near corner. */
function dunes(scene: Scene): void {
  const { width: W, height: H, unit: u } = scene;
  bank(
    scene,
    [
      [W * 0.72, H * 0.72, 1],
      [W * 0.8, H * 0.6],
      [W * 0.93, H * 0.5],
      [W * 1.06, H * 0.47],
      [W * 1.06, H * 0.84, 1],
      [W * 0.9, H * 0.79],
    ],
    adjustLch(SAND, 0.03),
    0.14,
  );
  reedBank(scene, {
    x0: W * 0.8,
    x1: W * 1.03,
    shore: (x) => H * (0.62 - 0.5 * (x / W - 0.8)),
    height: 42 * u,
    colour: [0.6, 0.08, 105],
    depth: 0.13,
    style: {
      count: 6,
      width: 1.8 * u,
      wind: -0.3,
    },
  });
  bank(
    scene,
    [
      [-20, H + 20, 1],
      [-20, H * 0.92],
      [W * 0.12, H * 0.935],
      [W * 0.24, H + 20, 1],
    ],
    adjustLch(SAND, -0.03),
    0.03,
  );
  reedBank(scene, {
    x0: -10,
    x1: W * 0.17,
    shore: () => H * 0.99,
    height: 74 * u,
    colour: [0.54, 0.08, 105],
    depth: 0,
    style: {
      count: 7,
      width: 2.6 * u,
      wind: 0.25,
      scale: (x) => 1.1 - x / (W * 0.2),
    },
  });
}
