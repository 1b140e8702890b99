import type { PatchKernel } from './kernel';

const PAGE = 65536;
const f = Math.fround;

/**
 * The kernel in plain TypeScript: the same arithmetic in the same order, rounded to 32 bits at every step, so it gives
 * the same bytes as the SIMD kernel. It serves as its specification in tests and where WebAssembly is not to be had.
 */
export class ReferenceKernel implements PatchKernel {
  #buffer = new ArrayBuffer(PAGE);
  #state = 1;
  #f32 = new Float32Array(this.#buffer);
  #i32 = new Int32Array(this.#buffer);
  #u8 = new Uint8Array(this.#buffer);

  readonly memory: PatchKernel['memory'];

  constructor() {
    const bufferOf = () => this.#buffer;
    this.memory = {
      get buffer() {
        return bufferOf();
      },
      grow: (pages) => this.#grow(pages),
    };
  }

  #grow(pages: number): number {
    const before = this.#buffer.byteLength / PAGE;
    const next = new ArrayBuffer(this.#buffer.byteLength + pages * PAGE);
    new Uint8Array(next).set(this.#u8);
    this.#buffer = next;
    this.#f32 = new Float32Array(next);
    this.#i32 = new Int32Array(next);
    this.#u8 = new Uint8Array(next);
    return before;
  }

  seed(x: number): void {
    this.#state = (x | 1) >>> 0;
  }

  #random(): number {
    let s = this.#state;
    s = (s ^ (s << 13)) >>> 0;
    s = (s ^ (s >>> 17)) >>> 0;
    s = (s ^ (s << 5)) >>> 0;
    return (this.#state = s);
  }

  #below(n: number): number {
    return Number((BigInt(this.#random()) * BigInt(n)) >> 32n);
  }

  /** Squared difference of two pixels in one lane; addresses in floats. */
  #square(a: number, b: number, lane: number): number {
    const d = f(this.#f32[a + lane] - this.#f32[b + lane]);
    return f(d * d);
  }

  // eslint-disable-next-line max-params -- called for every candidate of every pixel: no object for each
  #distance(
    t: number,
    tg: number,
    a: number,
    ag: number,
    ts: number,
    as: number,
    gk: number,
    tk: number,
    best: number,
  ): number {
    const t2 = ts * 2;
    const a2 = as * 2;
    const sq = (p: number, q: number, lane: number) => this.#square(p, q, lane);
    const guide = [0, 1, 2, 3].map((l) =>
      f(
        sq(tg, ag, l) +
          f(
            f(sq(tg - t2 - 8, ag - a2 - 8, l) + sq(tg - t2 + 8, ag - a2 + 8, l)) +
              f(sq(tg + t2 - 8, ag + a2 - 8, l) + sq(tg + t2 + 8, ag + a2 + 8, l)),
          ),
      ),
    );
    let s = f(f(f(f(guide[0] + guide[1]) + guide[2]) + guide[3]) * gk);
    if (s >= best) return s;
    const inner = [0, 1, 2].map((l) =>
      f(
        sq(t, a, l) +
          f(
            f(sq(t - ts - 4, a - as - 4, l) + sq(t - ts + 4, a - as + 4, l)) +
              f(sq(t + ts - 4, a + as - 4, l) + sq(t + ts + 4, a + as + 4, l)),
          ),
      ),
    );
    s = f(s + f(f(f(inner[0] + inner[1]) + inner[2]) * tk));
    if (s >= best) return s;
    const outer = [0, 1, 2].map((l) =>
      f(
        f(
          f(sq(t - t2 - 8, a - a2 - 8, l) + sq(t - t2, a - a2, l)) +
            f(sq(t - t2 + 8, a - a2 + 8, l) + sq(t - 8, a - 8, l)),
        ) +
          f(
            f(sq(t + 8, a + 8, l) + sq(t + t2 - 8, a + a2 - 8, l)) +
              f(sq(t + t2, a + a2, l) + sq(t + t2 + 8, a + a2 + 8, l)),
          ),
      ),
    );
    return f(s + f(f(f(outer[0] + outer[1]) + outer[2]) * tk));
  }

  // line for line what the kernel does, in one piece as it is there
  // eslint-disable-next-line max-lines-per-function
  run(...args: readonly number[]): void {
    const [
      T,
      TG,
      w,
      h,
      A,
      AG,
      aw,
      ah,
      valid,
      owner,
      field,
      cost,
      gain,
      use,
      quota,
      bw,
      rects,
      nr,
      share,
      taken,
      gk0,
      tk,
      uw,
      sw,
      probes,
      reach,
      dir,
      y0,
      y1,
    ] = args;
    const [F, I, U] = [this.#f32, this.#i32, this.#u8];
    const [guideWeight, textureWeight, useWeight, shareWeight] = [f(gk0), f(tk), f(uw), f(sw)];
    const TS = (w + 4) * 4;
    const AS = aw * 4;
    const inv = f(1 / f(w * h));
    const crowding = (c: number): number => {
      const y = Math.trunc(c / aw);
      const b = (y >> 3) * bw + ((c - y * aw) >> 3);
      const u = f(F[(use >> 2) + b] * F[(quota >> 2) + b]);
      let p = u > 1 ? f(useWeight * Math.min(8, f(u - 1))) : 0;
      if (nr > 1) {
        const k = U[owner + c];
        p = f(p + f(shareWeight * Math.max(0, f(f(F[(taken >> 2) + k] * inv) - F[(share >> 2) + k]))));
      }
      return p;
    };
    const count = (c: number, d: number) => {
      const y = Math.trunc(c / aw);
      F[(use >> 2) + (y >> 3) * bw + ((c - y * aw) >> 3)] += d;
      if (nr > 1) F[(taken >> 2) + U[owner + c]] += d;
    };
    for (let yy = y0; yy < y1; yy++) {
      const y = dir > 0 ? yy : y1 - 1 - (yy - y0);
      for (let xx = 0; xx < w; xx++) {
        const x = dir > 0 ? xx : w - 1 - xx;
        const i = y * w + x;
        const offset = ((y + 2) * (w + 4) + x + 2) * 4;
        const t = (T >> 2) + offset;
        const tg = (TG >> 2) + offset;
        const gk = f(guideWeight * F[(gain >> 2) + i]);
        const far = (c: number, best: number) =>
          this.#distance(t, tg, (A >> 2) + c * 4, (AG >> 2) + c * 4, TS, AS, gk, textureWeight, best);
        const old = I[(field >> 2) + i];
        let bi = old;
        let bd = far(bi, f(1e9));
        let best = f(bd + crowding(bi));
        let m = reach;
        for (let step = 0; step < 2 + probes; step++) {
          let c = -1;
          if (step === 0) {
            const p = x - dir;
            if (p >= 0 && p < w) c = I[(field >> 2) + i - dir] + dir;
          } else if (step === 1) {
            const p = y - dir;
            if (p >= 0 && p < h) c = I[(field >> 2) + i - dir * w] + dir * aw;
          } else {
            if (m < 1) break;
            const k = U[owner + bi];
            let r = k;
            if (nr > 1 && (this.#random() & 0x60000000) === 0) r = this.#below(nr);
            const rp = (rects >> 2) + r * 4;
            const [X0, Y0, X1, Y1] = [I[rp], I[rp + 1], I[rp + 2], I[rp + 3]];
            let cy = Math.trunc(bi / aw);
            let cx = bi - cy * aw;
            if (r !== k) {
              const kp = (rects >> 2) + k * 4;
              cx = X0 + Math.trunc(((cx - I[kp]) * (X1 - X0)) / (I[kp + 2] - I[kp]));
              cy = Y0 + Math.trunc(((cy - I[kp + 1]) * (Y1 - Y0)) / (I[kp + 3] - I[kp + 1]));
            }
            const [xa, xb] = [Math.max(X0, cx - m), Math.min(X1, cx + m + 1)];
            const [ya, yb] = [Math.max(Y0, cy - m), Math.min(Y1, cy + m + 1)];
            c = (ya + this.#below(yb - ya)) * aw + xa;
            c += this.#below(xb - xa);
            m >>= 1;
          }
          if (c < 0 || c >= aw * ah || c === bi || !U[valid + c]) continue;
          const p = crowding(c);
          if (p >= best) continue;
          const d = far(c, f(best - p));
          if (f(d + p) < best) {
            best = f(d + p);
            bd = d;
            bi = c;
          }
        }
        if (bi !== old) {
          count(old, -1);
          count(bi, 1);
          I[(field >> 2) + i] = bi;
        }
        F[(cost >> 2) + i] = bd;
      }
    }
  }

  vote(...args: readonly number[]): void {
    const [out, w, h, A, aw, field, weights, kernel, P] = args;
    const [F, I] = [this.#f32, this.#i32];
    for (let y = 0; y < h; y++)
      for (let x = 0; x < w; x++) {
        const sum = [0, 0, 0, 0];
        let total = 0;
        for (let dy = -P; dy <= P; dy++) {
          const Y = y + dy;
          if (Y < 0 || Y >= h) continue;
          for (let dx = -P; dx <= P; dx++) {
            const X = x + dx;
            if (X < 0 || X >= w) continue;
            const j = Y * w + X;
            const wt = f(F[(weights >> 2) + j] * F[(kernel >> 2) + (dy + P) * (2 * P + 1) + dx + P]);
            total = f(total + wt);
            const a = (A >> 2) + (I[(field >> 2) + j] - dy * aw - dx) * 4;
            for (let l = 0; l < 4; l++) sum[l] = f(sum[l] + f(wt * F[a + l]));
          }
        }
        for (let l = 0; l < 4; l++) F[(out >> 2) + (y * w + x) * 4 + l] = f(sum[l] / total);
      }
  }
}
