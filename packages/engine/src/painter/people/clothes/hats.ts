import { adjustLch, lerp, mixLch, type Lch } from '@urbild/core';
import { spline } from '../../geometry/curve';
import type { Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';
import type { HeadModel } from '../head/headModel';
import { paintKnitCap } from '../head/headwear';
import type { HatKind } from '../person';

const H = REGION.headwear;

/** The visible half of a line around the head at a height, from left to right; `out` beyond the skin. */
function around(m: HeadModel, y: (angle: number) => number, scale: number, out = 0): Point[] {
  const points: Point[] = [];
  for (let a = -90 - m.yaw; a <= 90 - m.yaw + 0.01; a += 9)
    points.push(m.on(a, y(((a + 540) % 360) - 180), out, scale));
  return points;
}

/** A crown of a hat over a line around the head: `top` are points from right to left, relative to the head. */
function crown(f: FigureFrame, m: HeadModel, edge: number, top: readonly Point[], colour: Lch, scale = 1.1): void {
  const line = around(m, () => edge, scale);
  f.shape(H, [...line, ...top.map(([x, y, c]) => sharp(m.place(x - 0.04 * m.sin, y), c))], colour, {
    strokes: 1.4,
    shade: 1.3,
    volume: 0.9,
    texture: 1.1,
  });
}

const sharp = (p: Point, c?: 1): Point => (c ? [p[0], p[1], 1] : p);

/** A flat brim seen a little from below: an ellipse about the head at height `y`. */
function brim(
  f: FigureFrame,
  {
    m,
    y,
    half,
    thick,
    colour,
    droop = 0,
  }: {
    readonly m: HeadModel;
    readonly y: number;
    readonly half: number;
    readonly thick: number;
    readonly colour: Lch;
    readonly droop?: number;
  },
): void {
  const n = 22;
  const points: Point[] = Array.from({ length: n }, (_, i) => {
    const a = (i / n) * Math.PI * 2;
    const x = Math.cos(a) * half;
    return m.place(x + 0.05 * m.sin, y + Math.sin(a) * thick + droop * (x / half) ** 2);
  });
  f.shape(H, points, colour, { strokes: 0, shade: 1, texture: 1.1 });
}

function band(f: FigureFrame, m: HeadModel, y: number, colour: Lch, scale: number): void {
  const low = around(m, () => y, scale);
  const high = around(m, () => y - 0.075, scale * 0.99).reverse();
  f.flat(H, spline([...low, ...high], true, 0.03), colour, { texture: 0.6 });
}

/** A hat of any kind on a head turned any way. */
export function paintHat(f: FigureFrame, m: HeadModel, kind: HatKind, colour: Lch): void {
  const dark = adjustLch(colour, -0.1);
  const dome: Point[] = [
    [0.5, -0.4],
    [0.36, -0.62],
    [0, -0.7],
    [-0.36, -0.62],
    [-0.5, -0.4],
  ];
  switch (kind) {
    case 'knit cap':
      return paintKnitCap(f, m, colour);
    case 'straw hat':
      brim(f, { m, y: -0.25, half: 0.86, thick: 0.13, colour: adjustLch(colour, -0.04), droop: 0.03 });
      crown(
        f,
        m,
        -0.26,
        [
          [0.47, -0.4],
          [0.38, -0.6],
          [0, -0.66],
          [-0.38, -0.6],
          [-0.47, -0.4],
        ],
        colour,
      );
      band(f, m, -0.25, mixLch([0.5, 0.14, 25], colour, 0.1), 1.11);
      if (f.detail > 1)
        for (let i = 0; i < 9; i++)
          f.stroke(H, [m.place(lerp(-0.7, 0.7, i / 8), -0.24), m.place(lerp(-0.8, 0.8, i / 8), -0.17)], 0.012, dark, {
            alpha: 0.6,
          });
      return;
    case 'hat':
      brim(f, { m, y: -0.25, half: 0.76, thick: 0.1, colour: adjustLch(colour, -0.03), droop: -0.06 });
      crown(
        f,
        m,
        -0.26,
        [
          [0.47, -0.42],
          [0.36, -0.7],
          [0.05, -0.66],
          [-0.3, -0.74],
          [-0.46, -0.42],
        ],
        colour,
      );
      return band(f, m, -0.25, dark, 1.11);
    case "sou'wester":
      crown(f, m, -0.22, dome, colour, 1.12);
      return brim(f, { m, y: -0.22, half: 0.7, thick: 0.1, colour: adjustLch(colour, 0.02), droop: 0.2 });
    case 'top hat':
      brim(f, { m, y: -0.27, half: 0.68, thick: 0.08, colour: adjustLch(colour, 0.03), droop: -0.05 });
      crown(
        f,
        m,
        -0.28,
        [
          [0.45, -0.6],
          [0.5, -1.08, 1],
          [0, -1.12],
          [-0.5, -1.08, 1],
          [-0.45, -0.6],
        ],
        colour,
        1.06,
      );
      return band(f, m, -0.28, mixLch(colour, [0.5, 0.15, 25], 0.65), 1.07);
    case 'beret':
      crown(
        f,
        m,
        -0.3,
        [
          [0.62, -0.42],
          [0.45, -0.6],
          [0, -0.66],
          [-0.5, -0.58],
          [-0.62, -0.4],
        ],
        colour,
        1.06,
      );
      return f.stroke(H, [m.place(0, -0.65), m.place(0.03, -0.74)], 0.05, dark);
    case 'headscarf': {
      crown(
        f,
        m,
        -0.25,
        dome.map(([x, y]) => [x * 0.98, y * 0.96]),
        colour,
        1.09,
      );
      const side = m.cos > -0.2 ? -1 : 1;
      f.shape(
        H,
        [
          m.place(side * 0.42, -0.2),
          m.place(side * 0.66, -0.12),
          m.place(side * 0.6, 0.1),
          m.place(side * 0.44, -0.02),
        ],
        dark,
        { strokes: 1 },
      );
      return;
    }
    case 'flat cap':
      crown(
        f,
        m,
        -0.25,
        [
          [0.56, -0.36],
          [0.42, -0.56],
          [0, -0.62],
          [-0.42, -0.56],
          [-0.52, -0.36],
        ],
        colour,
        1.08,
      );
      if (m.cos > -0.3) {
        const peak = around(m, (a) => (Math.abs(a) < 60 ? -0.21 : -0.25), 1.1).filter(
          (_, i, all) => i > all.length * (m.sin > 0.5 ? 0.55 : 0.14) && i < all.length * 0.9,
        );
        if (peak.length > 2)
          f.shape(H, [...peak, ...[...peak].reverse().map(([x, y]) => [x + 0.14 * m.sin, y + 0.1] as Point)], dark, {
            strokes: 0,
          });
      }
      return;
    case 'hood':
      return crown(
        f,
        m,
        -0.2,
        [
          [0.58, -0.3],
          [0.46, -0.64],
          [0.02, -0.74],
          [-0.46, -0.64],
          [-0.58, -0.3],
        ],
        colour,
        1.16,
      );
    case 'crown': {
      const low = around(m, () => -0.3, 1.08);
      const teeth = [...low].reverse().map(([x, y], i): Point => [x, y - (i % 2 ? 0.26 : 0.12), 1]);
      f.shape(H, [...low.map(([x, y]): Point => [x, y, 1]), ...teeth], colour, { strokes: 1, rim: 1.4 });
    }
  }
}
