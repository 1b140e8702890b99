import { QUANTILES, quantileTable, tableDistanceSquared } from '../colour/quantiles';
import { Random } from '../maths/random';
import type { Picture } from '../picture/picture';
import { levelOf } from '../picture/resample';

const FILTERS = 24;
const SIDE = 7;
const SCALES = 2;

/** Length of a surface descriptor: 24 filters on two scales, a quantile table each. */
export const SURFACE_LENGTH = FILTERS * SCALES * QUANTILES;

/** Random 7 x 7 filters over the three planes, mean removed on each plane, unit length. */
const BANK: readonly Float32Array[] = (() => {
  const random = new Random(123);
  return Array.from({ length: FILTERS }, () => {
    const taps = SIDE * SIDE;
    const filter = Float32Array.from({ length: 3 * taps }, () => random.normal());
    for (let c = 0; c < 3; c++) {
      let mean = 0;
      for (let i = 0; i < taps; i++) mean += filter[c * taps + i] / taps;
      for (let i = 0; i < taps; i++) filter[c * taps + i] -= mean;
    }
    const length = Math.sqrt(filter.reduce((s, v) => s + v * v, 0));
    return filter.map((v) => v / length);
  });
})();

const TAPS = 3 * SIDE * SIDE;

/** The filters four by four, tap by tap, in the order in which they are used. */
const FOURS = Float64Array.from({ length: FILTERS * TAPS }, (_, j) => {
  const group = Math.floor(j / (4 * TAPS));
  const tap = Math.floor((j % (4 * TAPS)) / 4);
  return BANK[4 * group + (j % 4)][tap];
});

/** Responses of all filters at every `step`-th pixel: each neighbourhood is gathered once and met by all of them. */
function responses({ width: w, height: h, planes }: Picture, step: number): Float32Array[] {
  const columns = Math.max(0, Math.ceil((w - 6) / step));
  const rows = Math.max(0, Math.ceil((h - 6) / step));
  const out = BANK.map(() => new Float32Array(columns * rows));
  const around = new Float64Array(TAPS);
  let at = 0;
  for (let y = 3; y < h - 3; y += step)
    for (let x = 3; x < w - 3; x += step, at++) {
      let k = 0;
      for (let c = 0; c < 3; c++) {
        const plane = planes[c];
        for (let dy = -3; dy <= 3; dy++) {
          const row = (y + dy) * w + x;
          for (let dx = -3; dx <= 3; dx++) around[k++] = plane[row + dx];
        }
      }
      // four filters at once: every pixel is read once for all of them
      for (let f = 0, j = 0; f < FILTERS; f += 4) {
        let s0 = 0;
        let s1 = 0;
        let s2 = 0;
        let s3 = 0;
        for (let i = 0; i < TAPS; i++, j += 4) {
          const v = around[i];
          s0 += FOURS[j] * v;
          s1 += FOURS[j + 1] * v;
          s2 += FOURS[j + 2] * v;
          s3 += FOURS[j + 3] * v;
        }
        out[f][at] = s0;
        out[f + 1][at] = s1;
        out[f + 2][at] = s2;
        out[f + 3][at] = s3;
      }
    }
  return out;
}

/**
 * The surface of a picture - strokes, grain, edges - as the distributions of random filter responses at 384 and 192 px
 * (sliced Wasserstein statistics after Heitz et al. 2021).
 */
export function describeSurface(picture: Picture): Float32Array {
  const out = new Float32Array(SURFACE_LENGTH);
  [384, 192].forEach((side, scale) => {
    const level = levelOf(picture, side);
    responses(level, scale === 0 ? 3 : 2).forEach((values, k) => {
      const at = (scale * FILTERS + k) * QUANTILES;
      quantileTable(values, out.subarray(at, at + QUANTILES));
    });
  });
  return out;
}

/** Distance of two surfaces, times 100; 0 for equal ones, about 10 for very different ones. */
export function surfaceDistance(a: Float32Array, b: Float32Array): number {
  let sum = 0;
  for (let at = 0; at < SURFACE_LENGTH; at += QUANTILES) {
    sum += tableDistanceSquared(a.subarray(at, at + QUANTILES), b.subarray(at, at + QUANTILES));
  }
  return 100 * Math.sqrt(sum / (FILTERS * SCALES));
}
