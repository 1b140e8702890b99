/**
 * The patch matching kernel, AssemblyScript with SIMD; compiled by `npm run kernel` into
 * src/synthesis/kernel.generated.ts. A pixel is one v128 (L, a, b, extra). Targets carry a border of 2 pixels, the atlas
 * of references none (its `valid` map leaves 3 pixels out). src/synthesis/kernel.reference.ts is the same in TypeScript and
 * gives the same bytes.
 */
let state: u32 = 1;

// @ts-ignore: decorator
@inline function random(): u32 {
  state ^= state << 13;
  state ^= state >> 17;
  state ^= state << 5;
  return state;
}

// @ts-ignore: decorator
@inline function randomBelow(n: i32): i32 {
  return <i32>((<u64>random() * <u64>n) >> 32);
}

export function seed(x: u32): void {
  state = x | 1;
}

// @ts-ignore: decorator
@inline function square(a: usize, b: usize): v128 {
  const d = f32x4.sub(v128.load(a), v128.load(b));
  return f32x4.mul(d, d);
}

// @ts-ignore: decorator
@inline function add(a: v128, b: v128): v128 {
  return f32x4.add(a, b);
}

// @ts-ignore: decorator
@inline function sum3(v: v128): f32 {
  return f32x4.extract_lane(v, 0) + f32x4.extract_lane(v, 1) + f32x4.extract_lane(v, 2);
}

/** Quincunx patch of 13 taps on the picture, 5 taps on the guide; stops as soon as `best` is passed. */
function distance(t: usize, tg: usize, a: usize, ag: usize, ts: usize, as_: usize, gk: f32, tk: f32, best: f32): f32 {
  const t2 = ts * 2, a2 = as_ * 2;
  const g = add(square(tg, ag), add(add(square(tg - t2 - 32, ag - a2 - 32), square(tg - t2 + 32, ag - a2 + 32)), add(square(tg + t2 - 32, ag + a2 - 32), square(tg + t2 + 32, ag + a2 + 32))));
  let s = (sum3(g) + f32x4.extract_lane(g, 3)) * gk;
  if (s >= best) return s;
  let v = add(square(t, a), add(add(square(t - ts - 16, a - as_ - 16), square(t - ts + 16, a - as_ + 16)), add(square(t + ts - 16, a + as_ - 16), square(t + ts + 16, a + as_ + 16))));
  s += sum3(v) * tk;
  if (s >= best) return s;
  v = add(add(square(t - t2 - 32, a - a2 - 32), square(t - t2, a - a2)), add(square(t - t2 + 32, a - a2 + 32), square(t - 32, a - 32)));
  v = add(v, add(add(square(t + 32, a + 32), square(t + t2 - 32, a + a2 - 32)), add(square(t + t2, a + a2), square(t + t2 + 32, a + a2 + 32))));
  return s + sum3(v) * tk;
}

/** What using a place of the atlas costs: crowded blocks, and references that have more than their share. */
// @ts-ignore: decorator
@inline function crowding(c: i32, aw: i32, bw: i32, use: usize, quota: usize, uw: f32, sw: f32, nr: i32, owner: usize, share: usize, taken: usize, inv: f32): f32 {
  const y = c / aw;
  const b = <usize>((y >> 3) * bw + ((c - y * aw) >> 3)) << 2;
  const u = load<f32>(use + b) * load<f32>(quota + b);
  let p: f32 = u > 1 ? uw * min<f32>(8, u - 1) : 0;
  if (nr > 1) {
    const k = <usize>load<u8>(owner + c) << 2;
    p += sw * max<f32>(0, load<f32>(taken + k) * inv - load<f32>(share + k));
  }
  return p;
}

// @ts-ignore: decorator
@inline function count(c: i32, aw: i32, bw: i32, use: usize, nr: i32, owner: usize, taken: usize, d: f32): void {
  const y = c / aw;
  const b = <usize>((y >> 3) * bw + ((c - y * aw) >> 3)) << 2;
  store<f32>(use + b, load<f32>(use + b) + d);
  if (nr > 1) {
    const k = <usize>load<u8>(owner + c) << 2;
    store<f32>(taken + k, load<f32>(taken + k) + d);
  }
}

