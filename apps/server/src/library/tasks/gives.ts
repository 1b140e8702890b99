import {
  blurPlane,
  findHorizon,
  hexOf,
  MAX_NAMED_PLACES,
  planColours,
  type NamedArea,
  type Picture,
} from '@urbild/core';
import { horizonIn, readPicture, seenAreas, type SeenArea } from '@urbild/engine';
import sharp from 'sharp';
import { measurable } from '../../platform/pictures/decode';
import { areasPicture } from './areasPicture';

/** The pictures that stand for what a reference gives, on demand. */
export interface GivesTask {
  readonly picture: string;
}

export interface GivesResult {
  /** PNG each. */
  readonly lines: Uint8Array;
  readonly depth: Uint8Array;
  readonly areas: Uint8Array;
  readonly shape: Uint8Array;
  /** The picture is a line drawing already, so its lines are taken as they are. */
  readonly isLineDrawing: boolean;
  /** Two-valued enough to be a shape. */
  readonly isShape: boolean;
  readonly horizon: { readonly at: number; readonly confidence: number };
  /** Part that lies in flat colours, and these with what they most likely stand for. */
  readonly flat: number;
  readonly planColours: readonly (NamedArea & { readonly part: number })[];
  /** What its areas show, the largest first. */
  readonly seen: readonly SeenArea[];
}

/** How sure a horizon is that was seen as the beginning of the ground, 0..1. */
const SEEN = 0.9;

/** A plane 0..1 as a grey PNG. */
const grey = (plane: Float32Array, width: number, height: number): Promise<Buffer> =>
  sharp(Buffer.from(Uint8Array.from(plane, (v) => Math.round(255 * Math.min(1, Math.max(0, v))))), {
    raw: { width, height, channels: 1 },
  })
    .png()
    .toBuffer();

/** Dark lines on white: differences of blurred lightness (extended difference of Gaussians, Winnemoeller 2012). */
function linesOf({ width: w, height: h, planes }: Picture): Float32Array {
  const fine = blurPlane(planes[0], w, h, 1);
  const broad = blurPlane(planes[0], w, h, 1.8);
  return fine.map((v, i) => {
    const d = v - 0.98 * broad[i] + 0.005 - 0.02 * v;
    return d > 0 ? 1 : Math.max(0, 1 + Math.tanh(90 * d));
  });
}

/** True for a drawing in dark lines on light paper: most of it light and even, the dark thin. */
function isLineDrawing({ width: w, height: h, planes: [L, A, B] }: Picture): boolean {
  let light = 0;
  let dark = 0;
  let deep = 0;
  let colour = 0;
  for (let i = 0; i < w * h; i++) {
    if (L[i] > 0.85) light++;
    if (L[i] < 0.6) {
      dark++;
      const x = i % w;
      const y = (i / w) | 0;
      // dark all around: an area, not a line
      const r = Math.max(3, Math.round(w / 80));
      if (x >= r && x < w - r && y >= r && y < h - r && [i - r, i + r, i - r * w, i + r * w].every((j) => L[j] < 0.6))
        deep++;
    }
    colour += Math.hypot(A[i], B[i]);
  }
  const n = w * h;
  return light / n > 0.7 && dark / n > 0.004 && dark / n < 0.2 && deep < 0.2 * dark && colour / n < 0.05;
}

/** True for a picture of two tones and hardly anything between: a silhouette or lettering. */
function isShape({ planes: [L] }: Picture): boolean {
  let between = 0;
  let dark = 0;
  for (let i = 0; i < L.length; i++) {
    if (L[i] > 0.35 && L[i] < 0.85) between++;
    if (L[i] <= 0.35) dark++;
  }
  return between / L.length < 0.06 && dark / L.length > 0.02 && dark / L.length < 0.85;
}

/** A guess at near and far: lower in the picture, sharper and more strongly coloured is nearer. 1 is near. */
function depthOf({ width: w, height: h, planes }: Picture, horizon: number): Float32Array {
  const soft = blurPlane(planes[0], w, h, 2);
  const detail = blurPlane(
    planes[0].map((v, i) => Math.abs(v - soft[i])),
    w,
    h,
    w / 30,
  );
  const top = detail.reduce((m, v) => Math.max(m, v), 1e-6);
  const out = new Float32Array(w * h);
  for (let i = 0; i < out.length; i++) {
    const y = ((i / w) | 0) / h;
    const ground = y > horizon ? (y - horizon) / (1 - horizon) : 0;
    const haze = 1 - Math.min(1, soft[i]);
    out[i] = Math.min(1, 0.62 * ground + 0.28 * Math.sqrt(detail[i] / top) + 0.12 * haze);
  }
  return blurPlane(out, w, h, w / 120);
}

/** The pictures that stand for what a reference gives. */
export async function gives({ picture: file }: GivesTask): Promise<GivesResult> {
  const picture = await measurable(sharp(file));
  const { width, height } = picture;
  const seen = readPicture(picture);
  const at = horizonIn(seen);
  const horizon = at === undefined ? findHorizon(picture) : { at, confidence: SEEN };
  const drawing = isLineDrawing(picture);
  const [lines, depth, shape] = await Promise.all([
    grey(drawing ? picture.planes[0] : linesOf(picture), width, height),
    grey(depthOf(picture, horizon.at), width, height),
    grey(
      picture.planes[0].map((v) => (v > 0.6 ? 1 : 0)),
      width,
      height,
    ),
  ]);
  const plan = planColours(picture);
  return {
    lines,
    depth,
    areas: await areasPicture(picture, seen),
    seen: seenAreas(seen, MAX_NAMED_PLACES),
    shape,
    isLineDrawing: drawing,
    isShape: isShape(picture),
    horizon,
    flat: plan.flat,
    planColours: plan.colours.map(({ lab, part, is }) => ({ colour: hexOf(lab), part, is })),
  };
}
