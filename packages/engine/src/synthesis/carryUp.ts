import type { PatchLevel } from './patchLevel';

/** What was matched at one level. */
export interface Match {
  readonly level: PatchLevel;
  readonly field: Int32Array;
  readonly cost: Float32Array;
}

/** Carries a matched field to the next finer level, which is twice as large. */
export function carryUp(from: Match, to: PatchLevel): void {
  const field = to.field;
  const cost = to.cost;
  const { width: lw, height: lh, rects, atlasWidth } = from.level;
  for (let y = 0; y < to.height; y++) {
    const sy = Math.min(lh - 1, Math.floor((y * lh) / to.height));
    for (let x = 0; x < to.width; x++) {
      const s = sy * lw + Math.min(lw - 1, Math.floor((x * lw) / to.width));
      const qy = Math.floor(from.field[s] / atlasWidth);
      const qx = from.field[s] - qy * atlasWidth;
      let k = 0;
      while (qx >= rects[k].x1 + 3) k++;
      const [a, b] = [rects[k], to.rects[k]];
      const nx = (qx - a.x0 + 3) * 2 + (x & 1) - 3 + b.x0;
      const ny = (qy - a.y0 + 3) * 2 + (y & 1) - 3 + b.y0;
      const i = y * to.width + x;
      field[i] = Math.max(b.y0, Math.min(b.y1 - 1, ny)) * to.atlasWidth + Math.max(b.x0, Math.min(b.x1 - 1, nx));
      cost[i] = from.cost[s];
    }
  }
}
