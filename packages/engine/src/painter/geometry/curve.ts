import { clamp, lerp, ValueNoise } from '@urbild/core';
import type { Path, Point } from './point';

/**
 * Cardinal spline through `path` (Catmull and Rom 1974), sampled about every `step` units. Points with a corner flag
 * stay sharp.
 */
export function spline(path: Path, closed = true, step = 4, tension = 0.5): Point[] {
  const n = path.length;
  const at = (i: number) => (closed ? path[(i + n) % n] : path[clamp(i, 0, n - 1)]);
  const out: Point[] = [];
  for (let i = 0; i < (closed ? n : n - 1); i++) {
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const samples = Math.max(2, Math.min(40, Math.ceil(Math.hypot(c[0] - b[0], c[1] - b[1]) / step)));
    const t1 = b[2] ? 0 : tension;
    const t2 = c[2] ? 0 : tension;
    for (let k = 0; k < samples; k++) {
      const t = k / samples;
      const tt = t * t;
      const ttt = tt * t;
      const h1 = 2 * ttt - 3 * tt + 1;
      const h2 = ttt - 2 * tt + t;
      const h3 = -2 * ttt + 3 * tt;
      const h4 = ttt - tt;
      out.push([
        h1 * b[0] + h2 * (c[0] - a[0]) * t1 + h3 * c[0] + h4 * (d[0] - b[0]) * t2,
        h1 * b[1] + h2 * (c[1] - a[1]) * t1 + h3 * c[1] + h4 * (d[1] - b[1]) * t2,
      ]);
    }
  }
  if (!closed) out.push([path[n - 1][0], path[n - 1][1]]);
  return out;
}

/** The same path with points about every `step` units. */
export function resamplePath(path: Path, step: number, closed = true): Point[] {
  const n = path.length;
  const out: Point[] = [];
  for (let i = 0; i < (closed ? n : n - 1); i++) {
    const a = path[i];
    const b = path[(i + 1) % n];
    const parts = Math.max(1, Math.round(Math.hypot(b[0] - a[0], b[1] - a[1]) / step));
    for (let k = 0; k < parts; k++) out.push([lerp(a[0], b[0], k / parts), lerp(a[1], b[1], k / parts)]);
  }
  if (!closed) out.push(path[n - 1]);
  return out;
}

const HAND = new ValueNoise(77);

/** A hand that is not quite steady: the path resampled at 5 px and moved along its normal by up to about `amount`. */
export function wobble(path: Path, amount = 1, scale = 22, seed = 0): Point[] {
  const points = resamplePath(path, 5, true);
  const n = points.length;
  return points.map((q, i) => {
    const a = points[(i - 1 + n) % n];
    const b = points[(i + 1) % n];
    const dx = b[0] - a[0];
    const dy = b[1] - a[1];
    const length = Math.hypot(dx, dy) || 1;
    const x = q[0] / scale;
    const y = q[1] / scale;
    const d = amount * (HAND.at(x + seed * 13.7, y - seed * 7.1) + 0.45 * HAND.at(x * 2.7 + seed, y * 2.7));
    return [q[0] - (dy / length) * d, q[1] + (dx / length) * d];
  });
}

/** A band along `centre` with a width at each of its points: a closed path. */
export function ribbon(centre: Path, widths: readonly number[], step = 4): Point[] {
  const curve = spline(
    centre.map((q) => [q[0], q[1]] as Point),
    false,
    step,
  );
  const knots = [0];
  for (let i = 1; i < centre.length; i++) {
    knots.push(knots[i - 1] + Math.hypot(centre[i][0] - centre[i - 1][0], centre[i][1] - centre[i - 1][1]));
  }
  const total = knots[knots.length - 1] || 1;
  const along = [0];
  for (let i = 1; i < curve.length; i++) {
    along.push(along[i - 1] + Math.hypot(curve[i][0] - curve[i - 1][0], curve[i][1] - curve[i - 1][1]));
  }
  const length = along[along.length - 1] || 1;
  const left: Point[] = [];
  const right: Point[] = [];
  curve.forEach((q, i) => {
    const t = (along[i] / length) * total;
    let k = 0;
    while (k < centre.length - 2 && knots[k + 1] < t) k++;
    let f = clamp((t - knots[k]) / (knots[k + 1] - knots[k] || 1));
    f = f * f * (3 - 2 * f);
    const half = lerp(widths[k], widths[k + 1], f) / 2;
    const a = curve[Math.max(0, i - 1)];
    const b = curve[Math.min(curve.length - 1, i + 1)];
    const dx = b[0] - a[0];
    const dy = b[1] - a[1];
    const l = Math.hypot(dx, dy) || 1;
    left.push([q[0] - (dy / l) * half, q[1] + (dx / l) * half]);
    right.push([q[0] + (dy / l) * half, q[1] - (dx / l) * half]);
  });
  return left.concat(right.reverse());
}

/** A ribbon with round ends. */
export function capsule(centre: Path, widths: readonly number[], step = 4): Point[] {
  const band = ribbon(centre, widths, step);
  const n = centre.length;
  const cap = (end: Point, before: Point, radius: number): Point[] => {
    const a = Math.atan2(end[1] - before[1], end[0] - before[0]);
    return [1, 2, 3, 4, 5].map((i) => {
      const t = a + Math.PI / 2 - (Math.PI * i) / 6;
      return [end[0] + Math.cos(t) * radius, end[1] + Math.sin(t) * radius];
    });
  };
  const half = band.length / 2;
  return [
    ...band.slice(0, half),
    ...cap(centre[n - 1], centre[n - 2], widths[n - 1] / 2),
    ...band.slice(half),
    ...cap(centre[0], centre[1], widths[0] / 2),
  ];
}
