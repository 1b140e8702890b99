import type { SceneSeen } from '../painter/scene/seen';

/** The longer side at which items are looked for, px: what cannot be found at that size is not found at a glance. */
export const SIDE = 256;

/** A map of items at the size at which they are looked for. */
export interface SmallMap {
  readonly width: number;
  readonly height: number;
  readonly codes: Uint8Array;
}

/** The map of a scene, 1 + the index of the item at each pixel, at the size of a small picture. */
export function smallMap(seen: SceneSeen, width: number, height: number): SmallMap {
  const from = seen.view ?? seen;
  const codes = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) {
    const sy = Math.floor(((y + 0.5) * from.height) / height);
    for (let x = 0; x < width; x++)
      codes[y * width + x] = from.map[sy * from.width + Math.floor(((x + 0.5) * from.width) / width)];
  }
  return { width, height, codes };
}
