import { CHROMA_GAIN, type Picture } from '../picture/picture';
import { levelOf } from '../picture/resample';
import type { Box } from '../mask/salience';

const SIDE = 240;
const SMALLEST = 0.16;

/** Lines, of a plane turned so that they run along rows, in which hardly anything changes: gutters. */
function gutters(same: (along: number, across: number) => number, length: number, from: number, to: number): number[] {
  const found: number[] = [];
  for (let y = 0; y < length; y++) {
    let worst = 0;
    let mean = 0;
    for (let x = from; x < to; x++) {
      const d = same(y, x);
      mean += d;
      worst = Math.max(worst, d);
      if (worst >= 0.07) break;
    }
    if (worst < 0.07 && mean / (to - from) < 0.008) found.push(y);
  }
  return found;
}

/** Runs of neighbouring numbers as [first, last]. */
function runs(numbers: readonly number[]): [number, number][] {
  const out: [number, number][] = [];
  for (const n of numbers) {
    const last = out[out.length - 1];
    if (last && n <= last[1] + 1) last[1] = n;
    else out.push([n, n]);
  }
  return out;
}

interface Part {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/**
 * The single pictures of a collage, each as a box: the picture is cut along straight gutters of one colour that run right
 * through it, then every part again. One box (the whole) when it is no collage.
 */
export function splitCollage(picture: Picture): Box[] {
  const { width: w, height: h, planes } = levelOf(picture, SIDE);
  const [L, A, B] = planes;
  const differ = (i: number, j: number) => {
    const l = L[i] - L[j];
    const a = (A[i] - A[j]) / CHROMA_GAIN;
    const b = (B[i] - B[j]) / CHROMA_GAIN;
    // many pairs: Math.hypot is slow
    return Math.sqrt(l * l + a * a + b * b);
  };
  const cut = (part: Part, depth: number): Part[] => {
    const pw = part.right - part.left;
    const ph = part.bottom - part.top;
    if (depth > 3) return [part];
    for (const rows of ph >= pw ? [true, false] : [false, true]) {
      const length = rows ? ph : pw;
      const lines = rows
        ? gutters(
            (y, x) => differ((part.top + y) * w + x, (part.top + y) * w + part.left),
            length,
            part.left,
            part.right,
          )
        : gutters((x, y) => differ(y * w + part.left + x, part.top * w + part.left + x), length, part.top, part.bottom);
      const cuts = runs(lines);
      const pieces: [number, number][] = [];
      let from = 0;
      for (const [a, b] of [...cuts, [length, length] as [number, number]]) {
        if (a - from >= SMALLEST * (rows ? h : w)) pieces.push([from, a]);
        from = b + 1;
      }
      // wide even stretches are a sky or a ground, not gutters
      const widest = Math.max(0, ...cuts.filter(([a, b]) => a > 0 && b < length - 1).map(([a, b]) => b - a + 1));
      if (pieces.length < 2 || widest > 0.07 * length) continue;
      return pieces.flatMap(([a, b]) =>
        cut(
          rows
            ? { ...part, top: part.top + a, bottom: part.top + b }
            : { ...part, left: part.left + a, right: part.left + b },
          depth + 1,
        ),
      );
    }
    return [part];
  };
  return cut({ left: 0, top: 0, right: w, bottom: h }, 0).map((p) => ({
    left: p.left / w,
    top: p.top / h,
    right: p.right / w,
    bottom: p.bottom / h,
  }));
}
