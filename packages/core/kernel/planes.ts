/**
 * Filters over planes of 32-bit floats, AssemblyScript with SIMD; compiled by `npm run kernel` into
 * src/picture/planes.generated.ts. Addresses are bytes. Every sum is made in the order that src/picture/planes.testing.ts
 * writes down, so that both give the same bytes.
 */

// @ts-ignore: decorator
@inline function at(p: usize, i: i32): usize {
  return p + (<usize>i << 2);
}

// @ts-ignore: decorator
@inline function reflect(i: i32, n: i32): i32 {
  if (n == 1) return 0;
  let k = i;
  while (k < 0 || k >= n) {
    if (k < 0) k = -k;
    if (k >= n) k = 2 * n - 2 - k;
  }
  return k;
}

/**
 * Separable blur. `kernel`: radius + 1 weights, the middle first. `padded`: room for w + 2 radius + 4 floats, `rows`: for w h + 4,
 * `out`: for w h + 4.
 */
export function blur(source: usize, w: i32, h: i32, kernel: usize, radius: i32, padded: usize, rows: usize, out: usize): void {
  const middle = f32x4.splat(load<f32>(kernel));
  for (let y = 0; y < h; y++) {
    const o = at(source, y * w);
    memory.copy(at(padded, radius), o, <usize>w << 2);
    for (let i = 1; i <= radius; i++) {
      store<f32>(at(padded, radius - i), load<f32>(at(o, reflect(-i, w))));
      store<f32>(at(padded, radius + w - 1 + i), load<f32>(at(o, reflect(w - 1 + i, w))));
    }
    const to = at(rows, y * w);
    // the last block of a row runs over into the next row, which is written afterwards
    for (let x = 0; x < w; x += 4) {
      const c = at(padded, x + radius);
      let sum = f32x4.mul(middle, v128.load(c));
      for (let j = 1; j <= radius; j++) {
        const d = <usize>j << 2;
        sum = f32x4.add(sum, f32x4.mul(v128.load_splat<f32>(kernel + d), f32x4.add(v128.load(c - d), v128.load(c + d))));
      }
      v128.store(at(to, x), sum);
    }
  }
  for (let y = 0; y < h; y++) {
    const to = at(out, y * w);
    const own = at(rows, y * w);
    for (let x = 0; x < w; x += 16) {
      const p = at(own, x);
      let a = f32x4.mul(middle, v128.load(p));
      let b = f32x4.mul(middle, v128.load(p, 16));
      let c = f32x4.mul(middle, v128.load(p, 32));
      let d = f32x4.mul(middle, v128.load(p, 48));
      for (let j = 1; j <= radius; j++) {
        const k = v128.load_splat<f32>(at(kernel, j));
        const above = at(rows, reflect(y - j, h) * w + x);
        const below = at(rows, reflect(y + j, h) * w + x);
        a = f32x4.add(a, f32x4.mul(k, f32x4.add(v128.load(above), v128.load(below))));
        b = f32x4.add(b, f32x4.mul(k, f32x4.add(v128.load(above, 16), v128.load(below, 16))));
        c = f32x4.add(c, f32x4.mul(k, f32x4.add(v128.load(above, 32), v128.load(below, 32))));
        d = f32x4.add(d, f32x4.mul(k, f32x4.add(v128.load(above, 48), v128.load(below, 48))));
      }
      const q = at(to, x);
      v128.store(q, a);
      v128.store(q, b, 16);
      v128.store(q, c, 32);
      v128.store(q, d, 48);
    }
  }
}

/** Half the size exactly: the mean of four. */
export function halve(source: usize, sw: i32, dw: i32, dh: i32, out: usize): void {
  for (let y = 0; y < dh; y++) {
    let i = at(source, 2 * y * sw);
    const below = <usize>sw << 2;
    let o = at(out, y * dw);
    for (let x = 0; x < dw; x++) {
      store<f32>(o, <f32>0.25 * (load<f32>(i) + load<f32>(i, 4) + load<f32>(i + below) + load<f32>(i + below, 4)));
      i += 8;
      o += 4;
    }
  }
}

/**
 * Area average. Of sample k, `first`[k] .. `last`[k] of the source count with weights from k * most on. `row`: room for sw + 4
 * floats.
 */
