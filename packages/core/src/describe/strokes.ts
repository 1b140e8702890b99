import { CHROMA_GAIN, type Picture } from '../picture/picture';
import { blurPlane } from '../picture/filter';
import { levelOf } from '../picture/resample';

/** Length of {@link describeStrokes}. */
export const STROKES_LENGTH = 43;

const SIDE = 384;
const logOf = (v: number): number => Math.log(v + 1e-6) / 4;

/** Moments of the differences over a distance d along x and y: mean square, kurtosis, part that is next to nothing. */
function differences(
  L: Float32Array,
  w: number,
  h: number,
  d: number,
): [x2: number, y2: number, kurtosis: number, flat: number] {
  let x2 = 0;
  let y2 = 0;
  let fourth = 0;
  let flat = 0;
  let n = 0;
  // every other row is enough for moments
  for (let y = 2; y < h - d - 2; y += 2)
    for (let x = 2; x < w - d - 2; x++) {
      const i = y * w + x;
      const gx = L[i + d] - L[i];
      const gy = L[i + d * w] - L[i];
      const xx = gx * gx;
      const yy = gy * gy;
      x2 += xx;
      y2 += yy;
      fourth += xx * xx + yy * yy;
      if (Math.abs(gx) + Math.abs(gy) < 0.008) flat++;
      n++;
    }
  const second = (x2 + y2) / (2 * n);
  return [x2 / n, y2 / n, fourth / (2 * n) / (second * second + 1e-10), flat / n];
}

/** How evenly a histogram is filled (its entropy over that of an even one) and the parts in its 1, 2 and 4 fullest bins. */
function concentration(counts: Float64Array): number[] {
  const all = counts.reduce((a, b) => a + b, 0) || 1;
  const parts = [...counts].map((c) => c / all).sort((a, b) => b - a);
  const entropy = -parts.reduce((s, p) => s + (p > 0 ? p * Math.log(p) : 0), 0) / Math.log(counts.length);
  const top = (k: number) => parts.slice(0, k).reduce((a, b) => a + b, 0);
  return [entropy, top(1), top(2), top(4)];
}

/**
 * How a picture is made, by hand-made features that hardly depend on its subject: tooth, strokes, edges and flats on several
 * scales, number of tones and hues, paper and border. For telling media apart.
 */
export function describeStrokes(picture: Picture): Float32Array {
  const { width: w, height: h, planes } = levelOf(picture, SIDE);
  const [L, A, B] = planes;
  const n = w * h;
  const out: number[] = [];
  const scales = [1, 2, 4, 8].map((d) => differences(L, w, h, d));
  const base = (scales[3][0] + scales[3][1]) / 2;
  for (const [x2, y2, kurtosis, flat] of scales)
    out.push(logOf((x2 + y2) / 2 / (base + 1e-6)), logOf(x2 / (y2 + 1e-8)), Math.log(kurtosis) / 4, flat);
  out.push(logOf(base));
  const tones = new Float64Array(32);
  const hues = new Float64Array(24);
  let chroma = 0;
  let chroma2 = 0;
  let a = 0;
  let b = 0;
  let aa = 0;
  let bb = 0;
  let ab = 0;
  let white = 0;
  let black = 0;
  const gain = 1 / CHROMA_GAIN;
  for (let i = 0; i < n; i++) {
    const ca = A[i] * gain;
    const cb = B[i] * gain;
    const c = Math.sqrt(ca * ca + cb * cb);
    tones[Math.min(31, Math.max(0, (L[i] * 32) | 0))]++;
    hues[(((Math.atan2(cb, ca) / Math.PI + 1) * 12) | 0) % 24] += c;
    chroma += c;
    chroma2 += c * c;
    a += ca;
    b += cb;
    aa += ca * ca;
    bb += cb * cb;
    ab += ca * cb;
    if (L[i] > 0.9) white++;
    if (L[i] < 0.25) black++;
  }
  chroma /= n;
  a /= n;
  b /= n;
  const va = aa / n - a * a;
  const vb = bb / n - b * b;
  const vab = ab / n - a * b;
  const root = Math.sqrt(Math.max(0, (va - vb) ** 2 / 4 + vab * vab));
  out.push(
    ...concentration(tones),
    ...concentration(hues),
    chroma * 8,
    Math.sqrt(Math.max(0, chroma2 / n - chroma * chroma)) * 10,
  );
  out.push(((va + vb) / 2 - root) / ((va + vb) / 2 + root + 1e-6), a * 10, b * 10, white / n, black / n);
  // detail against its own surroundings: strokes of wet and dry media differ in how it lies in lights and darks
  const mean = blurPlane(L, w, h, 4);
  const detail = [0, 0, 0];
  const counts = [1, 1, 1];
  for (let i = 0; i < n; i++) {
    const zone = mean[i] < 0.4 ? 0 : mean[i] < 0.7 ? 1 : 2;
    detail[zone] += (L[i] - mean[i]) ** 2;
    counts[zone]++;
  }
  for (let k = 0; k < 3; k++) out.push(logOf(detail[k] / counts[k]));
  // a regular tooth - thread, halftone - repeats after a few pixels
  const variance = differencesAt(L, mean, w, h, 0);
  for (const d of [2, 3, 4, 6]) out.push(differencesAt(L, mean, w, h, d) / (variance + 1e-7));
  out.push(...borderOf(L, w, h));
  return Float32Array.from(out);
}

/** Mean product of detail with the detail d pixels to the right and below. */
function differencesAt(L: Float32Array, mean: Float32Array, w: number, h: number, d: number): number {
  let sum = 0;
  let n = 0;
  for (let y = 4; y < h - 10; y += 2)
    for (let x = 4; x < w - 10; x += 2) {
      const i = y * w + x;
      sum += (L[i] - mean[i]) * (L[i + d] - mean[i + d] + L[i + d * w] - mean[i + d * w]);
      n++;
    }
  return sum / n;
}

/** Whether the picture stands on a border of paper: lightness of its rim against just inside, and how even the rim is. */
function borderOf(L: Float32Array, w: number, h: number): number[] {
  const ring = (inset: number) => {
    let sum = 0;
    let squares = 0;
    let n = 0;
    for (let x = inset; x < w - inset; x++)
      for (const y of [inset, h - 1 - inset]) {
        const v = L[y * w + x];
        sum += v;
        squares += v * v;
        n++;
      }
    return { mean: sum / n, spread: Math.sqrt(Math.max(0, squares / n - (sum / n) ** 2)) };
  };
  const rim = ring(1);
  const inside = ring(Math.round(Math.min(w, h) * 0.09));
  return [rim.mean - inside.mean, rim.spread, rim.mean, inside.spread];
}
