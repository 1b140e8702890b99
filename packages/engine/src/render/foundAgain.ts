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
 * How well an item can be found again in a finished picture, 0 not at all .. 1 as well as in its control: half by how much of what
 * set it off from its ground still does, half by whether its parts are still light and dark in the same places (or the other way
 * round: a print may turn them over).
 */
export function foundAgain(control: ItemLook, take: ItemLook): { outline: number; form: number; found: number } {
  const length = (v: readonly number[]) => Math.hypot(v[0], v[1], v[2]);
  let [kept, all] = [0, 0];
  control.outline.forEach((was, k) => {
    const is = take.outline[k];
    if (!was || !is || length(was) < NO_OUTLINE) return;
    const weight = Math.min(CLEAR, length(was));
    kept += Math.min(weight, length(is));
    all += weight;
  });
  const outline = all ? kept / all : 1;
  const form = formKept(control.cells, take.cells);
  return { outline, form, found: Math.sqrt(outline * form) };
}

/** Correlation of cells, channels weighted by how much the control has of them; the sign does not count. */
function formKept(control: readonly Float64Array[], take: readonly Float64Array[]): number {
  let [sum, weight] = [0, 0];
  control.forEach((cells, c) => {
    const { correlation, variance } = correlate(cells, take[c]);
    sum += variance * Math.abs(correlation);
    weight += variance;
  });
  return weight > 1e-9 ? sum / weight : 1;
}

/** Pearson's correlation, and the variance of the first. */
function correlate(a: Float64Array, b: Float64Array): { correlation: number; variance: number } {
  const mean = (v: Float64Array) => v.reduce((s, x) => s + x, 0) / v.length;
  const [ma, mb] = [mean(a), mean(b)];
  let [aa, bb, ab] = [0, 0, 0];
  for (let i = 0; i < a.length; i++) {
    aa += (a[i] - ma) ** 2;
    bb += (b[i] - mb) ** 2;
    ab += (a[i] - ma) * (b[i] - mb);
  }
  return { correlation: aa * bb > 1e-12 ? ab / Math.sqrt(aa * bb) : 0, variance: aa / a.length };
}
