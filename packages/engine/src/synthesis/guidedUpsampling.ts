import type { AtlasRect, PatchLevel } from './patchLevel';

/** What was matched at one level: plain data. */
export interface Carried {
  readonly width: number;
  readonly height: number;
  readonly rects: readonly AtlasRect[];
  readonly atlasWidth: number;
  /** The atlas index that each pixel is drawn from, and what that costs. */
  readonly field: Int32Array;
  readonly cost: Float32Array;
}

/**
 * Carries a matched field to the next finer level, which is twice as large; or to some rows of it, from `row` on, of `rows` in all.
 */
export function upsampleGuided(from: Carried, to: PatchLevel, row = 0, rows = to.height): void {
  const field = to.field;
  const cost = to.cost;
  const { width: lw, height: lh, rects, atlasWidth } = from;
  for (let y = 0; y < to.height; y++) {
    const sy = Math.min(lh - 1, Math.floor(((y + row) * lh) / rows));
    for (let x = 0; x < to.width; x++) {
      const s = sy * lw + Math.min(lw - 1, Math.floor((x * lw) / to.width));
      const qy = Math.floor(from.field[s] / atlasWidth);
      const qx = from.field[s] - qy * atlasWidth;
      let k = 0;
      while (qx >= rects[k].x1 + 3) k++;
      const [a, b] = [rects[k], to.rects[k]];
      const nx = (qx - a.x0 + 3) * 2 + (x & 1) - 3 + b.x0;
      const ny = (qy - a.y0 + 3) * 2 + ((y + row) & 1) - 3 + b.y0;
      const i = y * to.width + x;
      field[i] = Math.max(b.y0, Math.min(b.y1 - 1, ny)) * to.atlasWidth + Math.max(b.x0, Math.min(b.x1 - 1, nx));
      cost[i] = from.cost[s];
    }
  }
}
