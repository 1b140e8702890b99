import { QUANTILES, quantileTable, tableDistanceSquared } from '../colour/quantiles';
import type { Lab } from '../colour/oklab';
import { labToLch } from '../colour/oklch';
import { Random } from '../maths/random';
import { CHROMA_GAIN, type Picture } from '../picture/picture';
import { levelOf } from '../picture/resample';

/** Directions in OKLab along which palettes are compared. */
export const PALETTE_DIRECTIONS = 32;

const DIRECTIONS: readonly (readonly [number, number, number])[] = (() => {
  const random = new Random(99);
  return Array.from({ length: PALETTE_DIRECTIONS }, () => {
    const v = [random.normal(), random.normal(), random.normal()];
    const length = Math.hypot(...v);
    return [v[0] / length, v[1] / length / CHROMA_GAIN, v[2] / length / CHROMA_GAIN] as const;
  });
})();

/** The palette of a picture: 32 quantile tables of 128 entries, one after the other. Read at 128 px. */
export function describePalette(picture: Picture): Float32Array {
  const small = levelOf(picture, 128);
  const [L, A, B] = small.planes;
  const n = L.length;
  const values = new Float32Array(n);
  const out = new Float32Array(PALETTE_DIRECTIONS * QUANTILES);
  DIRECTIONS.forEach((d, k) => {
    for (let i = 0; i < n; i++) values[i] = d[0] * L[i] + d[1] * A[i] + d[2] * B[i];
    quantileTable(values, out.subarray(k * QUANTILES, (k + 1) * QUANTILES));
  });
  return out;
}

/** Palette distance: sliced 2-Wasserstein distance in OKLab times 100; 0 for equal palettes, about 50 for black and white. */
export function paletteDistance(a: Float32Array, b: Float32Array): number {
  let sum = 0;
  for (let k = 0; k < PALETTE_DIRECTIONS; k++) {
    const [from, to] = [k * QUANTILES, (k + 1) * QUANTILES];
    sum += tableDistanceSquared(a.subarray(from, to), b.subarray(from, to));
  }
  return 100 * Math.sqrt(sum / PALETTE_DIRECTIONS);
}

/** One colour of a picture's palette. */
export interface Swatch {
  /** OKLab. */
  readonly lab: Lab;
  /** Part of the picture, 0..1. */
  readonly weight: number;
}

/**
 * The main colours of a picture, heaviest first, by k-means in OKLab (Lloyd 1982) from deterministic starts; clusters
 * under 1 % are left out.
 */
export function swatchesOf(picture: Picture, count = 6): Swatch[] {
  const small = levelOf(picture, 64);
  const n = small.width * small.height;
  const points: Lab[] = Array.from({ length: n }, (_, i) => [
    small.planes[0][i],
    small.planes[1][i] / CHROMA_GAIN,
    small.planes[2][i] / CHROMA_GAIN,
  ]);
  const distance = (p: Lab, q: Lab) => (p[0] - q[0]) ** 2 + 2.5 * ((p[1] - q[1]) ** 2 + (p[2] - q[2]) ** 2);
  const centres: Lab[] = [points[n >> 1]];
  const nearest = points.map((p) => distance(p, centres[0]));
  while (centres.length < Math.min(count, n)) {
    const far = nearest.indexOf(Math.max(...nearest));
    centres.push(points[far]);
    points.forEach((p, i) => (nearest[i] = Math.min(nearest[i], distance(p, points[far]))));
  }
  let members: number[] = [];
  for (let round = 0; round < 8; round++) {
    const sums = centres.map(() => [0, 0, 0, 0]);
    members = points.map((p) => {
      let best = 0;
      let least = distance(p, centres[0]);
      for (let k = 1; k < centres.length; k++) {
        const far = distance(p, centres[k]);
        if (far < least) [best, least] = [k, far];
      }
      for (let c = 0; c < 3; c++) sums[best][c] += p[c];
      sums[best][3]++;
      return best;
    });
    sums.forEach((s, k) => {
      if (s[3]) centres[k] = [s[0] / s[3], s[1] / s[3], s[2] / s[3]];
    });
  }
  return centres
    .map((lab, k) => ({ lab, weight: members.filter((m) => m === k).length / n }))
    .filter((s) => s.weight >= 0.01)
    .sort((a, b) => b.weight - a.weight || labToLch(a.lab)[2] - labToLch(b.lab)[2]);
}
