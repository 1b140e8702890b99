import { adjustLch, mixLch } from '@urbild/core';
import { capsule } from '../geometry/curve';
import { ellipse, type Point } from '../geometry/point';
import { REGION } from '../stage/region';
import type { FigureFrame } from './figure';
import type { Trunk } from './trunk';

const G = REGION.garment;

function fold(f: FigureFrame, points: Point[], alpha: number): void {
  f.stroke(G, points, 0.02, mixLch(adjustLch(f.person.top.colour, -0.15, 1, -6), f.scene.light.shadow, 0.2), {
    alpha,
    taper: [0.3, 0.4],
  });
}

/** Seams, toggles, pockets and folds of an oilskin coat. */
function oilskin(f: FigureFrame, { narrow: cw, middle: m, seam, hem, hips: hw, shoulders: sw, cos, sin }: Trunk): void {
  const k = f.person.girth;
  const dark = mixLch(adjustLch(f.person.top.colour, -0.13, 1, -8), f.scene.light.shadow, 0.12);
  const full = { taper: [0, 0] as const };
  fold(
    f,
    [
      [-0.4 * cw, 0.3],
      [-0.36 * cw + m(0.9), 0.7],
      [-0.42 * cw + m(1.4), 1.2],
    ],
    0.4,
  );
  fold(
    f,
    [
      [0.44 * cw, 0.35],
      [0.38 * cw, 0.75],
      [0.42 * cw + m(1.4), 1.2],
    ],
    0.4,
  );
  fold(
    f,
    [
      [-0.3 * cw + m(1.3), 1.25],
      [-0.36 * cw + m(2), 1.8],
      [-0.42 * cw + m(2.4), hem],
    ],
    0.5,
  );
  fold(
    f,
    [
      [0.32 * cw + m(1.3), 1.3],
      [0.36 * cw + m(2), 1.8],
      [0.44 * cw + m(2.4), hem],
    ],
    0.5,
  );
  f.stroke(
    G,
    [
      [seam(-0.05), -0.05],
      [seam(0.6), 0.6],
      [seam(1.3), 1.3],
      [seam(hem), hem],
    ],
    0.022,
    dark,
    { ...full, alpha: 0.9 },
  );
  f.stroke(
    G,
    [
      [seam(0.05) + 0.1 * cos, 0.05],
      [seam(0.6) + 0.11 * cos, 0.6],
      [seam(1.3) + 0.12 * cos, 1.3],
      [seam(hem) + 0.12 * cos, hem],
    ],
    0.01,
    dark,
    { ...full, alpha: 0.6 },
  );
  for (const y of [0.34, 0.74, 1.14, 1.54]) {
    const x = seam(y);
    f.shape(
      REGION.prop,
      capsule(
        [
          [x - 0.045, y],
          [x + 0.085, y + 0.006],
        ],
        [0.06, 0.055],
        0.03,
      ),
      [0.36, 0.06, 50],
      { texture: 0.2, line: 0.7 },
    );
    if (f.detail < 2) continue;
    f.stroke(
      G,
      [
        [x - 0.15, y - 0.012],
        [x - 0.04, y],
      ],
      0.014,
      [0.9, 0.03, 80],
      full,
    );
    f.stroke(
      G,
      [
        [x + 0.08, y],
        [x + 0.17, y - 0.01],
      ],
      0.014,
      [0.9, 0.03, 80],
      full,
    );
  }
  f.stroke(
    G,
    [
      [-sw, 0.36],
      [-0.3 * cw, 0.45],
      [seam(0.4), 0.47],
      [0.35 * cw, 0.44],
      [sw, 0.35],
    ],
    0.011,
    dark,
    { ...full, alpha: 0.7 },
  );
  for (const s of [-1, 1]) {
    const x = m(1.5) + s * 0.36 * k * cw + sin * 0.1;
    f.stroke(
      G,
      [
        [x - 0.15, 1.5],
        [x, 1.53],
        [x + 0.15, 1.5],
      ],
      0.018,
      dark,
      { alpha: 0.8 },
    );
    f.stroke(
      G,
      [
        [x - 0.15, 1.5],
        [x - 0.14, 1.74],
        [x, 1.78],
        [x + 0.14, 1.74],
        [x + 0.15, 1.5],
      ],
      0.01,
      dark,
      { alpha: 0.6 },
    );
  }
  f.stroke(
    G,
    [
      [-hw * 1.2 + m(hem), hem - 0.09],
      [m(hem), hem - 0.03],
      [hw * 1.2 + m(hem), hem - 0.09],
    ],
    0.01,
    dark,
    { alpha: 0.7 },
  );
}