export function shrink(source: usize, sw: i32, dw: i32, dh: i32, across: usize, acrossMost: i32, down: usize, downMost: i32, row: usize, out: usize): void {
  // a table: to firsts, to lasts, to * most weights
  const xFirst = across, xLast = at(across, dw), xWeights = at(across, 2 * dw);
  const yFirst = down, yLast = at(down, dh), yWeights = at(down, 2 * dh);
  for (let y = 0; y < dh; y++) {
    for (let x = 0; x < sw; x += 4) v128.store(at(row, x), f32x4.splat(0));
    const first = load<i32>(at(yFirst, y)), last = load<i32>(at(yLast, y));
    for (let i = first; i <= last; i++) {
      const weight = v128.load_splat<f32>(at(yWeights, y * downMost + i - first));
      const from = at(source, i * sw);
      for (let x = 0; x < sw; x += 4) {
        const r = at(row, x);
        v128.store(r, f32x4.add(v128.load(r), f32x4.mul(weight, v128.load(at(from, x)))));
      }
    }
    for (let x = 0; x < dw; x++) {
      const a = load<i32>(at(xFirst, x)), b = load<i32>(at(xLast, x));
      let sum: f32 = 0;
      for (let i = a, k = x * acrossMost; i <= b; i++, k++) sum += load<f32>(at(xWeights, k)) * load<f32>(at(row, i));
      store<f32>(at(out, y * dw + x), sum);
    }
  }
}

/** Bilinear. A table: to lows, to highs, to parts. `row`: room for sw + 4 floats. */
export function enlarge(source: usize, sw: i32, dw: i32, dh: i32, across: usize, down: usize, row: usize, out: usize): void {
  const left = across, right = at(across, dw), part = at(across, 2 * dw);
  const low = down, high = at(down, dh), rowPart = at(down, 2 * dh);
  for (let y = 0; y < dh; y++) {
    const t = v128.load_splat<f32>(at(rowPart, y));
    const a = at(source, load<i32>(at(low, y)) * sw), b = at(source, load<i32>(at(high, y)) * sw);
    for (let x = 0; x < sw; x += 4) {
      const p = v128.load(at(a, x));
      v128.store(at(row, x), f32x4.add(p, f32x4.mul(t, f32x4.sub(v128.load(at(b, x)), p))));
    }
    for (let x = 0; x < dw; x++) {
      const p = load<f32>(at(row, load<i32>(at(left, x))));
      const q = load<f32>(at(row, load<i32>(at(right, x))));
      store<f32>(at(out, y * dw + x), p + load<f32>(at(part, x)) * (q - p));
    }
  }
}

/**
 * Answers of 24 filters of 7 x 7 x 3 at every `step`-th pixel of three planes that lie one after the other. `bank`: six groups of
 * four filters, tap by tap. `out`: 24 planes of `count` answers each.
 */
export function responses(planes: usize, w: i32, h: i32, step: i32, bank: usize, count: i32, out: usize): void {
  const plane = <usize>(w * h) << 2;
  const group: usize = 147 << 4;
  let n = 0;
  for (let y = 3; y < h - 3; y += step)
    for (let x = 3; x < w - 3; x += step) {
      let s0 = f32x4.splat(0), s1 = f32x4.splat(0), s2 = f32x4.splat(0);
      let s3 = f32x4.splat(0), s4 = f32x4.splat(0), s5 = f32x4.splat(0);
      let k = bank;
      for (let c = 0; c < 3; c++)
        for (let dy = -3; dy <= 3; dy++) {
          let p = planes + <usize>c * plane + (<usize>((y + dy) * w + x - 3) << 2);
          for (let dx = 0; dx < 7; dx++) {
            const v = v128.load_splat<f32>(p);
            s0 = f32x4.add(s0, f32x4.mul(v, v128.load(k)));
            s1 = f32x4.add(s1, f32x4.mul(v, v128.load(k + group)));
            s2 = f32x4.add(s2, f32x4.mul(v, v128.load(k + group * 2)));
            s3 = f32x4.add(s3, f32x4.mul(v, v128.load(k + group * 3)));
            s4 = f32x4.add(s4, f32x4.mul(v, v128.load(k + group * 4)));
            s5 = f32x4.add(s5, f32x4.mul(v, v128.load(k + group * 5)));
            p += 4;
            k += 16;
          }
        }
      put(s0, 0, n, count, out);
      put(s1, 4, n, count, out);
      put(s2, 8, n, count, out);
      put(s3, 12, n, count, out);
      put(s4, 16, n, count, out);
      put(s5, 20, n, count, out);
      n++;
    }
}

