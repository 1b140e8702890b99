import { CHROMA_GAIN, type Lab, type Picture } from '@urbild/core';
import { placeFrame, type FaceFrame } from './frame';
import { cellAt, type HeadField } from './headField';
import type { HeadParts } from './headParts';

/** The cloth below a head on a fine grid, without what light and folds do to it. */
interface ClothGrid {
  readonly columns: number;
  readonly rows: number;
  /** 1 where there is cloth. */
  readonly mask: Uint8Array;
  /** Colours, OKLab. */
  readonly lab: readonly Lab[];
}

/** Step of the grid, in distances from eyes to chin, and where it lies. */
const STEP = 0.03;
const AREA = { beside: 1.4, from: 1.5, to: 3.6 } as const;
const COLUMNS = Math.round((2 * AREA.beside) / STEP) + 1;
const ROWS = Math.round((AREA.to - AREA.from) / STEP) + 1;
/** So many cells of cloth tell anything at all. */
const LEAST = 250;
/** Light changes over this distance, in cells: what changes faster is in the cloth. */
const LIGHT = 9;

/** Reads the cloth of a picture: each cell is the mean of the pixels that it covers. */
function clothGrid(picture: Picture, frame: FaceFrame, field: HeadField, { cloth }: HeadParts): ClothGrid {
  const { width, height, planes } = picture;
  const { at, unit } = placeFrame(frame, width, height);
  const mask = new Uint8Array(COLUMNS * ROWS);
  const half = Math.max(0, Math.floor((STEP * unit) / 2));
  const lab = Array.from({ length: COLUMNS * ROWS }, (_, k): Lab => {
    const [a, b] = [-AREA.beside + STEP * (k % COLUMNS), AREA.from + STEP * Math.floor(k / COLUMNS)];
    const cell = cellAt(field, a, b);
    if (cell === undefined || !(cloth[cell] > 0.5)) return [0, 0, 0];
    const [x, y] = at(a, b).map(Math.round);
    const sum = [0, 0, 0];
    let n = 0;
    for (let py = Math.max(0, y - half); py <= Math.min(height - 1, y + half); py++)
      for (let px = Math.max(0, x - half); px <= Math.min(width - 1, x + half); px++, n++)
        for (let c = 0; c < 3; c++) sum[c] += planes[c][py * width + px];
    if (!n) return [0, 0, 0];
    mask[k] = 1;
    return [sum[0] / n, sum[1] / n / CHROMA_GAIN, sum[2] / n / CHROMA_GAIN];
  });
  return { columns: COLUMNS, rows: ROWS, mask, lab };
}

/** Means over squares of 2 r + 1 cells, of the masked cells alone. */
function boxMean(values: Float32Array, mask: Uint8Array, r: number): Float32Array {
  const along = (v: Float32Array, step: number, other: number, n: number, m: number) => {
    const out = new Float32Array(v.length);
    for (let line = 0; line < m; line++) {
      let sum = 0;
      for (let k = -r; k < n + r; k++) {
        if (k + r < n && k + r >= 0) sum += v[line * other + (k + r) * step];
        if (k - r - 1 >= 0) sum -= v[line * other + (k - r - 1) * step];
        if (k >= 0 && k < n) out[line * other + k * step] = sum;
      }
    }
    return out;
  };
  const both = (v: Float32Array) => along(along(v, 1, COLUMNS, COLUMNS, ROWS), COLUMNS, 1, ROWS, COLUMNS);
  const sums = both(values.map((v, k) => (mask[k] ? v : 0)));
  const counts = both(Float32Array.from(mask));
  return sums.map((s, k) => (counts[k] > 0.5 ? s / counts[k] : 0));
}

/** The axis along which colours of cloth differ most, by power iteration; a and b count twice, for light does not change them. */
const WEIGHTS = [1, 2, 2] as const;
function mainAxis(residuals: readonly Float32Array[], cells: readonly number[]): number[] {
  const c = [0, 1, 2].map((i) =>
    [0, 1, 2].map((j) => cells.reduce((s, k) => s + residuals[i][k] * residuals[j][k], 0) / cells.length),
  );
  let axis = [1, 1, 1];
  for (let n = 0; n < 24; n++) {
    const next = c.map((row) => row.reduce((s, v, j) => s + v * axis[j], 0));
    const length = Math.hypot(...next) || 1;
    axis = next.map((v) => v / length);
  }
  return axis;
}

