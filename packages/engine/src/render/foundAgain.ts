import { CHROMA_GAIN, resampleToLongSide, type Picture } from '@urbild/core';
import type { SceneSeen, SeenItem } from '../painter/scene/seen';

/** The longer side at which items are looked for, px: what cannot be found at that size is not found at a glance. */
const SIDE = 256;
/** Segments of an outline, and cells of a box on each side. */
const SEGMENTS = 16;
const CELLS = 12;
/** The bands on both sides of an outline: from and to so many px off. */
const BAND = { from: 1, to: 3 } as const;
/** Differences across an outline beyond this count no more, OKLab; those below are no outline. */
const CLEAR = 0.14;
const NO_OUTLINE = 0.025;

/** How an item looks in one picture: what sets it off from its ground, and how its parts are light and dark. */
export interface ItemLook {
  /** Mean colour inside less that outside, OKLab, per segment of the outline; undefined where there is too little of it. */
  readonly outline: readonly (readonly [number, number, number] | undefined)[];
  /** L, a, b of every cell of the box around it. */
  readonly cells: readonly Float64Array[];
}

/** A map of items at the size at which they are looked for. */
interface SmallMap {
  readonly width: number;
  readonly height: number;
  readonly codes: Uint8Array;
}

/** The map of a scene at the size of a small picture. */
function smallMap(seen: SceneSeen, width: number, height: number): SmallMap {
  const from = seen.view ?? seen;
  const codes = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) {
    const sy = Math.floor(((y + 0.5) * from.height) / height);
    for (let x = 0; x < width; x++)
      codes[y * width + x] = from.map[sy * from.width + Math.floor(((x + 0.5) * from.width) / width)];
  }
  return { width, height, codes };
}

/** How every item of a scene looks in a picture of it; undefined for those of which too little is there to be looked for. */
export function looksOf(seen: SceneSeen, picture: Picture): (ItemLook | undefined)[] {
  const small = resampleToLongSide(picture, SIDE);
  const map = smallMap(seen, small.width, small.height);
  return seen.items.map((item) => lookOf(item, map, small));
}

/** The fewest pixels of the small map that can be looked for. */
const LEAST_PIXELS = 12;

function lookOf(
  { codes }: SeenItem,
  { width, height, codes: map }: SmallMap,
  { planes }: Picture,
): ItemLook | undefined {
  const is = new Uint8Array(256);
  for (const code of codes) is[code] = 1;
  let [x0, y0, x1, y1, n, cx, cy] = [width, height, -1, -1, 0, 0, 0];
  for (let i = 0; i < map.length; i++) {
    if (!is[map[i]]) continue;
    const [x, y] = [i % width, Math.floor(i / width)];
    x0 = Math.min(x0, x);
    x1 = Math.max(x1, x);
    y0 = Math.min(y0, y);
    y1 = Math.max(y1, y);
    cx += x;
    cy += y;
    n++;
  }
  if (n < LEAST_PIXELS) return undefined;
  const pad = Math.max(4, Math.round(0.2 * Math.max(x1 - x0, y1 - y0)));
  const box = {
    left: Math.max(0, x0 - pad),
    top: Math.max(0, y0 - pad),
    right: Math.min(width, x1 + 1 + pad),
    bottom: Math.min(height, y1 + 1 + pad),
  };
  const inside = (x: number, y: number): boolean => is[map[y * width + x]] === 1;
  const grid = distanceIn(box, inside);
  const outline = segmentsOf(box, grid, [cx / n, cy / n], (x, y, c) => planes[c][y * width + x]);
  return { outline, cells: cellsOf(box, (x, y, c) => planes[c][y * width + x]) };
}

interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}
type At = (x: number, y: number, c: number) => number;

/** How far every pixel of a box is from the outline: positive inside, negative outside; city-block, up to the width of a band. */
function distanceIn(box: Box, inside: (x: number, y: number) => boolean): Int8Array {
  const [w, h] = [box.right - box.left, box.bottom - box.top];
  const far = BAND.to + 1;
  const own = Uint8Array.from({ length: w * h }, (_, i) =>
    inside(box.left + (i % w), box.top + Math.floor(i / w)) ? 1 : 0,
  );
  const out = Int8Array.from(own, () => far);
  const near = (i: number, j: number) => {
    const d = own[i] === own[j] ? out[j] + 1 : 1;
    if (d < out[i]) out[i] = d;
  };
  for (let i = 0; i < out.length; i++) {
    if (i % w) near(i, i - 1);
    if (i >= w) near(i, i - w);
  }
  for (let i = out.length - 1; i >= 0; i--) {
    if (i % w < w - 1) near(i, i + 1);
    if (i < w * (h - 1)) near(i, i + w);
  }
  return out.map((d, i) => (own[i] ? d : -d));
}

