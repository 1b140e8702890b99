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
  const { planes, width, height } = levelOf(picture, 64);
  const n = width * height;
  const gain = CHROMA_GAIN;
  const L = Float64Array.from(planes[0]);
  const A = Float64Array.from(planes[1], (v) => v / gain);
  const B = Float64Array.from(planes[2], (v) => v / gain);
  const distance = (i: number, [l, a, b]: Lab): number => {
    const [dl, da, db] = [L[i] - l, A[i] - a, B[i] - b];
    return dl * dl + 2.5 * (da * da + db * db);
  };
  const at = (i: number): Lab => [L[i], A[i], B[i]];
  // deterministic starts: each new one is the point that is farthest from those that are there
  const centres: Lab[] = [at(n >> 1)];
  const nearest = new Float64Array(n).fill(Infinity);
  while (centres.length < Math.min(count, n)) {
    const last = centres[centres.length - 1];
    let far = 0;
    for (let i = 0; i < n; i++) {
      nearest[i] = Math.min(nearest[i], distance(i, last));
      if (nearest[i] > nearest[far]) far = i;
    }
    centres.push(at(far));
  }
  const members = new Uint32Array(centres.length);
  for (let round = 0; round < 8; round++) {
    const sums = new Float64Array(3 * centres.length);
    members.fill(0);
    for (let i = 0; i < n; i++) {
      let best = 0;
      let least = Infinity;
      for (let k = 0; k < centres.length; k++) {
        const far = distance(i, centres[k]);
        if (far < least) {
          least = far;
          best = k;
        }
      }
      sums[3 * best] += L[i];
      sums[3 * best + 1] += A[i];
      sums[3 * best + 2] += B[i];
      members[best]++;
    }
    members.forEach((m, k) => {
      if (m) centres[k] = [sums[3 * k] / m, sums[3 * k + 1] / m, sums[3 * k + 2] / m];
    });
  }
  return centres
    .map((lab, k) => ({ lab, weight: members[k] / n }))
    .filter((s) => s.weight >= 0.01)
    .sort((a, b) => b.weight - a.weight || labToLch(a.lab)[2] - labToLch(b.lab)[2]);
}
