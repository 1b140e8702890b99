import { adjustLch, mixLch } from '@urbild/core';
import { ellipse } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';
import { fold } from '../fold';
import { oilskin } from './oilskin';
import type { Trunk } from '../pose/trunk';

const G = REGION.garment;

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
