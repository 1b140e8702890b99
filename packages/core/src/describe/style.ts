import { QUANTILES } from '../colour/quantiles';
import type { Descriptors } from './descriptors';
import { PALETTE_DIRECTIONS } from './palette';
import { SURFACE_LENGTH } from './surface';

/** Where the tables of a style vector are read, as parts of the samples. */
const SURFACE_AT = [0.06, 0.5, 0.94];
const PALETTE_AT = [0.05, 0.25, 0.5, 0.75, 0.95];
const SURFACE_TABLES = SURFACE_LENGTH / QUANTILES;

/** Numbers of a style vector: 48 surface tables at three places, 32 palette tables at five. */
export const STYLE_SURFACE = SURFACE_TABLES * SURFACE_AT.length;
export const STYLE_LENGTH = STYLE_SURFACE + PALETTE_DIRECTIONS * PALETTE_AT.length;

/**
 * How a picture is made, apart from what it shows: 304 numbers read off the surface and palette tables. The squared
 * distance of two of them is near the sum of their surface and palette distances, each over its usual size, so one scan
 * finds pictures of the same manner.
 */
export function styleVector({ surface, palette }: Pick<Descriptors, 'surface' | 'palette'>): Float32Array {
  const out = new Float32Array(STYLE_LENGTH);
  let k = 0;
  const at = (part: number) => Math.min(QUANTILES - 1, Math.round(part * QUANTILES - 0.5));
  for (let t = 0; t < SURFACE_TABLES; t++)
    for (const p of SURFACE_AT) out[k++] = (surface[t * QUANTILES + at(p)] * 18) / Math.sqrt(STYLE_SURFACE);
  for (let t = 0; t < PALETTE_DIRECTIONS; t++)
    for (const p of PALETTE_AT)
      out[k++] = (palette[t * QUANTILES + at(p)] * 5) / Math.sqrt(STYLE_LENGTH - STYLE_SURFACE);
  return out;
}

/** Distance of two style vectors; 0 for the same manner, about 1 for quite another one. */
export function styleDistance(a: ArrayLike<number>, b: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] - b[i]) ** 2;
  return Math.sqrt(sum);
}
