import { QUANTILES, quantileTable, tableDistanceSquared } from '../colour/quantiles';
import { Random } from '../maths/random';
import type { Picture } from '../picture/picture';
import { filterResponses } from '../picture/planesKernel';
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

/** The filters four by four, tap by tap, in the order in which the kernel uses them. */
const FOURS = Float32Array.from({ length: FILTERS * TAPS }, (_, j) => {
  const group = Math.floor(j / (4 * TAPS));
  const tap = Math.floor((j % (4 * TAPS)) / 4);
  return BANK[4 * group + (j % 4)][tap];
});

/**
 * The surface of a picture - strokes, grain, edges - as the distributions of random filter responses at 384 and 192 px
 * (sliced Wasserstein statistics after Heitz et al. 2021).
 */
export function describeSurface(picture: Picture): Float32Array {
  const out = new Float32Array(SURFACE_LENGTH);
  [384, 192].forEach((side, scale) => {
    const level = levelOf(picture, side);
    const { planes, width, height } = level;
    filterResponses(planes, width, height, scale === 0 ? 3 : 2, FOURS).forEach((values, k) => {
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
