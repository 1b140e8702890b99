import { blurPlane, CHROMA_GAIN, clamp, resamplePlane, smoothstep, type Picture } from '@urbild/core';

/** A figure, or a part of one, that must stand off from what is around it. */
export interface Subject {
  /** 1 where it is, 0 elsewhere; one byte a pixel. */
  readonly mask: Uint8Array;
  /** Left, top, right, bottom of it, px. */
  readonly box: readonly [number, number, number, number];
  /** How far its edges reach, px of 512: little for eyes, more for whole figures. */
  readonly reach: number;
  /** True for what is so small that it is moved as a whole, as eyes are. */
  readonly whole?: boolean;
}

/** What stands out so much is seen at once, OKLab: more is not held. */
const CLEAR = 0.15;
/** The part of what set a subject off that it must keep at the usual strictness. */
const KEPT = 0.95;
/** Where the stage shows no more than the first there is no edge to hold; from the second on it is one, OKLab. */
const EDGE = [0.02, 0.05] as const;
/** How far a subject's own side of light or dark counts for the way in which it is set off, beside how it lies in the picture. */
const OWN_SIDE = 0.5;
/** What is nearer than this has no side of its own, OKLab L. */
const NO_SIDE = 0.02;
/** What sets off is measured over this part of the reach, and is brought in by this much more than is missing there. */
const MEASURED = 0.5;
const GAIN = 1.5;
const TIMES = 2;
const LEAST_WEIGHT = 1e-3;
/** The blur of a mask's edge, px. */
const SOFT_EDGE = 0.6;
/** What lacks no more than this lacks nothing, OKLab L. */
const ENOUGH = 1e-4;

/**
 * Sets subjects off where a look has drowned them: along the outline of each, where its inside and its outside have come nearer to each
 * other than in the stage, lightness goes up on one side and down on the other, most at the outline and less away from it - unsharp
 * masking by what is in front (Luft, Colditz & Deussen 2006). Hues stay those of the look. `amount` 0..1 is the part of what must be kept
 * that is insisted on. Changes `picture`; both have one size, that of the masks.
 */
export function holdSubject(picture: Picture, stage: Picture, subjects: readonly Subject[], amount: number): void {
  if (amount <= 0) return;
  for (const subject of subjects) setOff(picture, stage, subject, amount);
}

/** A piece of a picture around a subject, and the size that it is looked at in. */
interface Piece {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly small: { readonly width: number; readonly height: number };
}

/** The blur that a piece is looked at with, px of its small size: more would cost time and tell no more. */
const SMALL_BLUR = 2;

function pieceAround(box: Subject['box'], sigma: number, width: number, height: number): Piece {
  const pad = Math.ceil(3 * sigma);
  const [left, top] = [Math.max(0, Math.floor(box[0]) - pad), Math.max(0, Math.floor(box[1]) - pad)];
  const [right, bottom] = [Math.min(width, Math.ceil(box[2]) + pad), Math.min(height, Math.ceil(box[3]) + pad)];
  const k = Math.min(1, SMALL_BLUR / sigma);
  const size = { width: right - left, height: bottom - top };
  const small = { width: Math.max(2, Math.round(size.width * k)), height: Math.max(2, Math.round(size.height * k)) };
  return { left, top, ...size, small };
}

function setOff(picture: Picture, stage: Picture, { mask, box, reach }: Subject, amount: number): void {
  const { width, height } = picture;
  const sigma = Math.max(0.7, (reach * Math.max(width, height)) / 512);
  const piece = pieceAround(box, sigma, width, height);
  const { small } = piece;
  const blur = (sigma * small.width) / piece.width;
  const whole = cut(mask, piece, width);
  const inside = reduced(whole, piece);
  const soft = blurPlane(inside, small.width, small.height, blur);
  // hard steps of a mask would show as jags
  const edge = blurPlane(whole, piece.width, piece.height, SOFT_EDGE);
  const wide = enlarged(soft, piece);
  const was = sidesOf(stage, inside, piece, MEASURED * blur);
  const lean = Math.sign(was.light.reduce((sum, v, i) => sum + v * soft[i] * (1 - soft[i]), 0)) * NO_SIDE;
  const L = picture.planes[0];
  for (let n = 0; n < TIMES; n++) {
    const [within, without] = missing(was, sidesOf(picture, inside, piece, MEASURED * blur), lean, amount).map(
      (plane) => enlarged(plane, piece),
    );
    for (let y = 0, i = 0; y < piece.height; y++)
      for (let x = 0, at = (piece.top + y) * width + piece.left; x < piece.width; x++, i++, at++) {
        const step = edge[i] - wide[i];
        const by = (step > 0 ? within[i] : without[i]) * step;
        if (Math.abs(by) > ENOUGH) L[at] = clamp(L[at] + GAIN * by);
      }
  }
}

