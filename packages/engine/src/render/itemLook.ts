import { CHROMA_GAIN, resampleToLongSide, signedDistance, type Picture } from '@urbild/core';
import type { SceneSeen, SeenItem } from '../painter/scene/seen';
import { SIDE, smallMap, type SmallMap } from './smallMap';

/** Segments of an outline, and cells of a box on each side. */
export const SEGMENTS = 16;
const CELLS = 12;
/** How far the bands on both sides of an outline reach, px. */
const BAND = 3;
/** Where a line along an outline is drawn, and what lies beside it, in so many px on both sides. */
const LINE = { to: 1, beside: 3, end: 5 } as const;

/** How an item looks in one picture: what sets it off from its ground, and how its parts are light and dark. */
export interface ItemLook {
  /** Mean colour inside less that outside, OKLab, per segment of the outline; undefined where there is too little of it. */
  readonly outline: readonly (readonly [number, number, number] | undefined)[];
  /** L, a, b of every cell of the box around it. */
  readonly cells: readonly Float64Array[];
  /** How much lighter than both of its sides the outline itself is, L of OKLab, per segment: below 0 where a dark line is drawn along it. */
  readonly lines: Ridge;
  /** The same of the outline where it does not lie, in places around it. */
  readonly elsewhere: readonly Pick<ItemLook, 'outline' | 'lines'>[];
}

/** Of each segment; undefined where too little of it is in the picture, or has no two sides. */
export type Ridge = readonly (number | undefined)[];

/** How every item of a scene looks in a picture of it; undefined for those of which too little is there to be looked for. */
export function looksOf(seen: SceneSeen, picture: Picture): (ItemLook | undefined)[] {
  if (!seen.items.length) return [];
  const small = resampleToLongSide(picture, SIDE);
  return placesIn(seen, small).map((place) => place && lookOf(place, small));
}

/** Where an item of a scene lies in a small picture of it. */
interface Place {
  readonly box: Readonly<Box>;
  readonly band: Band;
  /** Width and height of the item, px. */
  readonly size: readonly [number, number];
}

/** Scenes that were looked at: the control and the finished picture have everybody in the same places. */
const KNOWN = new WeakMap<SceneSeen, readonly (Place | undefined)[]>();

function placesIn(seen: SceneSeen, { width, height }: Picture): readonly (Place | undefined)[] {
  let places = KNOWN.get(seen);
  if (!places) {
    const map = smallMap(seen, width, height);
    const extents = extentsOf(map);
    KNOWN.set(seen, (places = seen.items.map((item) => placeOf(item, map, extents))));
  }
  return places;
}

/** The fewest pixels of the small map that can be looked for. */
const LEAST_PIXELS = 12;

interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Where the pixels of a code lie: box, number and sums of places. */
interface Extent extends Box {
  n: number;
  sx: number;
  sy: number;
}

/** The extents of all codes of a map, in one pass. */
function extentsOf({ width, height, codes }: SmallMap): ReadonlyMap<number, Readonly<Extent>> {
  const found = new Map<number, Extent>();
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const code = codes[i];
      if (!code) continue;
      let e = found.get(code);
      if (!e) found.set(code, (e = { left: x, top: y, right: x + 1, bottom: y + 1, n: 0, sx: 0, sy: 0 }));
      if (x < e.left) e.left = x;
      if (x >= e.right) e.right = x + 1;
      e.bottom = y + 1;
      e.n++;
      e.sx += x;
      e.sy += y;
    }
  return found;
}

function placeOf(
  { codes }: SeenItem,
  { width, height, codes: map }: SmallMap,
  extents: ReadonlyMap<number, Readonly<Extent>>,
): Place | undefined {
  const own = codes.flatMap((code) => extents.get(code) ?? []);
  const n = own.reduce((sum, e) => sum + e.n, 0);
  if (n < LEAST_PIXELS) return undefined;
  const [x0, y0] = [Math.min(...own.map((e) => e.left)), Math.min(...own.map((e) => e.top))];
  const [x1, y1] = [Math.max(...own.map((e) => e.right)), Math.max(...own.map((e) => e.bottom))];
  const pad = Math.max(4, Math.round(0.2 * Math.max(x1 - 1 - x0, y1 - 1 - y0)));
  const box = {
    left: Math.max(0, x0 - pad),
    top: Math.max(0, y0 - pad),
    right: Math.min(width, x1 + pad),
    bottom: Math.min(height, y1 + pad),
  };
  const is = new Uint8Array(256);
  for (const code of codes) is[code] = 1;
  const middle = [own.reduce((sum, e) => sum + e.sx, 0) / n, own.reduce((sum, e) => sum + e.sy, 0) / n] as const;
  return { box, band: bandOf(box, distanceIn(box, map, width, is), middle), size: [x1 - x0, y1 - y0] };
}

const lookOf = ({ box, band, size: [w, h] }: Place, ground: Ground): ItemLook => ({
  ...segmentsOf(band, [0, 0], ground),
  cells: cellsOf(box, ground),
  elsewhere: PLACES.map(([x, y]) => segmentsOf(band, [Math.round(x * w), Math.round(y * h)], ground)),
});

