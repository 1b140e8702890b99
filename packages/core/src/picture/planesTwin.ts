import { reflect } from './filter';
import type { Between, Coverage } from './planesKernel';

/**
 * The filters of kernel/planes.ts in TypeScript, sum by sum in the same order and in 32-bit floats: the same bytes, for tests and for
 * reading.
 */
const f = Math.fround;

export function blurTwin(source: Float32Array, w: number, h: number, half: Float32Array): Float32Array {
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

export function shrinkTwin(source: Float32Array, sw: number, across: Coverage, down: Coverage): Float32Array {
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

export function enlargeTwin(source: Float32Array, sw: number, across: Between, down: Between): Float32Array {
  const [dw, dh] = [across.low.length, down.low.length];
  const out = new Float32Array(dw * dh);
  const between = (p: number, q: number, t: number) => f(p + f(t * f(q - p)));
  for (let y = 0; y < dh; y++) {
    const row = (x: number) => between(source[down.low[y] * sw + x], source[down.high[y] * sw + x], down.part[y]);
    for (let x = 0; x < dw; x++) out[y * dw + x] = between(row(across.low[x]), row(across.high[x]), across.part[x]);
  }
  return out;
}

export function responsesTwin(
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