/** What lightness lacks around an outline, with its sign, to be given inside, and outside. */
function missing(was: Sides, is: Sides, lean: number, amount: number): [inside: Float32Array, outside: Float32Array] {
  const [inside, outside] = [new Float32Array(was.light.length), new Float32Array(was.light.length)];
  for (let i = 0; i < inside.length; i++) {
    const had = Math.hypot(was.light[i], was.hue[i]);
    const wanted = amount * KEPT * Math.min(had, CLEAR) * smoothstep(EDGE[0], EDGE[1], had);
    const way = is.light[i] + OWN_SIDE * was.light[i] + lean;
    const side = way / Math.hypot(way, NO_SIDE);
    const lack = Math.sqrt(Math.max(0, wanted ** 2 - is.hue[i] ** 2)) - side * is.light[i];
    if (lack < ENOUGH) continue;
    // what is white already cannot become lighter: then its ground becomes darker, by both parts
    const [own, other] = side > 0 ? [1 - is.inner[i], is.outer[i]] : [is.inner[i], 1 - is.outer[i]];
    const [mine, its] = [Math.min(own, lack) + LEAST_WEIGHT, Math.min(other, lack) + LEAST_WEIGHT];
    inside[i] = (side * lack * 2 * mine) / (mine + its);
    outside[i] = (side * lack * 2 * its) / (mine + its);
  }
  return [inside, outside];
}

const reduced = (plane: Float32Array, { width, height, small }: Piece): Float32Array =>
  resamplePlane(plane, width, height, small.width, small.height);
const enlarged = (plane: Float32Array, { width, height, small }: Piece): Float32Array =>
  resamplePlane(plane, small.width, small.height, width, height);

/** What lies inside of a mask and what lies outside, around every pixel, OKLab. */
interface Sides {
  /** Lightness inside less that outside. */
  readonly light: Float32Array;
  /** How far apart the hues are. */
  readonly hue: Float32Array;
  /** Lightness inside, and outside. */
  readonly inner: Float32Array;
  readonly outer: Float32Array;
}

function sidesOf({ planes, width }: Picture, inside: Float32Array, piece: Piece, sigma: number): Sides {
  const blurred = (plane: Float32Array) => blurPlane(plane, piece.small.width, piece.small.height, sigma);
  // pixels that the outline goes through belong to neither side
  const masks = [inside.map((m) => Math.max(0, 2 * m - 1)), inside.map((m) => Math.max(0, 1 - 2 * m))];
  const [m, n] = masks.map(blurred);
  const [light, a, b] = planes.map((plane, c) => {
    const own = reduced(cut(plane, piece, width), piece);
    const [within, without] = masks.map((mask) => blurred(own.map((v, i) => v * mask[i])));
    const [inner, outer] = [new Float32Array(own.length), new Float32Array(own.length)];
    for (let i = 0; i < own.length; i++) {
      // far from the outline there is one side only
      if (m[i] < LEAST_WEIGHT || n[i] < LEAST_WEIGHT) continue;
      inner[i] = within[i] / m[i] / (c ? CHROMA_GAIN : 1);
      outer[i] = without[i] / n[i] / (c ? CHROMA_GAIN : 1);
    }
    return { inner, outer, between: inner.map((v, i) => v - outer[i]) };
  });
  return {
    light: light.between,
    hue: a.between.map((v, i) => Math.hypot(v, b.between[i])),
    inner: light.inner,
    outer: light.outer,
  };
}

/** A piece of a plane. */
function cut(plane: Float32Array | Uint8Array, { left, top, width, height }: Piece, stride: number): Float32Array {
  const out = new Float32Array(width * height);
  for (let y = 0; y < height; y++) {
    const from = (top + y) * stride + left;
    out.set(plane.subarray(from, from + width), y * width);
  }
  return out;
}
