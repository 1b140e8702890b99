import { blurPlane } from '../picture/filter';
import type { Picture } from '../picture/picture';
import { resamplePlane } from '../picture/resample';

/** Layouts are read on a square of this side, whatever the aspect, so that pictures of any shape can be compared. */
export const LAYOUT_SIDE = 96;

/** The layout of a picture: its lightness, softened, on a 96 x 96 square. */
export function describeLayout({ width, height, planes }: Picture): Float32Array {
  const square = resamplePlane(planes[0], width, height, LAYOUT_SIDE, LAYOUT_SIDE);
  return blurPlane(square, LAYOUT_SIDE, LAYOUT_SIDE, 1);
}

const multiply = (a: Float32Array, b: Float32Array) => a.map((v, i) => v * b[i]);

/** Mean structure term of SSIM (Wang et al. 2004): -1..1, 1 for equal structure. */
function structure(a: Float32Array, b: Float32Array): number {
  const s = LAYOUT_SIDE;
  const mean = (p: Float32Array) => blurPlane(p, s, s, 3);
  const ma = mean(a);
  const mb = mean(b);
  const aa = mean(multiply(a, a));
  const bb = mean(multiply(b, b));
  const ab = mean(multiply(a, b));
  const c = 4e-4;
  let sum = 0;
  for (let i = 0; i < a.length; i++) {
    const va = Math.max(0, aa[i] - ma[i] * ma[i]);
    const vb = Math.max(0, bb[i] - mb[i] * mb[i]);
    sum += (ab[i] - ma[i] * mb[i] + c) / (Math.sqrt(va * vb) + c);
  }
  return sum / a.length;
}

/** Agreement of edge directions, weighted by their strength: sum of m1 m2 cos 2(angle), -1..1. */
function edgeAgreement(a: Float32Array, b: Float32Array): number {
  const s = LAYOUT_SIDE;
  let sum = 0;
  let na = 0;
  let nb = 0;
  for (let y = 1; y < s - 1; y++)
    for (let x = 1; x < s - 1; x++) {
      const i = y * s + x;
      const ax = a[i + 1] - a[i - 1];
      const ay = a[i + s] - a[i - s];
      const bx = b[i + 1] - b[i - 1];
      const by = b[i + s] - b[i - s];
      const ma = ax * ax + ay * ay;
      const mb = bx * bx + by * by;
      const m = Math.sqrt(ma * mb);
      if (m > 0) sum += m * (2 * ((ax * bx + ay * by) / m) ** 2 - 1);
      na += ma;
      nb += mb;
    }
  return na && nb ? sum / Math.sqrt(na * nb) : 0;
}

/** Marks of a surface reach as far as this, in px of the square; what is larger is arrangement. */
const MARKS = 1.75;

const arrangement = (p: Float32Array): Float32Array => blurPlane(p, LAYOUT_SIDE, LAYOUT_SIDE, MARKS);

/** Distance of two layouts, seen without the marks of their surfaces: 0 for equal ones, about 100 for unrelated ones. */
export function layoutDistance(a: Float32Array, b: Float32Array): number {
  const [p, q] = [arrangement(a), arrangement(b)];
  return 50 * (1 - structure(p, q)) + 50 * (1 - edgeAgreement(p, q));
}

/** Likeness of two layouts: 1 for equal ones, about 0 for unrelated ones. */
export const layoutLikeness = (a: Float32Array, b: Float32Array): number => 1 - layoutDistance(a, b) / 100;