/** The mean colours of both bands of an outline, a segment each. */
function segmentsOf(box: Box, distance: Int8Array, [cx, cy]: readonly [number, number], at: At): ItemLook['outline'] {
  const w = box.right - box.left;
  const sums = Array.from({ length: SEGMENTS }, () => ({ in: [0, 0, 0, 0], out: [0, 0, 0, 0] }));
  distance.forEach((d, i) => {
    const off = Math.abs(d);
    if (off < BAND.from || off > BAND.to) return;
    const [x, y] = [box.left + (i % w), box.top + Math.floor(i / w)];
    const turn = (Math.atan2(y - cy, x - cx) / (2 * Math.PI) + 1) % 1;
    const sum = sums[Math.floor(turn * SEGMENTS) % SEGMENTS][d > 0 ? 'in' : 'out'];
    for (let c = 0; c < 3; c++) sum[c] += at(x, y, c);
    sum[3]++;
  });
  return sums.map((s) => {
    if (s.in[3] < 2 || s.out[3] < 2) return undefined;
    const off = (c: number) => (s.in[c] / s.in[3] - s.out[c] / s.out[3]) / (c ? CHROMA_GAIN : 1);
    return [off(0), off(1), off(2)] as const;
  });
}

/** The mean colour of every cell of a box. */
function cellsOf(box: Box, at: At): Float64Array[] {
  const cells = [0, 1, 2].map(() => new Float64Array(CELLS * CELLS));
  const counts = new Float64Array(CELLS * CELLS);
  const [w, h] = [box.right - box.left, box.bottom - box.top];
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const k = Math.floor((y * CELLS) / h) * CELLS + Math.floor((x * CELLS) / w);
      for (let c = 0; c < 3; c++) cells[c][k] += at(box.left + x, box.top + y, c) / (c ? CHROMA_GAIN : 1);
      counts[k]++;
    }
  return cells.map((cell) => cell.map((v, k) => (counts[k] ? v / counts[k] : 0)));
}

/**
 * How well an item can be found again in a finished picture, 0 not at all .. 1 as well as in its control: by how much of what set it off
 * from its ground still does, and all around it as it did; and by whether its parts still differ in the same places. Colours may have
 * become others, and light may have become dark: a look does that.
 */
export function foundAgain(control: ItemLook, take: ItemLook): { outline: number; form: number; found: number } {
  const [was, is]: number[][][] = [[], []];
  let [kept, all] = [0, 0];
  control.outline.forEach((own, k) => {
    const now = take.outline[k];
    if (!own || !now || lengthOf(own) < NO_OUTLINE) return;
    was.push([...own]);
    is.push([...now]);
    const weight = Math.min(CLEAR, lengthOf(own));
    kept += Math.min(weight, lengthOf(now));
    all += weight;
  });
  const outline = all ? (kept / all) * alike(was, is) : 1;
  const form = alike(centred(control.cells), centred(take.cells));
  return { outline, form, found: Math.sqrt(outline * form) };
}

const lengthOf = (v: readonly number[]): number => Math.hypot(v[0], v[1], v[2]);

/** Rows of three channels, each less its mean. */
function centred(channels: readonly Float64Array[]): number[][] {
  const means = channels.map((c) => c.reduce((s, v) => s + v, 0) / c.length);
  return Array.from(channels[0], (_, k) => channels.map((c, i) => c[k] - means[i]));
}

/**
 * How alike two lists of colours are but for what their colours became, 0..1: the RV coefficient without centring (Robert & Escoufier
 * 1976), |A'B| / sqrt(|A'A| |B'B|) with Frobenius norms. 1 where one follows from the other by one change of colours for all.
 */
function alike(a: readonly (readonly number[])[], b: readonly (readonly number[])[]): number {
  const product = (x: typeof a, y: typeof a): number => {
    let sum = 0;
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++) sum += x.reduce((s, row, k) => s + row[i] * y[k][j], 0) ** 2;
    return Math.sqrt(sum);
  };
  const [ab, aa, bb] = [product(a, b), product(a, a), product(b, b)];
  if (aa < 1e-9) return 1;
  return bb < 1e-9 ? 0 : Math.min(1, ab / Math.sqrt(aa * bb));
}
