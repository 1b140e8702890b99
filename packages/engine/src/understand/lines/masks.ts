import { boxPlane } from '@urbild/core';

/** Steps of a distance that is counted along rows, columns and diagonals (chamfer 3-4, Borgefors 1986), px. */
const STRAIGHT = 0.955;
const SLANT = 1.3507;

/** How far each pixel is from the nearest one of a mask, px; `w` columns. */
export function distanceTo(mask: ArrayLike<number>, w: number, h: number): Float32Array {
  const d = Float32Array.from({ length: w * h }, (_, i) => (mask[i] ? 0 : 1e6));
  const pull = (i: number, j: number, step: number) => {
    if (d[j] + step < d[i]) d[i] = d[j] + step;
  };
  for (let y = 0, i = 0; y < h; y++)
    for (let x = 0; x < w; x++, i++) {
      if (x) pull(i, i - 1, STRAIGHT);
      if (!y) continue;
      pull(i, i - w, STRAIGHT);
      if (x) pull(i, i - w - 1, SLANT);
      if (x < w - 1) pull(i, i - w + 1, SLANT);
    }
  for (let y = h - 1, i = w * h - 1; y >= 0; y--)
    for (let x = w - 1; x >= 0; x--, i--) {
      if (x < w - 1) pull(i, i + 1, STRAIGHT);
      if (y === h - 1) continue;
      pull(i, i + w, STRAIGHT);
      if (x < w - 1) pull(i, i + w + 1, SLANT);
      if (x) pull(i, i + w - 1, SLANT);
    }
  return d;
}

/** Pieces of a mask that hang together: 1 and up in the order in which they are met, 0 outside; `sizes` by piece, px. */
export interface Pieces {
  readonly of: Int32Array;
  readonly sizes: readonly number[];
}

/** Tells the pieces of a mask apart; `corners` lets pixels hang together that only touch at a corner. */
export function piecesOf(mask: ArrayLike<number>, w: number, h: number, corners = false): Pieces {
  const of = new Int32Array(w * h);
  const sizes = [0];
  const open = new Int32Array(w * h);
  for (let first = 0; first < w * h; first++) {
    if (!mask[first] || of[first]) continue;
    const piece = sizes.length;
    let [top, size] = [0, 0];
    open[top++] = first;
    of[first] = piece;
    while (top) {
      const i = open[--top];
      const [x, y] = [i % w, Math.floor(i / w)];
      size++;
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          if (!corners && dx && dy) continue;
          if (x + dx < 0 || x + dx >= w || y + dy < 0 || y + dy >= h) continue;
          const j = i + dy * w + dx;
          if (!mask[j] || of[j]) continue;
          of[j] = piece;
          open[top++] = j;
        }
    }
    sizes.push(size);
  }
  return { of, sizes };
}

/** A line is darker than what is around it within this many px, by so much (L 0..100); specks up to this size are none. */
const AROUND = 14;
const DARKER = 9;
const SPECK = 14;

/** Where something is darker than what lies around it, as drawn lines are: 1 there. `L` is 0..100. */
export function darkMarks(L: Float32Array, w: number, h: number): Uint8Array {
  const mean = boxPlane(L, w, h, AROUND);
  const dark = Uint8Array.from(L, (v, i) => (v < mean[i] - DARKER ? 1 : 0));
  const { of, sizes } = piecesOf(dark, w, h, true);
  return dark.map((v, i) => (v && sizes[of[i]] >= SPECK ? 1 : 0));
}

/** The skeleton of a mask, one pixel wide (Zhang and Suen 1984); the border of the picture stays empty. */
export function thinned(mask: Uint8Array, w: number, h: number): Uint8Array {
  const a = mask.slice();
  for (let x = 0; x < w; x++) a[x] = a[(h - 1) * w + x] = 0;
  for (let y = 0; y < h; y++) a[y * w] = a[y * w + w - 1] = 0;
  let left: number[] = [];
  a.forEach((v, i) => v && left.push(i));
  for (let changed = true; changed;) {
    changed = false;
    for (const second of [false, true]) {
      const gone = left.filter((i) => a[i] && isPeeled(a, i, w, second));
      for (const i of gone) a[i] = 0;
      changed ||= gone.length > 0;
    }
    left = left.filter((i) => a[i]);
  }
  return a;
}

/** The rule of Zhang and Suen for a pixel that may go in the first or the second half of a round. */
function isPeeled(a: Uint8Array, i: number, w: number, second: boolean): boolean {
  const p = [a[i - w], a[i - w + 1], a[i + 1], a[i + w + 1], a[i + w], a[i + w - 1], a[i - 1], a[i - w - 1]];
  let [around, rises] = [0, 0];
  for (let k = 0; k < 8; k++) {
    around += p[k];
    if (!p[k] && p[(k + 1) % 8]) rises++;
  }
  if (around < 2 || around > 6 || rises !== 1) return false;
  const [north, east, south, west] = [p[0], p[2], p[4], p[6]];
  return second
    ? !(north && east && west) && !(north && south && west)
    : !(north && east && south) && !(east && south && west);
}
