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

interface Coverage {
  readonly first: Int32Array;
  readonly last: Int32Array;
  /** Of sample `k` the weights from `k * most` on. */
  readonly weights: Float32Array;
  readonly most: number;
}

/** Which source samples a shrunken sample covers, and how much of each. */
function coverage(from: number, to: number): Coverage {
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

/** Half the size exactly: the most frequent case by far. */
function halve(source: Float32Array, sw: number, dw: number, dh: number, out: Float32Array): Float32Array {
  for (let y = 0, o = 0; y < dh; y++)
    for (let x = 0, i = 2 * y * sw; x < dw; x++, i += 2, o++)
      out[o] = 0.25 * (source[i] + source[i + 1] + source[i + sw] + source[i + sw + 1]);
  return out;
}

function shrink(source: Float32Array, sw: number, sh: number, dw: number, dh: number, out: Float32Array): Float32Array {
  if (sw === 2 * dw && sh === 2 * dh) return halve(source, sw, dw, dh, out);
  const across = coverage(sw, dw);
  const down = coverage(sh, dh);
  const row = new Float32Array(sw);
  for (let y = 0; y < dh; y++) {
    row.fill(0);
    for (let i = down.first[y]; i <= down.last[y]; i++) {
      const weight = down.weights[y * down.most + i - down.first[y]];
      const at = i * sw;
      for (let x = 0; x < sw; x++) row[x] += weight * source[at + x];
    }
    for (let x = 0; x < dw; x++) {
      const last = across.last[x];
      let sum = 0;
      for (let i = across.first[x], k = x * across.most; i <= last; i++, k++) sum += across.weights[k] * row[i];
      out[y * dw + x] = sum;
    }
  }
  return out;
}

/** For every sample of `to`: the two of `from` that it lies between, and how far towards the second. */
export function between(from: number, to: number): { low: Int32Array; high: Int32Array; part: Float32Array } {
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
  const { low: left, high: right, part } = between(sw, dw);
  const rows = between(sh, dh);
  const row = new Float32Array(sw);
  for (let y = 0; y < dh; y++) {
    const t = rows.part[y];
    const a = rows.low[y] * sw;
    const b = rows.high[y] * sw;
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
