import { CHROMA_GAIN, type Picture } from '../picture/picture';
import { levelOf } from '../picture/resample';
import type { Box } from '../mask/salience';

const SIDE = 240;
const SMALLEST = 0.16;

/** A bundle of lines: pixel x of line y is `from + y * along + x * across`. */
interface Lines {
  readonly from: number;
  readonly along: number;
  readonly across: number;
  readonly count: number;
  readonly length: number;
}

/** How far two pixels are apart, OKLab with a and b as large as they are. */
function apart([L, A, B]: Picture['planes'], i: number, j: number): number {
  const chroma = 1 / CHROMA_GAIN;
  return Math.hypot(L[i] - L[j], (A[i] - A[j]) * chroma, (B[i] - B[j]) * chroma);
}

/** Lines along which hardly anything changes. */
function evenLines(planes: Picture['planes'], { from, along, across, count, length }: Lines): number[] {
  const found: number[] = [];
  for (let y = 0; y < count; y++) {
    const first = from + y * along;
    let worst = 0;
    let sum = 0;
    for (let x = 0; x < length && worst < 0.07; x++) {
      const d = apart(planes, first + x * across, first);
      sum += d;
      if (d > worst) worst = d;
    }
    if (worst < 0.07 && sum / length < 0.008) found.push(y);
  }
  return found;
}

/** How far a picture stands off from the gutter beside it, and on how much of its edge. */
const EDGE = { apart: 0.05, part: 0.4 } as const;
/** Px that an edge may be soft. */
const SOFT = 2;

/** Whether pictures end on both sides of even lines: those of a sky or a wall go on as they are. */
function isGutter(planes: Picture['planes'], lines: Lines, [a, b]: readonly [number, number]): boolean {
  const { from, along, across, count, length } = lines;
  const middle = (a + b) >> 1;
  return [a - SOFT, b + SOFT].every((y) => {
    if (y < 0 || y >= count) return false;
    let off = 0;
    for (let x = 0; x < length; x++)
      if (apart(planes, from + y * along + x * across, from + middle * along + x * across) > EDGE.apart) off++;
    return off >= EDGE.part * length;
  });
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
  const cut = (part: Part, depth: number): Part[] => {
    const pw = part.right - part.left;
    const ph = part.bottom - part.top;
    if (depth > 3) return [part];
    for (const rows of ph >= pw ? [true, false] : [false, true]) {
      const length = rows ? ph : pw;
      const from = part.top * w + part.left;
      const lines: Lines = rows
        ? { from, along: w, across: 1, count: ph, length: pw }
        : { from, along: 1, across: w, count: pw, length: ph };
      // what is even at the border is a frame
      const cuts = runs(evenLines(planes, lines)).filter(
        (run) => run[0] === 0 || run[1] === length - 1 || isGutter(planes, lines, run),
      );
      const pieces: [number, number][] = [];
      let next = 0;
      for (const [a, b] of [...cuts, [length, length] as [number, number]]) {
        if (a - next >= SMALLEST * (rows ? h : w)) pieces.push([next, a]);
        next = b + 1;
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
