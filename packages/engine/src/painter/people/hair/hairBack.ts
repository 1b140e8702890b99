import { adjustLch, lerp, mixLch, type Lch } from '@urbild/core';
import type { Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';
import type { HeadModel } from '../head/headModel';
import { paintPlait } from './plait';

const HAIR = REGION.hair;

/** A ponytail that shows beside or behind the head. */
export function paintTail(f: FigureFrame, m: HeadModel): void {
  const { colour } = f.person.hair;
  const side = -1;
  const reach = 0.25 + 0.3 * Math.abs(m.sin);
  f.shape(
    HAIR,
    [
      m.place(side * 0.28, -0.3),
      m.place(side * (0.42 + reach * 0.6), -0.28),
      m.place(side * (0.46 + reach), 0.05),
      m.place(side * (0.4 + reach * 0.9), 0.55),
      m.place(side * (0.36 + reach * 0.6), 0.2),
      m.place(side * 0.34, 0),
    ],
    adjustLch(colour, -0.03),
    { strokes: 1.4, shade: 1.2 },
  );
}

/** Long wavy hair behind the face. */
export function paintWaves(f: FigureFrame, m: HeadModel, colour: Lch): void {
  const points: Point[] = [];
  const n = 18;
  for (let i = 0; i <= n; i++) {
    const a = ((-200 + (i / n) * 220) * Math.PI) / 180;
    points.push(m.place(-0.06 * m.sin + Math.cos(a) * 0.52, -0.06 + Math.sin(a) * 0.52));
  }
  for (const [x, y] of [
    [0.6, 0.2],
    [0.5, 0.38],
    [0.62, 0.6],
    [0.5, 0.85],
    [0.2, 0.72],
    [-0.2, 0.76],
    [-0.5, 0.88],
    [-0.64, 0.6],
    [-0.52, 0.38],
    [-0.62, 0.18],
  ])
    points.push(m.place(x - 0.1 * m.sin, y));
  f.shape(HAIR, points, colour, { strokes: 1.5, shade: 1.1 });
}

/** What is left on a bald head: hair around the back and the sides. */
export function paintTonsure(f: FigureFrame, m: HeadModel): void {
  const { colour } = f.person.hair;
  const runs: number[][] = [];
  let run: number[] = [];
  for (let a = -90 - m.yaw; a <= 90 - m.yaw + 0.01; a += 6) {
    const turned = Math.abs(((a + 540) % 360) - 180);
    if (turned > 68) run.push(a);
    else if (run.length) {
      runs.push(run);
      run = [];
    }
  }
  if (run.length) runs.push(run);
  for (const angles of runs)
    if (angles.length > 1)
      f.shape(
        HAIR,
        [...angles.map((a) => m.on(a, -0.13, 0, 1.05)), ...[...angles].reverse().map((a) => m.on(a, 0.14, 0, 1.08))],
        colour,
        { strokes: 1.4 },
      );
}

/** Hair that lies on the back of somebody seen from behind; drawn after the body. */
export function paintHairOnBack(f: FigureFrame, m: HeadModel): void {
  const { style, colour } = f.person.hair;
  const x = m.cx;
  switch (style) {
    case 'plait':
      return paintPlait(
        f,
        [
          [x, -0.3],
          [x + 0.03, 0.1],
          [x - 0.02, 0.6],
          [x + 0.01, 1.1],
        ],
        0.24,
      );
    case 'two plaits':
      for (const s of [-1, 1])
        paintPlait(
          f,
          [
            [x + s * 0.24, -0.35],
            [x + s * 0.3, 0.05],
            [x + s * 0.28, 0.5],
            [x + s * 0.3, 0.85],
          ],
          0.18,
        );
      return;
    case 'ponytail':
      f.shape(
        HAIR,
        [
          [x - 0.1, -0.75],
          [x + 0.1, -0.75],
          [x + 0.2, -0.2],
          [x + 0.13, 0.45],
          [x, 0.62],
          [x - 0.13, 0.4],
          [x - 0.2, -0.2],
        ],
        colour,
        { strokes: 1.5, shade: 1.2 },
      );
      return;
    case 'long':
    case 'wavy': {
      const wave = style === 'wavy' ? 0.08 : 0;
      f.shape(
        HAIR,
        [
          m.place(-0.42, -0.1),
          m.place(0, -0.3),
          m.place(0.42, -0.1),
          m.place(0.48 + wave, 0.4),
          m.place(0.44, 0.75),
          m.place(0.4 + wave, 1),
          m.place(0, 1.08),
          m.place(-0.4 - wave, 1),
          m.place(-0.44, 0.75),
          m.place(-0.48 - wave, 0.4),
        ],
        colour,
        { strokes: 1.5, shade: 1.1, volume: 0.8 },
      );
      if (f.detail)
        for (let i = 0; i < 9; i++) {
          const u = lerp(-0.36, 0.36, i / 8);
          f.stroke(
            HAIR,
            [m.place(u * 0.8, -0.2), m.place(u + wave, 0.4), m.place(u, 1)],
            0.012,
            i % 2 ? adjustLch(colour, -0.12) : mixLch(adjustLch(colour, 0.1), f.scene.light.light, 0.2),
            { alpha: 0.6 },
          );
        }
      return;
    }
    case 'curly':
    default:
      return;
  }
}

/** Two plaits over the shoulders, seen from the front or side. */
export function paintTwoPlaits(f: FigureFrame, m: HeadModel, narrow: number): void {
  const far: Point[] = [m.place(0.3, 0.16), m.place(0.36, 0.42), [0.36 * narrow, 0.08], [0.36 * narrow, 0.55]];
  const near: Point[] = [
    m.place(-0.32 - 0.08 * m.sin, 0.16),
    m.place(-0.38, 0.42),
    [-0.4 * narrow, 0.08],
    [-0.38 * narrow, 0.6],
  ];
  if (m.sin < 0.7) paintPlait(f, far, 0.15);
  paintPlait(f, near, 0.17);
}
