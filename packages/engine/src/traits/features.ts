import { blur, CHROMA_GAIN, median, type Lab, type Picture } from '@urbild/core';
import { alphaAt, type Matte } from '../understand/matte/matte';
import { placeFrame, type FaceFrame, type OnFace } from './frame';

/** What is measured around a face before anything is decided. */
export interface FaceFeatures {
  readonly skin: Lab;
  /** Where hair is likeliest: above the brow, and beside the face. */
  readonly crown: Lab;
  readonly side: Lab;
  readonly background: Lab;
  /** How near each cell around the head is to the skin's, the crown's and the side's colour, and how much it is figure. */
  readonly map: Float32Array;
  /** The face itself: lightness on a grid, mean 0 and spread 1. */
  readonly face: Float32Array;
}

const COLUMNS = 17;
const ROWS = 21;
const FACE = 20;
/** Skin, crown, side, figure. */
const CHANNELS = 4;

/** The values around a point, for one call at a time: a face is looked at in hundreds of points. */
const AROUND_POINT = [new Float64Array(9), new Float64Array(9), new Float64Array(9)] as const;

/** The colour at a point: the median of a few pixels around it; undefined outside the picture. */
function colourAt(
  { width, height, planes }: Picture,
  [x, y]: readonly [number, number],
  radius: number,
): Lab | undefined {
  let n = 0;
  for (let dy = -1; dy <= 1; dy++)
    for (let dx = -1; dx <= 1; dx++) {
      const px = Math.round(x + dx * radius);
      const py = Math.round(y + dy * radius);
      if (px < 0 || py < 0 || px >= width || py >= height) continue;
      for (let k = 0; k < 3; k++) AROUND_POINT[k][n] = planes[k][py * width + px];
      n++;
    }
  const middle = (k: number) => middleOf(AROUND_POINT[k], n);
  return n ? [middle(0), middle(1) / CHROMA_GAIN, middle(2) / CHROMA_GAIN] : undefined;
}

/** The median of the first `n` of some values, which it sorts. */
function middleOf(values: Float64Array, n: number): number {
  for (let i = 1; i < n; i++) {
    const v = values[i];
    let k = i;
    for (; k > 0 && values[k - 1] > v; k--) values[k] = values[k - 1];
    values[k] = v;
  }
  return n % 2 ? values[n >> 1] : (values[n / 2 - 1] + values[n / 2]) / 2;
}

const apart = (a: Lab, b: Lab): number => Math.hypot(0.8 * (a[0] - b[0]), 1.6 * (a[1] - b[1]), 1.6 * (a[2] - b[2]));

/** The colour that most of some points share: the one with the most others near it. */
export function commonColour(colours: readonly (Lab | undefined)[]): Lab {
  const known = colours.filter((c): c is Lab => c !== undefined);
  if (!known.length) return [0.5, 0, 0];
  let best = known[0];
  let most = -1;
  for (const c of known) {
    const near = known.filter((d) => apart(c, d) < 0.06).length;
    if (near > most) {
      most = near;
      best = c;
    }
  }
  const near = known.filter((d) => apart(best, d) < 0.06);
  const axis = (k: 0 | 1 | 2) => median(near.map((c) => c[k]));
  return [axis(0), axis(1), axis(2)];
}

/** A fan of points in the measure of the face. */
const points = (as: readonly number[], bs: readonly number[]): [number, number][] =>
  bs.flatMap((b) => as.map((a): [number, number] => [a, b]));

/** Cheeks, forehead, and around the nose: where one is covered - by a beard, a fringe, glasses - the others show. */
const SKIN = [
  ...points([-0.42, -0.3, -0.15, 0.15, 0.3, 0.42], [0.3, 0.42, 0.55]),
  ...points([-0.3, -0.18, -0.06, 0.06, 0.18, 0.3], [-0.42, -0.34, -0.26]),
  ...points([-0.5, -0.25, 0, 0.25, 0.5], [0.12, 0.18, 0.24]),
];
const CROWN = points([-0.45, -0.25, 0, 0.25, 0.45], [-1.15, -1.0, -0.85]);
const SIDE = points([-1.0, -0.9, -0.8, 0.8, 0.9, 1.0], [-0.4, -0.2, 0]);
const AROUND = [...points([-2.1, -1.8, 1.8, 2.1], [-1.5, -1, -0.5, 0]), ...points([-1.2, 0, 1.2], [-1.9])];

/** Between the brows and down the bridge of the nose: skin whatever grows below it. */
const BRIDGE = points([-0.08, 0, 0.08], [-0.3, -0.24, -0.18, -0.12, -0.06, 0.03, 0.1]);

/** The skin of a face that a beard covers. */
export const skinOverBeard = (picture: Picture, frame: FaceFrame): Lab =>
  commonColour(coloursIn(picture, frame, BRIDGE));

/** What a hatched or woven picture is softened by before a face is measured, in distances from eyes to chin. */
const SOFTNESS = 0.022;

/** The picture as faces are measured in it: hatching and weave are evened out, whatever size the face has. */
export function evened(picture: Picture, frame: FaceFrame): Picture {
  const sigma = SOFTNESS * placeFrame(frame, picture.width, picture.height).unit;
  return sigma > 0.3 ? blur(picture, sigma) : picture;
}

