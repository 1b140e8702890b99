import { adjustLch, lerp } from '@urbild/core';
import { spline } from '../../geometry/curve';
import type { Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';

const HAIR = REGION.hair;

/** A plait along points in figure units, `width` head heights at its root. */
export function paintPlait(f: FigureFrame, points: readonly Point[], width: number): void {
  const { colour } = f.person.hair;
  const curve = spline(points, false, 0.02);
  const last = curve.length - 1;
  const links = f.detail ? 11 : 7;
  for (let i = links - 1; i >= 0; i--) {
    const t = i / links;
    const a = curve[Math.floor(t * last)];
    const b = curve[Math.floor(Math.min(1, (i + 1.75) / links) * last)];
    const dx = b[0] - a[0];
    const dy = b[1] - a[1];
    const length = Math.hypot(dx, dy) || 1;
    const nx = -dy / length;
    const ny = dx / length;
    const w = width * (1 - 0.35 * t) * (0.8 + 0.35 * Math.sin(Math.PI * Math.min(1, t + 0.2)));
    const s = i % 2 ? 1 : -1;
    const mid: Point = [lerp(a[0], b[0], 0.45), lerp(a[1], b[1], 0.45)];
    const off = (p: Point, k: number): Point => [p[0] + nx * s * w * k, p[1] + ny * s * w * k];
    f.shape(
      HAIR,
      [off(a, -0.25), off(a, 0.55), off(mid, 0.78), off(b, 0.25), off(b, -0.2), off(mid, -0.3)],
      adjustLch(colour, s * 0.012),
      { strokes: Math.atan2(dy, dx) + s * 0.5, shade: 1.2, rim: 1.1 },
    );
    if (f.detail > 1)
      for (let k = 0; k < 3; k++) {
        const q = k * 0.22 - 0.05;
        f.stroke(
          HAIR,
          [off(a, q), off(mid, q + 0.22), off(b, q * 0.3)],
          0.009,
          adjustLch(colour, k % 2 ? 0.12 : -0.12),
          { alpha: 0.6 },
        );
      }
  }
  const end = curve[last];
  const before = curve[Math.max(0, last - 5)];
  const length = Math.hypot(end[0] - before[0], end[1] - before[1]) || 1;
  const ux = (end[0] - before[0]) / length;
  const uy = (end[1] - before[1]) / length;
  const w = width * 0.5;
  const at = (along: number, across: number, corner?: 1): Point => {
    const x = end[0] + ux * w * along - uy * w * across;
    const y = end[1] + uy * w * along + ux * w * across;
    return corner ? [x, y, 1] : [x, y];
  };
  f.shape(HAIR, [at(0, -0.6), at(0, 0.6), at(1.6, 0.9), at(3.4, 0, 1), at(1.5, -0.8)], colour, {
    strokes: Math.atan2(uy, ux),
  });
  f.shape(REGION.garment, [at(-0.2, -0.75), at(-0.2, 0.75), at(0.5, 0.75), at(0.5, -0.75)], [0.45, 0.09, 150]);
}
