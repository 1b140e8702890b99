import { reflect } from './filter';
import type { Between, Coverage } from './planesKernel';

/**
 * The filters of kernel/planes.ts in TypeScript, sum by sum in the same order and in 32-bit floats: the same bytes, for tests and for
 * reading.
 */
const f = Math.fround;

export function blurReference(source: Float32Array, w: number, h: number, half: Float32Array): Float32Array {
  const radius = half.length - 1;
  const along = (at: (i: number) => number): number => {
    let sum = f(half[0] * at(0));
    for (let j = 1; j <= radius; j++) sum = f(sum + f(half[j] * f(at(-j) + at(j))));
    return sum;
  };
  const rows = source.map((_, i) => {
    const [x, y] = [i % w, Math.floor(i / w)];
    return along((d) => source[y * w + reflect(x + d, w)]);
  });
  return rows.map((_, i) => {
    const [x, y] = [i % w, Math.floor(i / w)];
    return along((d) => rows[reflect(y + d, h) * w + x]);
  });
}

export function shrinkReference(source: Float32Array, sw: number, across: Coverage, down: Coverage): Float32Array {
  const [dw, dh] = [across.first.length, down.first.length];
  const out = new Float32Array(dw * dh);
  for (let y = 0; y < dh; y++) {
    const row = new Float32Array(sw);
    for (let i = down.first[y]; i <= down.last[y]; i++)
      for (let x = 0; x < sw; x++)
        row[x] = f(row[x] + f(down.weights[y * down.most + i - down.first[y]] * source[i * sw + x]));
    for (let x = 0; x < dw; x++) {
      let sum = 0;
      for (let i = across.first[x]; i <= across.last[x]; i++)
        sum = f(sum + f(across.weights[x * across.most + i - across.first[x]] * row[i]));
      out[y * dw + x] = sum;
    }
  }
  return out;
}

export function enlargeReference(source: Float32Array, sw: number, across: Between, down: Between): Float32Array {
  const [dw, dh] = [across.low.length, down.low.length];
  const out = new Float32Array(dw * dh);
  const between = (p: number, q: number, t: number) => f(p + f(t * f(q - p)));
  for (let y = 0; y < dh; y++) {
    const row = (x: number) => between(source[down.low[y] * sw + x], source[down.high[y] * sw + x], down.part[y]);
    for (let x = 0; x < dw; x++) out[y * dw + x] = between(row(across.low[x]), row(across.high[x]), across.part[x]);
  }
  return out;
}

export function responsesReference(
  planes: readonly Float32Array[],
  w: number,
  h: number,
  step: number,
  bank: Float32Array,
): Float32Array[] {
  const taps = 147;
  const out: number[][] = Array.from({ length: 24 }, () => []);
  for (let y = 3; y < h - 3; y += step)
    for (let x = 3; x < w - 3; x += step)
      for (let filter = 0; filter < 24; filter++) {
        let sum = 0;
        for (let tap = 0; tap < taps; tap++) {
          const [c, dy, dx] = [Math.floor(tap / 49), (Math.floor(tap / 7) % 7) - 3, (tap % 7) - 3];
          const weight = bank[(filter >> 2) * taps * 4 + tap * 4 + (filter & 3)];
          sum = f(sum + f(planes[c][(y + dy) * w + x + dx] * weight));
        }
        out[filter].push(sum);
      }
  return out.map((values) => Float32Array.from(values));
}

const bits = new DataView(new ArrayBuffer(4));

function cubeRoot(x: number): number {
  bits.setFloat32(0, x);
  bits.setInt32(0, Math.trunc(f(f(bits.getInt32(0)) * f(1 / 3))) + 709921077);
  let y = bits.getFloat32(0);
  for (let k = 0; k < 2; k++) {
    const cube = f(f(y * y) * y);
    y = f(y * f(f(f(cube + x) + x) / f(f(cube + cube) + x)));
  }
  return y;
}

const sumOf = (weights: readonly [number, number, number], [x, y, z]: readonly number[]): number =>
  f(f(f(f(weights[0]) * x) + f(f(weights[1]) * y)) + f(f(weights[2]) * z));

export function labReference(rgba: Uint8Array, n: number, light: Float32Array, gain: number): Float32Array[] {
  const out = [0, 1, 2].map(() => new Float32Array(n));
  for (let i = 0; i < n; i++) {
    const alpha = f(rgba[4 * i + 3] / 255);
    const rgb = [0, 1, 2].map((c) => f(f(light[rgba[4 * i + c]] * alpha) + f(1 - alpha)));
    const lms = [
      cubeRoot(sumOf([0.4122214708, 0.5363325363, 0.0514459929], rgb)),
      cubeRoot(sumOf([0.2119034982, 0.6806995451, 0.1073969566], rgb)),
      cubeRoot(sumOf([0.0883024619, 0.2817188376, 0.6299787005], rgb)),
    ];
    out[0][i] = sumOf([0.2104542553, 0.793617785, -0.0040720468], lms);
    out[1][i] = f(f(gain) * sumOf([1.9779984951, -2.428592205, 0.4505937099], lms));
    out[2][i] = f(f(gain) * sumOf([0.0259040371, 0.7827717662, -0.808675766], lms));
  }
  return out;
}