/** Columns in which the top of a head is looked for, how high at the most, and what lies so far below it; in distances from eyes to chin. */
const TOP = {
  columns: [-0.36, -0.18, 0, 0.18, 0.36],
  from: -2.6,
  to: -0.35,
  step: 0.05,
  below: [0.1, 0.18, 0.26, 0.34],
} as const;

/** How much a place is figure, 0..1; places in the face's own measure. */
type OnFigure = (a: number, b: number) => number;

/** Points just below the top of a figure: a hat, hair, or the bare head, however high that is. */
function topOf(figureAt: OnFigure): [number, number][] {
  return TOP.columns.flatMap((a) => {
    for (let b: number = TOP.from; b < TOP.to; b += TOP.step)
      if (figureAt(a, b) > 0.5) return TOP.below.map((down): [number, number] => [a, b + down]);
    return [];
  });
}

/**
 * Measures a face and what is around it, in an {@link evened} picture. What a matte says is ground is neither skin nor hair; without one
 * everything may be either.
 */
export function faceFeatures(picture: Picture, frame: FaceFrame, matte?: Matte): FaceFeatures {
  const { width, height } = picture;
  const { at, unit } = placeFrame(frame, width, height);
  const figureAt = (a: number, b: number): number => {
    const [x, y] = at(a, b);
    return matte ? alphaAt(matte, x / width, y / height) : 1;
  };
  const read = (where: readonly (readonly [number, number])[], ground = false) => {
    const own = where.filter(([a, b]) => figureAt(a, b) > 0.5 !== ground);
    return commonColour(coloursIn(picture, frame, own.length ? own : where));
  };
  const skin = read(SKIN);
  const crown = read(matte ? topOf(figureAt) : CROWN);
  const side = read(SIDE);
  const background = read(AROUND, true);
  const map: number[] = [];
  for (let r = 0; r < ROWS; r++)
    for (let c = 0; c < COLUMNS; c++) {
      const [a, b] = [-1.9 + (3.8 * c) / (COLUMNS - 1), -1.6 + (4 * r) / (ROWS - 1)];
      const here = colourAt(picture, at(a, b), unit * 0.06);
      for (const to of [skin, crown, side]) map.push(here ? Math.exp(-((apart(here, to) / 0.09) ** 2)) : 0);
      map.push(here ? figureAt(a, b) : 0);
    }
  return { skin, crown, side, background, map: Float32Array.from(map), face: faceGrid(picture, at) };
}

/** Around every point of the grid of a face these are looked at, in the face's own measure. */
const QUINCUNX: readonly (readonly [number, number])[] = [
  [0, 0],
  [0.022, 0.022],
  [-0.022, 0.022],
  [0.022, -0.022],
  [-0.022, -0.022],
];

/** The pixels of the grid of a face, point by point. */
function gridPixels({ width, height }: Picture, at: OnFace): Int32Array {
  const out = new Int32Array(FACE * FACE * QUINCUNX.length);
  let k = 0;
  for (let r = 0; r < FACE; r++)
    for (let c = 0; c < FACE; c++)
      for (const [da, db] of QUINCUNX) {
        const [x, y] = at(-0.95 + (1.9 * c) / (FACE - 1) + da, -0.55 + (1.75 * r) / (FACE - 1) + db);
        const px = Math.min(width - 1, Math.max(0, Math.round(x)));
        out[k++] = Math.min(height - 1, Math.max(0, Math.round(y))) * width + px;
      }
  return out;
}

/** Lightness and redness of the face itself on a grid, whatever its light. */
function faceGrid(picture: Picture, at: OnFace): Float32Array {
  const pixels = gridPixels(picture, at);
  const out = new Float32Array(FACE * FACE * 2);
  for (const nth of [0, 1]) {
    const plane = picture.planes[nth];
    const part = out.subarray(nth * FACE * FACE, (nth + 1) * FACE * FACE);
    for (let i = 0; i < part.length; i++) {
      let sum = 0;
      for (let k = 0; k < QUINCUNX.length; k++) sum += plane[pixels[i * QUINCUNX.length + k]] / QUINCUNX.length;
      part[i] = sum;
    }
    const mean = part.reduce((a, b) => a + b, 0) / part.length;
    const spread = Math.sqrt(part.reduce((a, b) => a + (b - mean) ** 2, 0) / part.length) + 0.01;
    for (let i = 0; i < part.length; i++) part[i] = (part[i] - mean) / spread;
  }
  return out;
}

/** How far apart two colours are for the eye, hue before lightness: light changes lightness first. */
export const colourGap = apart;

/** The map of the mirrored picture. */
export function mirrorMap(map: Float32Array): Float32Array {
  const out = new Float32Array(map.length);
  for (let r = 0; r < ROWS; r++)
    for (let c = 0; c < COLUMNS; c++)
      for (let k = 0; k < CHANNELS; k++)
        out[(r * COLUMNS + c) * CHANNELS + k] = map[(r * COLUMNS + (COLUMNS - 1 - c)) * CHANNELS + k];
  return out;
}

/** The colours at some points around a face; undefined where they lie outside the picture. */
export function coloursIn(
  picture: Picture,
  frame: FaceFrame,
  where: readonly (readonly [number, number])[],
): (Lab | undefined)[] {
  const { at, unit } = placeFrame(frame, picture.width, picture.height);
  return where.map(([a, b]) => colourAt(picture, at(a, b), unit * 0.03));
}
