import { mapPlanes, type Picture } from './picture';
import { enlargePlane, halvePlane, shrinkPlane, type Between, type Coverage } from './planesKernel';

/**
 * One plane to another size: area average when it shrinks (both sides), bilinear otherwise. Sizes in pixels, row by row.
 */
export function resamplePlane(source: Float32Array, sw: number, sh: number, dw: number, dh: number): Float32Array {
  const out = new Float32Array(dw * dh);
  if (sw === dw && sh === dh) {
    out.set(source);
    return out;
  }
  return dw <= sw && dh <= sh ? shrink(source, sw, sh, dw, dh, out) : enlarge(source, sw, sh, dw, dh, out);
}

/** Which source samples a shrunken sample covers, and how much of each. */
export function coverage(from: number, to: number): Coverage {
  const step = from / to;
  const most = Math.ceil(step) + 1;
  const first = new Int32Array(to);
  const last = new Int32Array(to);
  const weights = new Float32Array(to * most);
  for (let k = 0; k < to; k++) {
    const a = k * step;
    const b = (k + 1) * step;
    first[k] = Math.floor(a);
    last[k] = Math.min(from - 1, Math.ceil(b) - 1);
    for (let s = first[k]; s <= last[k]; s++)
      weights[k * most + s - first[k]] = (Math.min(b, s + 1) - Math.max(a, s)) / step;
  }
  return { first, last, weights, most };
}

function shrink(source: Float32Array, sw: number, sh: number, dw: number, dh: number, out: Float32Array): Float32Array {
  if (sw === 2 * dw && sh === 2 * dh) halvePlane(source, sw, dw, dh, out);
  else shrinkPlane(source, { sw, dw, dh, across: coverage(sw, dw), down: coverage(sh, dh), out });
  return out;
}

/** For every sample of `to`: the two of `from` that it lies between, and how far towards the second. */
export function between(from: number, to: number): Between {
  const low = new Int32Array(to);
  const high = new Int32Array(to);
  const part = new Float32Array(to);
  for (let i = 0; i < to; i++) {
    const at = Math.min(from - 1, Math.max(0, ((i + 0.5) * from) / to - 0.5));
    low[i] = Math.floor(at);
    high[i] = Math.min(from - 1, low[i] + 1);
    part[i] = at - low[i];
  }
  return { low, high, part };
}

function enlarge(
  source: Float32Array,
  sw: number,
  sh: number,
  dw: number,
  dh: number,
  out: Float32Array,
): Float32Array {
  enlargePlane(source, { sw, dw, dh, across: between(sw, dw), down: between(sh, dh), out });
  return out;
}

/** A picture at another size; see {@link resamplePlane}. */
export function resample(picture: Picture, width: number, height: number): Picture {
  const { width: w, height: h, planes } = picture;
  if (w === width && h === height) return picture;
  return mapPlanes(width, height, (c) => resamplePlane(planes[c], w, h, width, height));
}

/** A picture whose longer side is `side` pixels, aspect kept (sides of at least 1). */
export function resampleToLongSide(picture: Picture, side: number): Picture {
  const k = side / Math.max(picture.width, picture.height);
  return resample(picture, Math.max(1, Math.round(picture.width * k)), Math.max(1, Math.round(picture.height * k)));
}

const levels = new WeakMap<Picture, Map<number, Picture>>();

/**
 * As {@link resampleToLongSide}, kept with the picture: for measuring, where many descriptors read the same few sizes. The
 * picture and what is answered must not be changed afterwards.
 */
export function levelOf(picture: Picture, side: number): Picture {
  let known = levels.get(picture);
  if (!known) levels.set(picture, (known = new Map()));
  let level = known.get(side);
  if (!level) known.set(side, (level = resampleToLongSide(picture, side)));
  return level;
}
