import type { Picture } from '../picture/picture';
import { resamplePlane } from '../picture/resample';

const SIDE = 32;
const KEPT = 8;

const BASIS: Float64Array = Float64Array.from({ length: KEPT * SIDE }, (_, i) =>
  Math.cos((Math.PI / SIDE) * ((i % SIDE) + 0.5) * (Math.floor(i / SIDE) + 1)),
);

/**
 * A perceptual hash: the signs of the 64 lowest frequencies of the cosine transform of lightness against their median
 * (after Zauner 2010), as 16 hexadecimal digits.
 */
export function perceptualHash({ width, height, planes }: Picture): string {
  const small = resamplePlane(planes[0], width, height, SIDE, SIDE);
  const rows = new Float64Array(SIDE * KEPT);
  for (let y = 0; y < SIDE; y++)
    for (let u = 0; u < KEPT; u++) {
      let sum = 0;
      for (let x = 0; x < SIDE; x++) sum += small[y * SIDE + x] * BASIS[u * SIDE + x];
      rows[y * KEPT + u] = sum;
    }
  const values: number[] = [];
  for (let v = 0; v < KEPT; v++)
    for (let u = 0; u < KEPT; u++) {
      let sum = 0;
      for (let y = 0; y < SIDE; y++) sum += rows[y * KEPT + u] * BASIS[v * SIDE + y];
      values.push(sum);
    }
  const middle = [...values].sort((a, b) => a - b)[32];
  let hex = '';
  for (let k = 0; k < 64; k += 4)
    hex += values
      .slice(k, k + 4)
      .reduce((n, v) => n * 2 + (v > middle ? 1 : 0), 0)
      .toString(16);
  return hex;
}

const BITS = Uint8Array.from({ length: 16 }, (_, n) => [0, 1, 2, 3].filter((k) => n & (1 << k)).length);

/** In how many of their 64 bits two perceptual hashes differ. */
export function hashDistance(a: string, b: string): number {
  let sum = 0;
  for (let i = 0; i < 16; i++) sum += BITS[parseInt(a[i], 16) ^ parseInt(b[i], 16)];
  return sum;
}
