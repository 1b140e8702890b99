import { Random } from '../maths/random';
import { clonePicture, type Picture } from '../picture/picture';
import { QUANTILES, quantileTable, transportShift } from './quantiles';

/** How {@link transportColours} works; every number has a good default. */
export interface TransportOptions {
  /** Rounds of three directions each. */
  iterations?: number;
  /** Weight of the height in the picture as a fourth coordinate, so that skies take their colours from skies. */
  heightWeight?: number;
  /** Half-width of a uniform dither, L units; breaks up flat areas so that they can spread. */
  dither?: number;
  seed?: number;
}

type Direction = readonly [L: number, a: number, b: number, y: number];

const AXES: readonly Direction[] = [
  [1, 0, 0, 0],
  [0, 1, 0, 0],
  [0, 0, 1, 0],
];

function randomDirection(random: Random, withHeight: boolean): Direction {
  const v = [random.normal(), random.normal(), random.normal(), withHeight ? random.normal() : 0];
  const length = Math.hypot(...v);
  return v.map((c) => c / length) as unknown as Direction;
}

function project(
  { width, height, planes: [L, A, B] }: Picture,
  d: Direction,
  heightWeight: number,
  out: Float32Array,
): void {
  const perRow = (d[3] * heightWeight) / height;
  for (let y = 0, i = 0; y < height; y++) {
    const offset = perRow * (y + 0.5);
    for (let x = 0; x < width; x++, i++) out[i] = d[0] * L[i] + d[1] * A[i] + d[2] * B[i] + offset;
  }
}

const known = new WeakMap<Picture, Map<string, Float32Array>>();

/** The quantile table of a picture along one direction; kept with the picture, which must not be changed afterwards. */
function tableAlong(picture: Picture, direction: Direction, heightWeight: number): Float32Array {
  const tables = known.get(picture) ?? new Map<string, Float32Array>();
  known.set(picture, tables);
  const key = `${direction.join()}/${heightWeight}`;
  let table = tables.get(key);
  if (!table) {
    const projected = new Float32Array(picture.width * picture.height);
    project(picture, direction, heightWeight, projected);
    tables.set(key, (table = quantileTable(projected)));
  }
  return table;
}

/**
 * Moves the colours of `source` to the weighted barycentre of the colours of `targets` by sliced optimal transport
 * (Pitié, Kokaram and Dahyot 2007; Bonneel et al. 2015). `weights` are relative, not all zero. Where there are several, their
 * colourfulness is that of the targets on the mean: a barycentre of unlike hues alone is greyer than each of them. Returns a new picture;
 * best done at about 100 px and carried up with a guided filter. What is measured of a target is kept with it: targets must
 * not be changed afterwards.
 */
export function transportColours(
  source: Picture,
  targets: readonly Picture[],
  weights: readonly number[],
  options: TransportOptions = {},
): Picture {
  const { iterations = 10, heightWeight = 0, dither = 0.024, seed = 11 } = options;
  const random = new Random(seed);
  const moved = clonePicture(source);
  const n = source.width * source.height;
  const total = weights.reduce((a, b) => a + b, 0);
  if (dither)
    for (const plane of moved.planes) for (let i = 0; i < n; i++) plane[i] += dither * (2 * random.next() - 1) * 0.5;
  const projected = new Float32Array(n);
  const step = new Float32Array(n);
  const wanted = new Float32Array(QUANTILES);
  const sum = [new Float32Array(n), new Float32Array(n), new Float32Array(n)];
  for (let round = 0; round < iterations; round++) {
    const directions = round === 0 ? AXES : [0, 1, 2].map(() => randomDirection(random, heightWeight > 0));
    for (const plane of sum) plane.fill(0);
    for (const direction of directions) {
      project(moved, direction, heightWeight, projected);
      wanted.fill(0);
      targets.forEach((target, k) => {
        if (!weights[k]) return;
        const table = tableAlong(target, direction, heightWeight);
        for (let q = 0; q < QUANTILES; q++) wanted[q] += (weights[k] / total) * table[q];
      });
      transportShift(projected, wanted, step);
      for (let c = 0; c < 3; c++) {
        const plane = sum[c];
        const k = direction[c];
        for (let i = 0; i < n; i++) plane[i] += k * step[i];
      }
    }
    const amount = round === 0 ? 1 : 0.7;
    for (let c = 0; c < 3; c++) {
      const plane = moved.planes[c];
      for (let i = 0; i < n; i++) plane[i] += amount * sum[c][i];
    }
  }
  keepColourful(moved, targets, weights);
  return moved;
}

/** Mixed colours are made so much more colourful at most: grey has no hue to be brought out. */
const MOST_GAIN = 2;

/** Brings the mean chroma of a mix up to the weighted mean of that of its parts. Changes `mixed`. */
function keepColourful(mixed: Picture, targets: readonly Picture[], weights: readonly number[]): void {
  const parts = targets.flatMap((target, k) =>
    weights[k] > 0 ? [{ chroma: meanChroma(target), weight: weights[k] }] : [],
  );
  if (parts.length < 2) return;
  const total = parts.reduce((sum, { weight }) => sum + weight, 0);
  const wanted = parts.reduce((sum, { chroma, weight }) => sum + (chroma * weight) / total, 0);
  const gain = Math.min(MOST_GAIN, wanted / Math.max(1e-6, meanChroma(mixed)));
  if (gain <= 1) return;
  for (const plane of mixed.planes.slice(1)) for (let i = 0; i < plane.length; i++) plane[i] *= gain;
}

function meanChroma(picture: Picture): number {
  const [, a, b] = picture.planes;
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += Math.sqrt(a[i] * a[i] + b[i] * b[i]);
  return sum / a.length;
}