/** A cloth as one number per cell: how far it is from its surroundings towards its other colour. */
interface Signal {
  readonly value: Float32Array;
  readonly cells: readonly number[];
  readonly mask: Uint8Array;
}

function signalOf({ mask, lab }: ClothGrid): Signal | undefined {
  const cells = [...mask.keys()].filter((k) => mask[k]);
  if (cells.length < LEAST) return undefined;
  const residuals = WEIGHTS.map((weight, c) => {
    const plane = Float32Array.from(lab, (colour) => weight * colour[c]);
    const light = boxMean(plane, mask, LIGHT);
    return plane.map((v, k) => (mask[k] ? v - light[k] : 0));
  });
  const axis = mainAxis(residuals, cells);
  const value = residuals[0].map((v, k) => axis[0] * v + axis[1] * residuals[1][k] + axis[2] * residuals[2][k]);
  return { value, cells, mask };
}

/** Scales at which a cloth is looked at: means over so many cells to each side. */
const SCALES = [0, 1, 2] as const;
/** Directions in which repetition is sought, and how far, in cells. */
const DIRECTIONS = 8;
const FARTHEST = 22;

/** How many numbers tell a pattern. */
export const PATTERN_FEATURES = 3 * 6 + 6;

/** Standardised moments of the values at the cells. */
function moments(value: Float32Array, cells: readonly number[]): { spread: number; skew: number; peaked: number } {
  const mean = cells.reduce((s, k) => s + value[k], 0) / cells.length;
  const power = (p: number) => cells.reduce((s, k) => s + (value[k] - mean) ** p, 0) / cells.length;
  const spread = Math.sqrt(power(2));
  const scale = spread + 1e-4;
  return { spread, skew: power(3) / scale ** 3, peaked: power(4) / scale ** 4 };
}

/**
 * How far edges lie in one direction and in its opposite (stripes), and in two at right angles (checks), 0..1: sums of the gradients with
 * twice and four times their angle (Bigün and Granlund 1987), with the part of the cells that are near an edge.
 */
function edges(
  value: Float32Array,
  { cells, mask }: Signal,
  spread: number,
): { two: number; four: number; part: number } {
  const [twice, four] = [
    [0, 0],
    [0, 0],
  ];
  let all = 0;
  let strong = 0;
  let n = 0;
  for (const k of cells) {
    const [x, y] = [k % COLUMNS, Math.floor(k / COLUMNS)];
    if (x < 1 || y < 1 || x >= COLUMNS - 1 || y >= ROWS - 1) continue;
    if (!mask[k - 1] || !mask[k + 1] || !mask[k - COLUMNS] || !mask[k + COLUMNS]) continue;
    const [gx, gy] = [value[k + 1] - value[k - 1], value[k + COLUMNS] - value[k - COLUMNS]];
    const [m, angle] = [gx * gx + gy * gy, Math.atan2(gy, gx)];
    twice[0] += m * Math.cos(2 * angle);
    twice[1] += m * Math.sin(2 * angle);
    four[0] += m * Math.cos(4 * angle);
    four[1] += m * Math.sin(4 * angle);
    all += m;
    n++;
    if (m > (0.5 * spread) ** 2) strong++;
  }
  return {
    two: Math.hypot(...twice) / (all + 1e-9),
    four: Math.hypot(...four) / (all + 1e-9),
    part: n ? strong / n : 0,
  };
}

