/** Limits `x` to the range `[low, high]`, 0..1 unless told otherwise. */
export const clamp = (x: number, low = 0, high = 1): number => (x < low ? low : x > high ? high : x);

/** Linear interpolation from `a` (t = 0) to `b` (t = 1); `t` is not limited. */
export const lerp = (a: number, b: number, t: number): number => a + (b - a) * t;

/** Hermite step: 0 below `from`, 1 above `to`, smooth between. `from` may be greater than `to`. */
export const smoothstep = (from: number, to: number, x: number): number => {
  const t = clamp((x - from) / (to - from));
  return t * t * (3 - 2 * t);
};

/** Piecewise linear table: `points` are `[x, y]` pairs of rising x; outside, the end values hold. */
export function table(points: readonly (readonly [number, number])[]): (x: number) => number {
  const last = points[points.length - 1];
  return (x) => {
    if (x <= points[0][0]) return points[0][1];
    for (let i = 0; i < points.length - 1; i++) {
      const [x0, y0] = points[i];
      const [x1, y1] = points[i + 1];
      if (x <= x1) return lerp(y0, y1, (x - x0) / (x1 - x0));
    }
    return last[1];
  };
}

/** The middle value of `values` (mean of the two middle ones for an even count); NaN for none. */
export function median(values: readonly number[]): number {
  const sorted = Float64Array.from(values).sort();
  const middle = sorted.length >> 1;
  if (!sorted.length) return NaN;
  return sorted.length % 2 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
}
