import { mapPlanes, type Picture } from './picture';

/** A rectangle of a picture in px; it may reach beyond the edges, where the edge goes on. */
export interface PictureWindow {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface Taps {
  readonly index: Int32Array;
  readonly weight: Float32Array;
  readonly count: number;
}

/** What samples of a row of `from` make each of `to` samples of a stretch of it: a tent as wide as the step, at least one pixel. */
function taps(from: number, to: number, start: number, length: number): Taps {
  const step = length / to;
  const reach = Math.max(1, step);
  const count = Math.ceil(2 * reach) + 1;
  const index = new Int32Array(to * count);
  const weight = new Float32Array(to * count);
  for (let k = 0; k < to; k++) {
    const centre = start + (k + 0.5) * step - 0.5;
    const first = Math.ceil(centre - reach);
    let sum = 0;
    for (let i = 0; i < count; i++) {
      const w = Math.max(0, 1 - Math.abs(first + i - centre) / reach);
      index[k * count + i] = Math.min(from - 1, Math.max(0, first + i));
      weight[k * count + i] = w;
      sum += w;
    }
    for (let i = 0; i < count; i++) weight[k * count + i] /= sum;
  }
  return { index, weight, count };
}

/**
 * What is seen through a window of a picture, at a size: both axes one after the other by a tent filter (bilinear where it
 * enlarges), so that a window that moves by parts of a pixel moves the picture by just as much.
 */
export function seenThrough(picture: Picture, window: PictureWindow, width: number, height: number): Picture {
  const { width: sw, height: sh, planes } = picture;
  const across = taps(sw, width, window.x, window.width);
  const down = taps(sh, height, window.y, window.height);
  return mapPlanes(width, height, (c) => {
    const source = planes[c];
    const rows = new Float32Array(width * sh);
    for (let y = 0; y < sh; y++)
      for (let x = 0, k = 0; x < width; x++) {
        let sum = 0;
        for (let i = 0; i < across.count; i++, k++) sum += across.weight[k] * source[y * sw + across.index[k]];
        rows[y * width + x] = sum;
      }
    const out = new Float32Array(width * height);
    for (let y = 0; y < height; y++)
      for (let i = 0; i < down.count; i++) {
        const w = down.weight[y * down.count + i];
        const at = down.index[y * down.count + i] * width;
        if (w > 0) for (let x = 0; x < width; x++) out[y * width + x] += w * rows[at + x];
      }
    return out;
  });
}

/** The same for a map of codes, which cannot be mixed: the nearest one. */
export function codesThrough(
  codes: Uint8Array,
  sw: number,
  sh: number,
  window: PictureWindow,
  width: number,
  height: number,
): Uint8Array {
  const out = new Uint8Array(width * height);
  const at = (k: number, to: number, start: number, length: number, from: number) =>
    Math.min(from - 1, Math.max(0, Math.floor(start + ((k + 0.5) * length) / to)));
  for (let y = 0; y < height; y++) {
    const row = at(y, height, window.y, window.height, sh) * sw;
    for (let x = 0; x < width; x++) out[y * width + x] = codes[row + at(x, width, window.x, window.width, sw)];
  }
  return out;
}