/** Correlation of a cloth with itself so many cells on, in one direction; undefined where too little of it lies so far apart. */
function correlation(value: Float32Array, { cells, mask }: Signal, dx: number, dy: number): number | undefined {
  let [n, ab, aa, bb] = [0, 0, 0, 0];
  for (const k of cells) {
    const [x, y] = [(k % COLUMNS) + dx, Math.floor(k / COLUMNS) + dy];
    if (x < 0 || y < 0 || x >= COLUMNS || y >= ROWS || !mask[y * COLUMNS + x]) continue;
    const [a, b] = [value[k], value[y * COLUMNS + x]];
    n++;
    ab += a * b;
    aa += a * a;
    bb += b * b;
  }
  return n < LEAST / 3 ? undefined : ab / (Math.sqrt(aa * bb) + 1e-6);
}

/** How a cloth repeats itself in one direction: the lowest correlation on the way, how high it comes again after, and where. */
function repeats(value: Float32Array, signal: Signal, angle: number): { dip: number; back: number; at: number } {
  let [dip, back, at] = [1, 0, 0];
  for (let d = 1; d <= FARTHEST; d++) {
    const c = correlation(value, signal, Math.round(d * Math.cos(angle)), Math.round(d * Math.sin(angle)));
    if (c === undefined) break;
    if (c < dip) [dip, back, at] = [c, c, d];
    else if (c > back) [back, at] = [c, d];
  }
  return { dip, back, at };
}

/** What is measured of the cloth below a head to tell its pattern. */
export interface ClothMeasured {
  readonly features: Float32Array;
  /** The colour of the most of it, and the other one. */
  readonly most: Lab;
  readonly other: Lab;
}

const medianOf = (colours: readonly Lab[]): Lab =>
  [0, 1, 2].map((c) => colours.map((v) => v[c]).sort((p, q) => p - q)[colours.length >> 1]) as unknown as Lab;

/** The ends of the signal of a cloth, as parts of its cells, and how near to an end a cell is that has its colour. */
const ENDS = [0.05, 0.95] as const;
const NEAR_END = 0.3;

/** The two colours of a cloth: of the cells at both ends of its signal, for those between are blurred. */
function coloursOf({ lab }: ClothGrid, { value, cells }: Signal): Pick<ClothMeasured, 'most' | 'other'> {
  const sorted = cells.map((k) => value[k]).sort((p, q) => p - q);
  const [low, high] = ENDS.map((part) => sorted[Math.floor(part * (sorted.length - 1))]);
  const at = (k: number) => (value[k] - low) / (high - low || 1);
  const [dark, light] = [
    medianOf(cells.filter((k) => at(k) <= NEAR_END).map((k) => lab[k])),
    medianOf(cells.filter((k) => at(k) >= 1 - NEAR_END).map((k) => lab[k])),
  ];
  const lower = cells.filter((k) => at(k) < 0.5).length;
  return lower >= cells.length / 2 ? { most: dark, other: light } : { most: light, other: dark };
}

/** Measures cloth; undefined where too little of it is in the picture. */
export function measureCloth(
  picture: Picture,
  frame: FaceFrame,
  field: HeadField,
  parts: HeadParts,
): ClothMeasured | undefined {
  const grid = clothGrid(picture, frame, field, parts);
  const signal = signalOf(grid);
  if (!signal) return undefined;
  const out: number[] = [];
  const smooth = SCALES.map((r) => (r ? boxMean(signal.value, signal.mask, r) : signal.value));
  for (const value of smooth) {
    const { spread, skew, peaked } = moments(value, signal.cells);
    const { two, four, part } = edges(value, signal, spread);
    out.push(Math.min(1, 8 * spread), Math.min(3, Math.abs(skew)), Math.min(6, peaked) / 3, two, four, part);
  }
  const around = Array.from({ length: DIRECTIONS }, (_, k) => repeats(smooth[1], signal, (k * Math.PI) / DIRECTIONS));
  const rise = ({ dip, back }: (typeof around)[number]) => back - dip;
  const best = around.reduce((b, one, k) => (rise(one) > rise(around[b]) ? k : b), 0);
  const across = around[(best + DIRECTIONS / 2) % DIRECTIONS];
  const { dip, back, at } = around[best];
  out.push(dip, back, at / FARTHEST, across.dip, across.back, Math.max(...around.map((r) => r.dip)));
  return { features: Float32Array.from(out), ...coloursOf(grid, signal) };
}
