import { adjustLch, type Lch } from '@urbild/core';
import { ribbon, spline, wobble } from '../geometry/curve';
import { ellipse, type Point } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';

/** A gull far up: centre and half span in px. */
export function gull(
  scene: Scene,
  x: number,
  y: number,
  span: number,
  colour: Lch = [0.95, 0.01, 90],
  depth = 0.2,
): void {
  if (!scene.allows('creature: gull')) return;
  scene.pen({ region: REGION.animal, depth }).shape(
    ribbon(
      [
        [x - span, y - span * 0.1],
        [x - span * 0.45, y - span * 0.42],
        [x, y],
        [x + span * 0.5, y - span * 0.38],
        [x + span, y - span * 0.02],
      ],
      [0.3, span * 0.16, span * 0.22, span * 0.15, 0.3],
    ),
    colour,
    { plain: true },
  );
}

/** How a heron stands. */
export interface HeronStyle {
  /** Faces left. */
  readonly flip?: boolean;
  /** The red neckerchief by which Brom is known. */
  readonly scarf?: boolean;
  /** The colour of its feathers, grey if absent. */
  readonly colour?: Lch;
}

const USUAL: Lch = [0.64, 0.025, 245];
const DARK_GREY: Lch = [0.46, 0.03, 255];
const WHITE: Lch = [0.92, 0.012, 90];
const BLACK: Lch = [0.24, 0.02, 270];
const BILL: Lch = [0.74, 0.12, 70];
const RED: Lch = [0.55, 0.185, 27];

/** A heron standing on (x, y) px, `size` px tall. */
export function heron(
  scene: Scene,
  x: number,
  y: number,
  size: number,
  depth: number,
  { flip = false, scarf = true, colour }: HeronStyle = {},
): void {
  const GREY = colour ?? USUAL;
  const f = flip ? -1 : 1;
  const P = (u: number, v: number): Point => [x + u * size * f, y - v * size];
  const path = (...points: readonly (readonly [number, number, 1?])[]): Point[] =>
    points.map(([u, v, c]) => (c ? [...P(u, v), 1] : P(u, v)) as unknown as Point);
  const pen = scene.pen({ region: REGION.animal, depth, keep: scene.light.figureKeep * 0.5 });
  for (const [a, b, c, shade] of [
    [-0.015, -0.03, -0.01, 0],
    [0.04, 0.06, 0.05, 0.04],
  ] as const) {
    pen.line([P(a, 0.34), P(b, 0.18), P(c, 0)], size * 0.02, [0.5 + shade, 0.05, 75], { taper: [0, 0] });
    pen.line([P(c, 0.003), P(c + 0.07, -0.005)], size * 0.012, [0.5, 0.05, 75]);
    pen.line([P(c, 0.003), P(c - 0.04, -0.003)], size * 0.01, [0.5, 0.05, 75]);
  }
  // tail and body
  pen.shape(
    wobble(
      spline(
        path(
          [-0.29, 0.33, 1],
          [-0.2, 0.46],
          [-0.05, 0.585],
          [0.1, 0.6],
          [0.17, 0.52],
          [0.12, 0.4],
          [0, 0.335],
          [-0.14, 0.33],
        ),
      ),
      0.6,
      9,
      x,
    ),
    GREY,
    { volume: 0.9, shade: 1.2, rim: 1.3, strokes: 0.6 * f },
  );
  // neck
  const neck = [P(0.08, 0.53), P(0.17, 0.6), P(0.13, 0.7), P(0.085, 0.79), P(0.13, 0.88), P(0.19, 0.905)];
  pen.shape(
    wobble(
      ribbon(
        neck,
        [0.15, 0.1, 0.065, 0.052, 0.055, 0.06].map((w) => w * size),
      ),
      0.4,
      9,
      x,
    ),
    [0.84, 0.012, 80],
    { volume: 0.9, rim: 1.2, strokes: 1.4, texture: 0.6 },
  );
  for (let i = 0; i < 5; i++) {
    const t = i / 5;
    pen.line([P(0.155 - 0.03 * t, 0.6 + 0.16 * t), P(0.145 - 0.035 * t, 0.63 + 0.16 * t)], size * 0.012, BLACK, {
      alpha: 0.75,
    });
  }
  pen.shape(
    wobble(ribbon([P(0.16, 0.58), P(0.185, 0.5), P(0.15, 0.4)], [size * 0.05, size * 0.045, 0.5]), 0.5, 8, x),
    WHITE,
    { rim: 0.6, texture: 0.4 },
  );
  // wing
  pen.shape(
    wobble(
      spline(path([-0.33, 0.3, 1], [-0.2, 0.4], [-0.03, 0.55], [0.08, 0.56], [0.1, 0.49], [0, 0.4], [-0.15, 0.335])),
      0.6,
      9,
      x + 1,
    ),
    adjustLch(GREY, -0.06),
    { volume: 0.8, rim: 0.8, strokes: 0.6 * f },
  );
  for (let i = 0; i < 5; i++) {
    const t = i / 5;
    pen.line(
      [
        P(0.05 - 0.08 * t, 0.52 - 0.05 * t),
        P(-0.12 - 0.06 * t, 0.41 - 0.035 * t),
        P(-0.28 - 0.02 * t, 0.315 - 0.003 * i),
      ],
      size * 0.012,
      i % 2 ? DARK_GREY : adjustLch(DARK_GREY, -0.08),
      { alpha: 0.7 },
    );
  }
  pen.shape(wobble(spline(path([0.09, 0.565], [0.13, 0.53], [0.1, 0.48], [0.06, 0.52])), 0.4, 8, x), BLACK, {
    plain: true,
    alpha: 0.85,
  });
  // head, bill, plume, eye
  pen.shape(
    wobble(
      spline(
        path([0.125, 0.925], [0.165, 0.95], [0.22, 0.945], [0.255, 0.918], [0.24, 0.89], [0.18, 0.875], [0.135, 0.885]),
      ),
      0.25,
      8,
      x,
    ),
    WHITE,
    { rim: 0.8, texture: 0.4 },
  );
  pen.shape(
    wobble(
      spline(path([0.265, 0.925, 1], [0.255, 0.885, 1], [0.34, 0.882], [0.47, 0.868, 1], [0.36, 0.905])),
      0.2,
      8,
      x,
    ),
    BILL,
    { texture: 0.3, rim: 0.6, shade: 1.5 },
  );
  pen.line([P(0.25, 0.9), P(0.36, 0.889), P(0.45, 0.873)], size * 0.006, adjustLch(BILL, -0.25));
  pen.shape(
    ribbon(
      [P(0.225, 0.93), P(0.15, 0.945), P(0.05, 0.9), P(-0.02, 0.865)],
      [size * 0.018, size * 0.035, size * 0.02, 0.4],
    ),
    BLACK,
    { texture: 0.2, rim: 0.5 },
  );
  pen.line([P(0.14, 0.935), P(0.06, 0.925), P(0, 0.91)], size * 0.008, BLACK);
  const eye = pen.with({ region: REGION.eye });
  eye.shape(ellipse(...xy(P(0.218, 0.914)), size * 0.0155, size * 0.0155), [0.86, 0.14, 90], { plain: true });
  eye
    .with({ raw: true })
    .shape(ellipse(...xy(P(0.22, 0.914)), size * 0.008, size * 0.008, 0, 10), [0.15, 0.01, 0], { plain: true });
  if (scarf) neckerchief(scene, P, path, size, depth, x);
}

