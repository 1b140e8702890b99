import { adjustLch, mixLch, type Lch } from '@urbild/core';
import { capsule } from '../../geometry/curve';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';
import { fold } from '../fold';
import type { Trunk } from '../pose/trunk';

const G = REGION.garment;
const EVEN = { taper: [0, 0] as const };
const HORN: Lch = [0.36, 0.06, 50];
const CORD: Lch = [0.9, 0.03, 80];

/** Seams, toggles, pockets and folds of an oilskin coat. */
export function oilskin(f: FigureFrame, trunk: Trunk): void {
  const dark = mixLch(adjustLch(f.person.top.colour, -0.13, 1, -8), f.scene.light.shadow, 0.12);
  folds(f, trunk);
  frontSeam(f, trunk, dark);
  for (const y of [0.34, 0.74, 1.14, 1.54]) toggle(f, trunk.seam(y), y);
  yoke(f, trunk, dark);
  for (const side of [-1, 1]) pocket(f, trunk, side, dark);
  hemline(f, trunk, dark);
}

// prettier-ignore
function folds(f: FigureFrame, { narrow: w, middle: m, hem }: Trunk): void {
  fold(f, [[-0.4 * w, 0.3], [-0.36 * w + m(0.9), 0.7], [-0.42 * w + m(1.4), 1.2]], 0.4);
  fold(f, [[0.44 * w, 0.35], [0.38 * w, 0.75], [0.42 * w + m(1.4), 1.2]], 0.4);
  fold(f, [[-0.3 * w + m(1.3), 1.25], [-0.36 * w + m(2), 1.8], [-0.42 * w + m(2.4), hem]], 0.5);
  fold(f, [[0.32 * w + m(1.3), 1.3], [0.36 * w + m(2), 1.8], [0.44 * w + m(2.4), hem]], 0.5);
}

/** The edge of the front, and its stitching. */
// prettier-ignore
function frontSeam(f: FigureFrame, { seam, hem, cos }: Trunk, dark: Lch): void {
  const edge = [[seam(-0.05), -0.05], [seam(0.6), 0.6], [seam(1.3), 1.3], [seam(hem), hem]] as const;
  f.stroke(G, edge, 0.022, dark, { ...EVEN, alpha: 0.9 });
  const stitches = [
    [seam(0.05) + 0.1 * cos, 0.05],
    [seam(0.6) + 0.11 * cos, 0.6],
    [seam(1.3) + 0.12 * cos, 1.3],
    [seam(hem) + 0.12 * cos, hem],
  ] as const;
  f.stroke(G, stitches, 0.01, dark, { ...EVEN, alpha: 0.6 });
}

/** A toggle of horn with its loops. */
// prettier-ignore
function toggle(f: FigureFrame, x: number, y: number): void {
  const horn = capsule([[x - 0.045, y], [x + 0.085, y + 0.006]], [0.06, 0.055], 0.03);
  f.shape(REGION.prop, horn, HORN, { texture: 0.2, line: 0.7 });
  if (f.detail < 2) return;
  f.stroke(G, [[x - 0.15, y - 0.012], [x - 0.04, y]], 0.014, CORD, EVEN);
  f.stroke(G, [[x + 0.08, y], [x + 0.17, y - 0.01]], 0.014, CORD, EVEN);
}

/** The seam across the shoulders. */
function yoke(f: FigureFrame, { narrow: w, seam, shoulders }: Trunk, dark: Lch): void {
  f.stroke(
    G,
    [
      [-shoulders, 0.36],
      [-0.3 * w, 0.45],
      [seam(0.4), 0.47],
      [0.35 * w, 0.44],
      [shoulders, 0.35],
    ],
    0.011,
    dark,
    { ...EVEN, alpha: 0.7 },
  );
}

// prettier-ignore
function pocket(f: FigureFrame, { narrow: w, middle: m, sin }: Trunk, side: number, dark: Lch): void {
  const x = m(1.5) + side * 0.36 * f.person.girth * w + sin * 0.1;
  f.stroke(G, [[x - 0.15, 1.5], [x, 1.53], [x + 0.15, 1.5]], 0.018, dark, { alpha: 0.8 });
  const bag = [[x - 0.15, 1.5], [x - 0.14, 1.74], [x, 1.78], [x + 0.14, 1.74], [x + 0.15, 1.5]] as const;
  f.stroke(G, bag, 0.01, dark, { alpha: 0.6 });
}

function hemline(f: FigureFrame, { middle: m, hem, hips }: Trunk, dark: Lch): void {
  f.stroke(
    G,
    [
      [-hips * 1.2 + m(hem), hem - 0.09],
      [m(hem), hem - 0.03],
      [hips * 1.2 + m(hem), hem - 0.09],
    ],
    0.01,
    dark,
    { alpha: 0.7 },
  );
}
