import { mapPlanes, type Picture } from './picture';

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
function coverage(from: number, to: number): { first: Int32Array; last: Int32Array; weights: Float32Array[] } {
  const step = from / to;
  const first = new Int32Array(to);
  const last = new Int32Array(to);
  const weights = Array.from({ length: to }, (_, k) => {
    const a = k * step;
    const b = (k + 1) * step;
    first[k] = Math.floor(a);
    last[k] = Math.min(from - 1, Math.ceil(b) - 1);
    return Float32Array.from({ length: last[k] - first[k] + 1 }, (_, i) => {
      const sample = first[k] + i;
      return (Math.min(b, sample + 1) - Math.max(a, sample)) / step;
    });
  });
  return { first, last, weights };
}

function shrink(source: Float32Array, sw: number, sh: number, dw: number, dh: number, out: Float32Array): Float32Array {
  const across = coverage(sw, dw);
  const down = coverage(sh, dh);
  const row = new Float32Array(sw);
  for (let y = 0; y < dh; y++) {
    row.fill(0);
    for (let i = down.first[y]; i <= down.last[y]; i++) {
      const weight = down.weights[y][i - down.first[y]];
      const at = i * sw;
      for (let x = 0; x < sw; x++) row[x] += weight * source[at + x];
    }
    for (let x = 0; x < dw; x++) {
      const weights = across.weights[x];
      const first = across.first[x];
      let sum = 0;
      for (let i = 0; i < weights.length; i++) sum += weights[i] * row[first + i];
      out[y * dw + x] = sum;
    }
  }
  return out;
}

function enlarge(
  source: Float32Array,
  sw: number,
  sh: number,
  dw: number,
  dh: number,
  out: Float32Array,
): Float32Array {
  const fx = sw / dw;
  const fy = sh / dh;
  const left = new Int32Array(dw);
  const right = new Int32Array(dw);
  const part = new Float32Array(dw);
  for (let x = 0; x < dw; x++) {
    const u = Math.min(sw - 1, Math.max(0, (x + 0.5) * fx - 0.5));
    left[x] = Math.floor(u);
    right[x] = Math.min(sw - 1, left[x] + 1);
    part[x] = u - left[x];
  }
  const row = new Float32Array(sw);
  for (let y = 0; y < dh; y++) {
    const v = Math.min(sh - 1, Math.max(0, (y + 0.5) * fy - 0.5));
    const top = Math.floor(v);
    const t = v - top;
    const a = top * sw;
    const b = Math.min(sh - 1, top + 1) * sw;
    for (let x = 0; x < sw; x++) row[x] = source[a + x] + t * (source[b + x] - source[a + x]);
    const o = y * dw;
    for (let x = 0; x < dw; x++) out[o + x] = row[left[x]] + part[x] * (row[right[x]] - row[left[x]]);
  }
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