/** One pass of propagation and random search over the rows y0..y1 (Barnes et al. 2009), forwards or backwards. */
export function run(
  T: usize, TG: usize, w: i32, h: i32, A: usize, AG: usize, aw: i32, ah: i32, valid: usize, owner: usize, field: usize,
  cost: usize, guideGain: usize, use: usize, quota: usize, bw: i32, rects: usize, nr: i32, share: usize, taken: usize,
  gk0: f32, tk: f32, uw: f32, sw: f32, probes: i32, reach: i32, dir: i32, y0: i32, y1: i32,
): void {
  const TS: usize = <usize>(w + 4) * 16, AS: usize = <usize>aw * 16;
  const inv: f32 = <f32>1.0 / <f32>(w * h);
  const an = aw * ah;
  for (let yy = y0; yy < y1; yy++) {
    const y = dir > 0 ? yy : y1 - 1 - (yy - y0);
    for (let xx = 0; xx < w; xx++) {
      const x = dir > 0 ? xx : w - 1 - xx;
      const i = y * w + x;
      const offset: usize = (<usize>(y + 2) * <usize>(w + 4) + <usize>(x + 2)) * 16;
      const t = T + offset, tg = TG + offset;
      const gk = gk0 * load<f32>(guideGain + (<usize>i << 2));
      const old = load<i32>(field + (<usize>i << 2));
      let bi = old;
      let bd = distance(t, tg, A + (<usize>bi << 4), AG + (<usize>bi << 4), TS, AS, gk, tk, 1e9);
      let best: f32 = bd + crowding(bi, aw, bw, use, quota, uw, sw, nr, owner, share, taken, inv);
      let m = reach;
      for (let step = 0; step < 2 + probes; step++) {
        let c: i32 = -1;
        if (step == 0) {
          const p = x - dir;
          if (p >= 0 && p < w) c = load<i32>(field + (<usize>(i - dir) << 2)) + dir;
        } else if (step == 1) {
          const p = y - dir;
          if (p >= 0 && p < h) c = load<i32>(field + (<usize>(i - dir * w) << 2)) + dir * aw;
        } else {
          if (m < 1) break;
          const k = <i32>load<u8>(owner + bi);
          let r = k;
          if (nr > 1 && (random() & 0x60000000) == 0) r = randomBelow(nr);
          const rp = rects + (<usize>r << 4);
          const X0 = load<i32>(rp), Y0 = load<i32>(rp + 4), X1 = load<i32>(rp + 8), Y1 = load<i32>(rp + 12);
          let cy = bi / aw, cx = bi - cy * aw;
          if (r != k) {
            const kp = rects + (<usize>k << 4);
            cx = X0 + ((cx - load<i32>(kp)) * (X1 - X0)) / (load<i32>(kp + 8) - load<i32>(kp));
            cy = Y0 + ((cy - load<i32>(kp + 4)) * (Y1 - Y0)) / (load<i32>(kp + 12) - load<i32>(kp + 4));
          }
          const xa = max(X0, cx - m), xb = min(X1, cx + m + 1), ya = max(Y0, cy - m), yb = min(Y1, cy + m + 1);
          c = (ya + randomBelow(yb - ya)) * aw + xa;
          c += randomBelow(xb - xa);
          m >>= 1;
        }
        if (c < 0 || c >= an || c == bi || !load<u8>(valid + c)) continue;
        const p = crowding(c, aw, bw, use, quota, uw, sw, nr, owner, share, taken, inv);
        if (p >= best) continue;
        const d = distance(t, tg, A + (<usize>c << 4), AG + (<usize>c << 4), TS, AS, gk, tk, best - p);
        if (d + p < best) {
          best = d + p;
          bd = d;
          bi = c;
        }
      }
      if (bi != old) {
        count(old, aw, bw, use, nr, owner, taken, -1);
        count(bi, aw, bw, use, nr, owner, taken, 1);
        store<i32>(field + (<usize>i << 2), bi);
      }
      store<f32>(cost + (<usize>i << 2), bd);
    }
  }
}

/** The weighted mean of what all patches over a pixel say about it; `P` is the patch radius. */
export function vote(out: usize, w: i32, h: i32, A: usize, aw: i32, field: usize, weights: usize, kernel: usize, P: i32): void {
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let sum = f32x4.splat(0);
      let total: f32 = 0;
      for (let dy = -P; dy <= P; dy++) {
        const Y = y + dy;
        if (Y < 0 || Y >= h) continue;
        for (let dx = -P; dx <= P; dx++) {
          const X = x + dx;
          if (X < 0 || X >= w) continue;
          const j: usize = <usize>(Y * w + X) << 2;
          const wt = load<f32>(weights + j) * load<f32>(kernel + (<usize>((dy + P) * (2 * P + 1) + dx + P) << 2));
          total += wt;
          sum = add(sum, f32x4.mul(f32x4.splat(wt), v128.load(A + (<usize>(load<i32>(field + j) - dy * aw - dx) << 4))));
        }
      }
      v128.store(out + (<usize>(y * w + x) << 4), f32x4.div(sum, f32x4.splat(total)));
    }
}