/** Stitches of a plain jumper, and its folds. */
function jumper(f: FigureFrame, { narrow: cw, seam }: Trunk): void {
  const { colour, pattern } = f.person.top;
  if (!pattern && f.detail)
    for (let x = -0.5, i = 0; x <= 0.5; x += 0.125, i++)
      for (let y = 0.1; y < 1.7; y += 0.11) {
        const cx = x * cw * 1.1 + seam(0) * 0.6;
        f.stroke(
          G,
          [
            [cx - 0.03, y],
            [cx, y + 0.045],
            [cx + 0.03, y],
          ],
          0.011,
          adjustLch(colour, i % 2 ? 0.09 : -0.06),
          { alpha: 0.7 },
        );
      }
  fold(
    f,
    [
      [-0.4 * cw, 0.4],
      [-0.34 * cw, 0.9],
      [-0.4 * cw, 1.3],
    ],
    0.4,
  );
  fold(
    f,
    [
      [0.42 * cw, 0.4],
      [0.36 * cw, 0.9],
      [0.42 * cw, 1.3],
    ],
    0.4,
  );
}

/** Seam and buttons of a coat, jacket or shirt. */
function buttoned(f: FigureFrame, t: Trunk, buttons: readonly number[], size: number): void {
  const { colour } = f.person.top;
  const dark = mixLch(adjustLch(colour, -0.15), f.scene.light.shadow, 0.15);
  f.stroke(
    G,
    [
      [t.seam(0.1), 0.1],
      [t.seam(0.7), 0.7],
      [t.seam(1.4), 1.4],
      [t.seam(t.hem), t.hem],
    ],
    0.018,
    dark,
    { taper: [0, 0], alpha: 0.85 },
  );
  for (const y of buttons) {
    const x = t.seam(y) - 0.07 * t.cos;
    f.shape(REGION.prop, ellipse(x, y, size, size, 0, 10), colour[0] > 0.5 ? [0.3, 0.05, 50] : [0.8, 0.08, 80], {
      texture: 0,
      line: 0.6,
    });
  }
  for (const s of [-1, 1])
    fold(
      f,
      [
        [s * 0.42 * t.narrow, 0.4],
        [s * 0.36 * t.narrow, 0.9],
        [s * 0.44 * t.narrow, t.hem],
      ],
      0.4,
    );
}

/** Seen from behind: one seam down the middle and folds at the waist. */
function backSeam(f: FigureFrame, t: Trunk): void {
  fold(
    f,
    [
      [t.seam(0.2), 0.2],
      [t.seam(1), 1],
      [t.seam(t.hem), t.hem],
    ],
    0.7,
  );
  for (const s of [-1, 1])
    fold(
      f,
      [
        [s * 0.4, 0.4],
        [s * 0.3, 0.95],
        [s * 0.42, t.hem],
      ],
      0.45,
    );
}

/** What fastens and folds the top that a person wears. */
export function paintFastenings(f: FigureFrame, t: Trunk): void {
  const { kind } = f.person.top;
  if (t.back) return backSeam(f, t);
  switch (kind) {
    case 'oilskin':
      return oilskin(f, t);
    case 'coat':
      return buttoned(f, t, [0.5, 0.85, 1.2, 1.6], 0.05);
    case 'jacket':
      return buttoned(f, t, [0.6, 0.95, 1.3], 0.045);
    case 'shirt':
      return buttoned(f, t, [0.25, 0.55, 0.85, 1.15], 0.028);
    case 'jumper':
      return jumper(f, t);
    case 'dress':
      return dressFolds(f, t);
  }
}

/** The long folds of a dress. */
function dressFolds(f: FigureFrame, { narrow: cw }: Trunk): void {
  fold(
    f,
    [
      [-0.3 * cw, 1.3],
      [-0.4 * cw, 2],
      [-0.5 * cw, 3.1],
    ],
    0.5,
  );
  fold(
    f,
    [
      [0.1, 1.4],
      [0.12, 2.2],
      [0.1, 3.1],
    ],
    0.4,
  );
  fold(
    f,
    [
      [0.35 * cw, 1.3],
      [0.42 * cw, 2],
      [0.55 * cw, 3.1],
    ],
    0.5,
  );
}
