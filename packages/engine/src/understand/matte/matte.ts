import { clamp, levelOf, type Picture } from '@urbild/core';
import { placeFrame, type FaceFrame } from '../../traits/frame';
import { groundFrom } from './flood';

/** Who is figure and what is ground: 0 ground .. 1 figure, row by row, over the whole picture. */
export interface Matte {
  readonly width: number;
  readonly height: number;
  readonly alpha: Float32Array;
  /** What it rests on: a segmentation model, the ground as it is seen from the border, both, neither, or what a person painted. */
  readonly from: 'model' | 'border' | 'both' | 'nothing' | 'hand';
}

/** What a segmentation model says of a part of the picture: `side` x `side` values 0 ground .. 255 figure. */
export interface SegmentedPart {
  /** Left, top, width, height, as parts of the picture; it may reach beyond it. */
  readonly box: readonly [number, number, number, number];
  readonly side: number;
  readonly alpha: Uint8Array;
}

/** The longer side at which figure and ground are told apart, px. */
export const MATTE_SIDE = 320;
/** The model is sure of ground below the first, and of a figure above the second. */
const SURE = [0.1, 0.9] as const;
/** The border's ground is trusted where it covers so much of the model's sure ground, and no more than that of its sure figure. */
const AGREES = { ground: 0.95, figure: 0.06 } as const;
/** Below this mean within the face the model has not seen the person. */
const SEEN = 0.6;
/** The ground is known from the border alone where it is at least this part of it. */
const LEAST_GROUND = 0.12;
/** How far the shoulders reach at the lower border, in distances from eyes to chin. */
const SHOULDERS = 3.2;

/** What the model says over a whole picture, and where it was asked: beyond its part the nearest value of its rim goes on. */
interface Model {
  readonly alpha: Float32Array;
  readonly asked: Uint8Array;
}

function modelOver({ box: [left, top, w, h], side, alpha: said }: SegmentedPart, width: number, height: number): Model {
  const alpha = new Float32Array(width * height);
  const asked = new Uint8Array(width * height);
  for (let i = 0; i < alpha.length; i++) {
    const x = Math.floor(((((i % width) + 0.5) / width - left) / w) * side);
    const y = Math.floor((((Math.floor(i / width) + 0.5) / height - top) / h) * side);
    const [nx, ny] = [clamp(x, 0, side - 1), clamp(y, 0, side - 1)];
    alpha[i] = said[ny * side + nx] / 255;
    asked[i] = x === nx && y === ny ? 1 : 0;
  }
  return { alpha, asked };
}

/** Values of a field at the pixels whose middles `inside` accepts: their mean, 0 without any. */
function meanWhere(field: Float32Array, width: number, height: number, inside: (u: number, v: number) => boolean) {
  let [sum, n] = [0, 0];
  for (let i = 0; i < field.length; i++)
    if (inside(((i % width) + 0.5) / width, (Math.floor(i / width) + 0.5) / height)) {
      sum += field[i];
      n++;
    }
  return n ? sum / n : 0;
}

/** Pixels of the border that can be ground: not below the shoulders of whoever has the face, nor where the model is sure of a figure. */
function* seedsOf({ width, height }: Picture, frame: FaceFrame | undefined, model: Float32Array | undefined) {
  const place = frame && placeFrame(frame, width, height);
  const middle = place ? place.at(0, 0)[0] : width / 2;
  const body = place ? SHOULDERS * place.unit : Infinity;
  const free = (i: number) => !model || model[i] < SURE[1];
  for (let x = 0; x < width; x++) {
    if (free(x)) yield x;
    const foot = (height - 1) * width + x;
    if (Math.abs(x - middle) > body && free(foot)) yield foot;
  }
  // beside the body the border is ground down to the shoulders only
  const low = place ? Math.min(height, place.at(0, 2)[1]) : height;
  for (let y = 1; y < low; y++) for (const i of [y * width, y * width + width - 1]) if (free(i)) yield i;
}

/**
 * Tells figure from ground. Where the model is sure it is followed; where the ground can be flooded from the border as far as the model
 * says, its edges are the flood's, which are exact; where the model has not seen the person at all (a pencil drawing), the flood alone
 * decides. Without either everything is figure.
 */
export function matteOf(picture: Picture, frame?: FaceFrame, part?: SegmentedPart): Matte {
  const small = levelOf(picture, Math.min(MATTE_SIDE, Math.max(picture.width, picture.height)));
  const { width, height } = small;
  const said = part && modelOver(part, width, height);
  const model = said && (!frame || inFace(said.alpha, width, height, frame) >= SEEN) ? said : undefined;
  const ground = groundFrom(small, seedsOf(small, frame, model?.alpha));
  const flooded = () => Float32Array.from(ground, (g) => 1 - g);
  if (model) {
    const agrees =
      floodedPart(model, ground, (a) => a < SURE[0]) >= AGREES.ground &&
      floodedPart(model, ground, (a) => a > SURE[1]) <= AGREES.figure;
    return { width, height, alpha: agrees ? flooded() : model.alpha, from: agrees ? 'both' : 'model' };
  }
  const known = ground.reduce((s, g) => s + g, 0) / ground.length >= LEAST_GROUND;
  return {
    width,
    height,
    alpha: known ? flooded() : new Float32Array(ground.length).fill(1),
    from: known ? 'border' : 'nothing',
  };
}

/** The part of what the model says so of that the ground reaches. */
function floodedPart({ alpha, asked }: Model, ground: Uint8Array, says: (alpha: number) => boolean): number {
  let [reached, all] = [0, 0];
  alpha.forEach((a, i) => {
    if (!asked[i] || !says(a)) return;
    all++;
    reached += ground[i];
  });
  return all ? reached / all : 0;
}

/** The mean of a matte over the middle of a face. */
function inFace(model: Float32Array, width: number, height: number, frame: FaceFrame): number {
  const { at, unit } = placeFrame(frame, width, height);
  const [x, y] = at(0, 0.35);
  return meanWhere(model, width, height, (u, v) => Math.hypot(u * width - x, v * height - y) < 0.6 * unit);
}

/** The value of a matte at a place given as parts of the picture, 0..1; 0 outside. */
export function alphaAt({ width, height, alpha }: Matte, u: number, v: number): number {
  const [x, y] = [Math.floor(u * width), Math.floor(v * height)];
  return x < 0 || y < 0 || x >= width || y >= height ? 0 : alpha[y * width + x];
}

/** The part of a picture that a segmentation model is to look at for a head: so far to each side, up and down, in eyes to chin. */
export const HEAD_PART = { beside: 3, above: 2.6, below: 3.4 } as const;

/** {@link HEAD_PART} as left, top, width, height in parts of a picture of width x height px; it may reach beyond the picture. */
export function headPartOf(frame: FaceFrame, width: number, height: number): SegmentedPart['box'] {
  const { at, unit } = placeFrame(frame, width, height);
  const [x, y] = at(0, 0);
  const { beside, above, below } = HEAD_PART;
  return [
    (x - beside * unit) / width,
    (y - above * unit) / height,
    (2 * beside * unit) / width,
    ((above + below) * unit) / height,
  ];
}
