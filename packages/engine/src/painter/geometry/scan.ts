import type { Path } from './point';

/** Calls `fill(y, x0, x1)` for every row of pixels whose centres lie inside `path` (non-zero winding). */
export function scanPath(
  path: Path,
  width: number,
  height: number,
  fill: (y: number, x0: number, x1: number) => void,
): void {
  let top = Infinity;
  let bottom = -Infinity;
  for (const q of path) {
    if (q[1] < top) top = q[1];
    if (q[1] > bottom) bottom = q[1];
  }
  const y0 = Math.max(0, Math.ceil(top - 0.5));
  const y1 = Math.min(height - 1, Math.floor(bottom - 0.5));
  const n = path.length;
  for (let y = y0; y <= y1; y++) {
    const centre = y + 0.5;
    const crossings: [x: number, winding: number][] = [];
    for (let i = 0; i < n; i++) {
      const a = path[i];
      const b = path[(i + 1) % n];
      if (a[1] <= centre !== b[1] <= centre) {
        crossings.push([a[0] + ((centre - a[1]) / (b[1] - a[1])) * (b[0] - a[0]), b[1] > a[1] ? 1 : -1]);
      }
    }
    crossings.sort((u, v) => u[0] - v[0]);
    let winding = 0;
    for (let i = 0; i < crossings.length - 1; i++) {
      winding += crossings[i][1];
      if (winding === 0) continue;
      const x0 = Math.max(0, Math.ceil(crossings[i][0] - 0.5));
      const x1 = Math.min(width - 1, Math.ceil(crossings[i + 1][0] - 0.5) - 1);
      if (x1 >= x0) fill(y, x0, x1);
    }
  }
}