type Ground = Pick<Picture, 'width' | 'height' | 'planes'>;

/** How far every pixel of a box is from the outline: positive inside, negative outside; city-block, up to the width of a band. */
function distanceIn(box: Readonly<Box>, map: Uint8Array, width: number, is: Uint8Array): Int8Array {
  const [w, h] = [box.right - box.left, box.bottom - box.top];
  const own = new Uint8Array(w * h);
  for (let y = 0, i = 0; y < h; y++)
    for (let x = 0; x < w; x++, i++) own[i] = is[map[(box.top + y) * width + box.left + x]];
  return signedDistance(own, w, h, LINE.end);
}

/** Where else an outline is laid, in parts of its own width and height: all around, and farther off. */
const PLACES = [
  [-1.2, 0],
  [1.2, 0],
  [0, -1.2],
  [0, 1.2],
  [-1.2, -1.2],
  [1.2, -1.2],
  [-1.2, 1.2],
  [1.2, 1.2],
  [-2.4, 0],
  [2.4, 0],
] as const;

/** The pixels of both bands of an outline: where, in which segment, on which side. */
interface Band {
  readonly x: readonly number[];
  readonly y: readonly number[];
  readonly segment: readonly number[];
  /** How far in, px; below 0 outside. */
  readonly inside: readonly number[];
}

function bandOf(box: Readonly<Box>, distance: Int8Array, [cx, cy]: readonly [number, number]): Band {
  const [xs, ys, segment]: number[][] = [[], [], []];
  const inside: number[] = [];
  for (let y = box.top, i = 0; y < box.bottom; y++)
    for (let x = box.left; x < box.right; x++, i++) {
      const off = Math.abs(distance[i]);
      if (off > LINE.end) continue;
      const turn = (Math.atan2(y - cy, x - cx) / (2 * Math.PI) + 1) % 1;
      xs.push(x);
      ys.push(y);
      segment.push(Math.floor(turn * SEGMENTS) % SEGMENTS);
      inside.push(distance[i]);
    }
  return { x: xs, y: ys, segment, inside };
}

/** What an outline that is moved by so many pixels sets off, and the line along it, a segment each. */
function segmentsOf(
  band: Band,
  [dx, dy]: readonly [number, number],
  { width, height, planes }: Ground,
): Pick<ItemLook, 'outline' | 'lines'> {
  const sums = Array.from({ length: SEGMENTS }, () => ({
    in: [0, 0, 0, 0],
    out: [0, 0, 0, 0],
    line: [0, 0],
    besideIn: [0, 0],
    besideOut: [0, 0],
  }));
  for (let k = 0; k < band.x.length; k++) {
    const [x, y] = [band.x[k] + dx, band.y[k] + dy];
    if (x < 0 || y < 0 || x >= width || y >= height) continue;
    const [i, own, off] = [y * width + x, sums[band.segment[k]], Math.abs(band.inside[k])];
    if (off <= BAND) {
      const sum = own[band.inside[k] > 0 ? 'in' : 'out'];
      for (let c = 0; c < 3; c++) sum[c] += planes[c][i];
      sum[3]++;
    }
    const zone =
      off <= LINE.to ? own.line : off < LINE.beside ? undefined : band.inside[k] > 0 ? own.besideIn : own.besideOut;
    if (!zone) continue;
    zone[0] += planes[0][i];
    zone[1]++;
  }
  return {
    outline: sums.map((s) => {
      if (s.in[3] < 2 || s.out[3] < 2) return undefined;
      const off = (c: number) => (s.in[c] / s.in[3] - s.out[c] / s.out[3]) / (c ? CHROMA_GAIN : 1);
      return [off(0), off(1), off(2)] as const;
    }),
    lines: sums.map(({ line, besideIn, besideOut }) => {
      if (line[1] < 2 || besideIn[1] < 2 || besideOut[1] < 2) return undefined;
      const [own, ...sides] = [line, besideIn, besideOut].map(([sum, n]) => sum / n);
      const [lo, hi] = [Math.min(...sides), Math.max(...sides)];
      return own < lo ? own - lo : own > hi ? own - hi : 0;
    }),
  };
}

/** The mean colour of every cell of a box. */
function cellsOf(box: Readonly<Box>, { width, planes }: Ground): Float64Array[] {
  const cells = [0, 1, 2].map(() => new Float64Array(CELLS * CELLS));
  const counts = new Float64Array(CELLS * CELLS);
  const [w, h] = [box.right - box.left, box.bottom - box.top];
  for (let y = 0; y < h; y++) {
    const row = Math.floor((y * CELLS) / h) * CELLS;
    for (let x = 0, i = (box.top + y) * width + box.left; x < w; x++, i++) {
      const k = row + Math.floor((x * CELLS) / w);
      for (let c = 0; c < 3; c++) cells[c][k] += planes[c][i];
      counts[k]++;
    }
  }
  return cells.map((cell, c) => cell.map((v, k) => (counts[k] ? v / counts[k] / (c ? CHROMA_GAIN : 1) : 0)));
}
