import { CHROMA_GAIN, type Picture } from '../picture/picture';
import { resamplePlane } from '../picture/resample';

/** Length of a likeness vector: 6 x 6 OKLab layout, 4 x 4 cells of 8 orientations, 64 colour bins. */
export const LIKENESS_LENGTH = 6 * 6 * 3 + 4 * 4 * 8 + 64;

const GRID = 6;
const CELLS = 4;
const ORIENTATIONS = 8;
const SIDE = 64;

/** Centres a part of the vector and gives it the length `weight`, so that no part drowns the others. */
function normalise(part: Float32Array, weight: number, centred: boolean): void {
  const mean = centred ? part.reduce((s, v) => s + v, 0) / part.length : 0;
  let length = 0;
  for (let i = 0; i < part.length; i++) {
    part[i] -= mean;
    length += part[i] * part[i];
  }
  const k = weight / (Math.sqrt(length) || 1);
  for (let i = 0; i < part.length; i++) part[i] *= k;
}

/**
 * What a picture shows, as 300 numbers of unit length: where which colours lie, which way edges run, which colours occur.
 * Withstands small crops, borders, brightness and resizing; compare with {@link cosine}.
 */
export function describeLikeness({ width, height, planes }: Picture): Float32Array {
  const [L, A, B] = planes.map((p) => resamplePlane(p, width, height, SIDE, SIDE));
  const out = new Float32Array(LIKENESS_LENGTH);
  const layout = out.subarray(0, 108);
  const edges = out.subarray(108, 236);
  const colours = out.subarray(236);
  const meanL = L.reduce((s, v) => s + v, 0) / L.length;
  [L, A, B].forEach((plane, c) => {
    const cells = resamplePlane(plane, SIDE, SIDE, GRID, GRID);
    for (let k = 0; k < cells.length; k++) layout[c * 36 + k] = c ? 1.2 * cells[k] : cells[k] - meanL;
  });
  for (let y = 1; y < SIDE - 1; y++)
    for (let x = 1; x < SIDE - 1; x++) {
      const i = y * SIDE + x;
      const gx = L[i + 1] - L[i - 1];
      const gy = L[i + SIDE] - L[i - SIDE];
      const m = Math.sqrt(gx * gx + gy * gy);
      let angle = Math.atan2(gy, gx) / Math.PI;
      if (angle < 0) angle += 1;
      const bin = Math.min(ORIENTATIONS - 1, Math.floor(angle * ORIENTATIONS));
      const cell = ((y * CELLS) >> 6) * CELLS + ((x * CELLS) >> 6);
      edges[cell * ORIENTATIONS + bin] += m;
    }
  for (let i = 0; i < L.length; i++) {
    const l = Math.min(3, Math.floor(L[i] * 4));
    const a = Math.min(3, Math.max(0, Math.floor((A[i] / CHROMA_GAIN) * 14 + 2)));
    const b = Math.min(3, Math.max(0, Math.floor((B[i] / CHROMA_GAIN) * 14 + 2)));
    colours[(Math.max(0, l) * 4 + a) * 4 + b] += 1;
  }
  for (let k = 0; k < edges.length; k++) edges[k] = Math.sqrt(edges[k]);
  for (let k = 0; k < colours.length; k++) colours[k] = Math.sqrt(colours[k]);
  normalise(layout, Math.sqrt(0.45), false);
  normalise(edges, Math.sqrt(0.35), true);
  normalise(colours, Math.sqrt(0.2), false);
  return out;
}

/** The likeness vector of the mirrored picture, without looking at it again. */
export function mirrorLikeness(vector: Float32Array): Float32Array {
  const out = vector.slice();
  for (let c = 0; c < 3; c++)
    for (let y = 0; y < GRID; y++)
      for (let x = 0; x < GRID; x++) out[c * 36 + y * GRID + x] = vector[c * 36 + y * GRID + (GRID - 1 - x)];
  for (let y = 0; y < CELLS; y++)
    for (let x = 0; x < CELLS; x++)
      for (let o = 0; o < ORIENTATIONS; o++)
        out[108 + (y * CELLS + x) * ORIENTATIONS + o] =
          vector[108 + (y * CELLS + (CELLS - 1 - x)) * ORIENTATIONS + (ORIENTATIONS - 1 - o)];
  return out;
}

/** Cosine of two vectors of equal length, -1..1; 0 when one of them is zero. */
export function cosine(a: ArrayLike<number>, b: ArrayLike<number>): number {
  let dot = 0;
  let na = 0;
  let nb = 0;
  for (let i = 0; i < a.length; i++) {
    dot += a[i] * b[i];
    na += a[i] * a[i];
    nb += b[i] * b[i];
  }
  return na && nb ? dot / Math.sqrt(na * nb) : 0;
}

/** A vector in 8 bits a number, its largest entry at 127: small, and quick to scan; the cosine moves by less than .01. */
export function quantise(vector: ArrayLike<number>): Int8Array {
  let top = 0;
  for (let i = 0; i < vector.length; i++) top = Math.max(top, Math.abs(vector[i]));
  return Int8Array.from({ length: vector.length }, (_, i) => Math.round((vector[i] / (top || 1)) * 127));
}

/** Pictures above this cosine are asked about: are they the same? */
export const NEAR_DOUBLE = 0.97;
/** Perceptual hashes at most this many bits apart are asked about. */
export const NEAR_DOUBLE_BITS = 6;
