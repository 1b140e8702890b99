import { adjustLch, mixLch } from '@urbild/core';
import { capsule } from '../../geometry/curve';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';
import { fold } from '../fold';
import type { Trunk } from '../pose/trunk';

const G = REGION.garment;

/** Seams, toggles, pockets and folds of an oilskin coat. */
export function oilskin(
  f: FigureFrame,
  { narrow: cw, middle: m, seam, hem, hips: hw, shoulders: sw, cos, sin }: Trunk,
): void {
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