// @ts-ignore: decorator
@inline function put(s: v128, filter: i32, n: i32, count: i32, out: usize): void {
  store<f32>(at(out, filter * count + n), f32x4.extract_lane(s, 0));
  store<f32>(at(out, (filter + 1) * count + n), f32x4.extract_lane(s, 1));
  store<f32>(at(out, (filter + 2) * count + n), f32x4.extract_lane(s, 2));
  store<f32>(at(out, (filter + 3) * count + n), f32x4.extract_lane(s, 3));
}

/**
 * Cube roots: a guess by the bits of the number (its exponent over three), then Halley's iteration twice, which triples the number
 * of right digits each time.
 */
// @ts-ignore: decorator
@inline function cubeRoot(x: v128): v128 {
  const third = f32x4.mul(f32x4.convert_i32x4_s(x), f32x4.splat(<f32>0.3333333333333333));
  let y = i32x4.add(i32x4.trunc_sat_f32x4_s(third), i32x4.splat(709921077));
  for (let k = 0; k < 2; k++) {
    const cube = f32x4.mul(f32x4.mul(y, y), y);
    // the quotient first: the cube of next to nothing times it would be nothing at all
    y = f32x4.mul(y, f32x4.div(f32x4.add(f32x4.add(cube, x), x), f32x4.add(f32x4.add(cube, cube), x)));
  }
  return y;
}

// @ts-ignore: decorator
@inline function sumOf(a: f32, x: v128, b: f32, y: v128, c: f32, z: v128): v128 {
  return f32x4.add(f32x4.add(f32x4.mul(f32x4.splat(a), x), f32x4.mul(f32x4.splat(b), y)), f32x4.mul(f32x4.splat(c), z));
}

// @ts-ignore: decorator
@inline function linear(rgba: usize, channel: usize, light: usize): f32 {
  const alpha = <f32>load<u8>(rgba + 3) / <f32>255;
  return load<f32>(light + (<usize>load<u8>(rgba + channel) << 2)) * alpha + (<f32>1 - alpha);
}

// @ts-ignore: decorator
@inline function linears(rgba: usize, channel: usize, light: usize): v128 {
  return f32x4(
    linear(rgba, channel, light),
    linear(rgba + 4, channel, light),
    linear(rgba + 8, channel, light),
    linear(rgba + 12, channel, light),
  );
}

/**
 * 8-bit sRGB with alpha, over white -> OKLab, a and b times `gain`. `light`: linear light of the 256 code values. Reads up to three
 * pixels and writes up to three floats beyond `n`.
 */
export function lab(rgba: usize, n: i32, light: usize, gain: f32, L: usize, A: usize, B: usize): void {
  for (let i = 0; i < n; i += 4) {
    const p = rgba + (<usize>i << 2);
    const red = linears(p, 0, light), green = linears(p, 1, light), blue = linears(p, 2, light);
    const l = cubeRoot(sumOf(0.4122214708, red, 0.5363325363, green, 0.0514459929, blue));
    const m = cubeRoot(sumOf(0.2119034982, red, 0.6806995451, green, 0.1073969566, blue));
    const s = cubeRoot(sumOf(0.0883024619, red, 0.2817188376, green, 0.6299787005, blue));
    const g = f32x4.splat(gain);
    v128.store(at(L, i), sumOf(0.2104542553, l, 0.793617785, m, -0.0040720468, s));
    v128.store(at(A, i), f32x4.mul(g, sumOf(1.9779984951, l, -2.428592205, m, 0.4505937099, s)));
    v128.store(at(B, i), f32x4.mul(g, sumOf(0.0259040371, l, 0.7827717662, m, -0.808675766, s)));
  }
}
