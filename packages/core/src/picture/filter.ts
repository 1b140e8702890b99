import { mapPlanes, type Picture } from './picture';
import { blurBy } from './planesKernel';

/** Index reflected at the edges of 0..n-1 (… 2 1 0 1 2 … n-1 n-2 …). */
export function reflect(i: number, n: number): number {
  if (n === 1) return 0;
  let k = i;
  while (k < 0 || k >= n) {
    if (k < 0) k = -k;
    if (k >= n) k = 2 * n - 2 - k;
  }
  return k;
}

/** One half of a Gaussian that sums to 1, the middle first. */
function gaussian(sigma: number): Float32Array {
  const radius = Math.max(1, Math.ceil(2.5 * sigma));
  const half = Float32Array.from({ length: radius + 1 }, (_, i) => Math.exp((-i * i) / (2 * sigma * sigma)));
  const total = half.reduce((s, v) => s + 2 * v, -half[0]);
  return half.map((v) => v / total);
}

/** Gaussian blur of one plane; `sigma` in pixels; edges reflected. */
export const blurPlane = (source: Float32Array, w: number, h: number, sigma: number): Float32Array =>
  blurBy(source, w, h, gaussian(sigma));

/** Gaussian blur of all planes; `sigma` in pixels. */
export const blur = ({ width, height, planes }: Picture, sigma: number): Picture =>
  mapPlanes(width, height, (c) => blurPlane(planes[c], width, height, sigma));

/** Mean over a square window of `radius`, edges reflected; running sums, so the time does not depend on the radius. */
export function boxPlane(source: Float32Array, w: number, h: number, radius: number): Float32Array {
  const rows = new Float32Array(w * h);
  const out = new Float32Array(w * h);
  const k = 1 / (2 * radius + 1);
  const across = Int32Array.from({ length: w + 2 * radius + 1 }, (_, i) => reflect(i - radius, w));
  for (let y = 0; y < h; y++) {
    const o = y * w;
    let sum = 0;
    for (let i = 0; i <= 2 * radius; i++) sum += source[o + across[i]];
    for (let x = 0; x < w; x++) {
      rows[o + x] = sum * k;
      sum += source[o + across[x + 2 * radius + 1]] - source[o + across[x]];
    }
  }
  // all columns at once, row by row
  const sums = new Float64Array(w);
  for (let i = -radius; i <= radius; i++) {
    const o = reflect(i, h) * w;
    for (let x = 0; x < w; x++) sums[x] += rows[o + x];
  }
  for (let y = 0; y < h; y++) {
    const o = y * w;
    const next = reflect(y + radius + 1, h) * w;
    const last = reflect(y - radius, h) * w;
    for (let x = 0; x < w; x++) {
      out[o + x] = sums[x] * k;
      sums[x] += rows[next + x] - rows[last + x];
    }
  }
  return out;
}

/** Largest value in a square window of `radius` (grey dilation); edges repeated. */
export function dilatePlane(source: Float32Array, w: number, h: number, radius: number): Float32Array {
  const rows = new Float32Array(w * h);
  const out = new Float32Array(w * h);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let m = -Infinity;
      for (let d = -radius; d <= radius; d++) m = Math.max(m, source[y * w + Math.max(0, Math.min(w - 1, x + d))]);
      rows[y * w + x] = m;
    }
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let m = -Infinity;
      for (let d = -radius; d <= radius; d++) m = Math.max(m, rows[Math.max(0, Math.min(h - 1, y + d)) * w + x]);
      out[y * w + x] = m;
    }
  return out;
}

/** Smallest value in a square window of `radius` (grey erosion). */
export const erodePlane = (source: Float32Array, w: number, h: number, radius: number): Float32Array =>
  dilatePlane(
    source.map((v) => -v),
    w,
    h,
    radius,
  ).map((v) => -v);
