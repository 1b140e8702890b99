import { blurPlane, boxPlane } from '@urbild/core';
import { piecesOf, thinned } from '../lines/masks';
import type { Planes } from './superpixels';

/** How much finer than a soft change an edge must be, and the shortest that counts, px. */
const FINER = 1.25;
const SHORTEST = 10;

/**
 * The crisp edges of a picture as a skeleton: where the fine slope is larger than the coarse one, thinned. Edges below `low` are none;
 * those that nowhere reach `high` are left out (hysteresis of Canny 1986). In even steps a px.
 */
export function crispEdges(
  planes: Planes,
  w: number,
  h: number,
  { low, high }: { readonly low: number; readonly high: number },
): Uint8Array {
  const strength = new Float32Array(w * h);
  const [across, down] = [new Float32Array(w * h), new Float32Array(w * h)];
  for (const plane of planes) {
    const [fine, coarse] = [boxPlane(plane, w, h, 1), blurPlane(plane, w, h, 3)];
    for (let y = 1; y < h - 1; y++)
      for (let x = 1; x < w - 1; x++) {
        const i = y * w + x;
        const [fx, fy] = [(fine[i + 1] - fine[i - 1]) / 2, (fine[i + w] - fine[i - w]) / 2];
        const slope = Math.hypot(fx, fy);
        const over = slope - (FINER * Math.hypot(coarse[i + 1] - coarse[i - 1], coarse[i + w] - coarse[i - w])) / 2;
        if (over <= strength[i]) continue;
        strength[i] = over;
        [across[i], down[i]] = [fx / slope, fy / slope];
      }
  }
  const edge = new Uint8Array(w * h);
  for (let y = 2; y < h - 2; y++)
    for (let x = 2; x < w - 2; x++) {
      const i = y * w + x;
      if (strength[i] < low) continue;
      const at = (k: number) => strength[Math.round(y + down[i] * k) * w + Math.round(x + across[i] * k)];
      if (strength[i] >= at(1) && strength[i] >= at(-1)) edge[i] = 1;
    }
  const { of, sizes } = piecesOf(edge, w, h, true);
  const most = new Float32Array(sizes.length);
  edge.forEach((v, i) => v && (most[of[i]] = Math.max(most[of[i]], strength[i])));
  return thinned(
    edge.map((v, i) => (v && most[of[i]] >= high && sizes[of[i]] >= SHORTEST ? 1 : 0)),
    w,
    h,
  );
}