const xy = (p: Point): [number, number] => [p[0], p[1]];

function neckerchief(
  scene: Scene,
  P: (u: number, v: number) => Point,
  path: (...points: readonly (readonly [number, number, 1?])[]) => Point[],
  size: number,
  depth: number,
  seed: number,
): void {
  const pen = scene.pen({ region: REGION.garment, depth, keep: scene.light.figureKeep });
  pen.shape(
    wobble(
      spline(path([0.05, 0.7], [0.1, 0.735], [0.165, 0.725], [0.185, 0.685], [0.12, 0.665], [0.06, 0.675])),
      0.4,
      8,
      seed,
    ),
    RED,
    { rim: 1.3, texture: 0.8 },
  );
  pen.shape(
    wobble(spline(path([0.1, 0.675, 1], [0.19, 0.68, 1], [0.2, 0.6], [0.175, 0.545, 1], [0.125, 0.62])), 0.4, 8, seed),
    adjustLch(RED, -0.03),
    { rim: 1.3, texture: 0.8 },
  );
  for (const [a, b] of [
    [0.14, 0.65],
    [0.165, 0.62],
    [0.17, 0.655],
    [0.12, 0.7],
    [0.155, 0.7],
  ]) {
    pen.shape(ellipse(...xy(P(a, b)), size * 0.0065, size * 0.0065, 0, 8), [0.95, 0.02, 90], { plain: true });
  }
  pen.shape(wobble(spline(path([0.055, 0.69], [-0.02, 0.7], [-0.05, 0.665], [0, 0.665])), 0.3, 8, seed), RED, {
    texture: 0.5,
  });
}
