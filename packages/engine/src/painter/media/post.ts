import type { SKRSContext2D } from '@napi-rs/canvas';
import { clamp, cssOf, Random, smoothstep, ValueNoise, type Lch } from '@urbild/core';

/** Rows between two moments at which work on pixels may be stopped. */
const BAND = 48;

/** Moves every pixel by up to about `amount` px: edges lose the smoothness of a machine. */
export function displacePixels(
  context: SKRSContext2D,
  w: number,
  h: number,
  amount: number,
  seed: number,
  pause = () => {},
): void {
  const source = context.getImageData(0, 0, w, h).data;
  const image = context.createImageData(w, h);
  const target = image.data;
  const noise = new ValueNoise(seed + 11);
  const gw = Math.floor(w / 2) + 2;
  const gh = Math.floor(h / 2) + 2;
  const shiftX = new Float32Array(gw * gh);
  const shiftY = new Float32Array(gw * gh);
  for (let j = 0; j < gh; j++)
    for (let i = 0; i < gw; i++) {
      shiftX[j * gw + i] = amount * (noise.at(i / 4.5, j / 4.5) + 0.6 * noise.at(i / 1.3, j / 1.3 + 50));
      shiftY[j * gw + i] = amount * (noise.at(i / 4.5 + 90, j / 4.5 + 20) + 0.6 * noise.at(i / 1.3 + 70, j / 1.3));
    }
  for (let y = 0; y < h; y++) {
    if (!(y % BAND)) pause();
    for (let x = 0; x < w; x++) {
      const g = (y >> 1) * gw + (x >> 1);
      const sx = clamp(x + shiftX[g], 0, w - 1.001);
      const sy = clamp(y + shiftY[g], 0, h - 1.001);
      const x0 = Math.floor(sx);
      const y0 = Math.floor(sy);
      const a = sx - x0;
      const b = sy - y0;
      const p = (y0 * w + x0) * 4;
      const q = p + w * 4;
      const t = (y * w + x) * 4;
      for (let k = 0; k < 3; k++) {
        target[t + k] =
          (source[p + k] * (1 - a) + source[p + 4 + k] * a) * (1 - b) +
          (source[q + k] * (1 - a) + source[q + 4 + k] * a) * b;
      }
      target[t + 3] = 255;
    }
  }
  context.putImageData(image, 0, 0);
}

/** Paper grain of `strength` (1 usual) and darker corners (`vignette` 0..1). */
export function addGrain(
  context: SKRSContext2D,
  w: number,
  h: number,
  strength: number,
  vignette: number,
  pause = () => {},
): void {
  const noise = new ValueNoise(31);
  const random = new Random(17);
  editPixels(
    context,
    w,
    h,
    (data, t, x, y) => {
      const grain = noise.at(x / 1.7, y / 1.7) * 0.5 + noise.at(x / 4, y / 4) * 0.3 + (random.next() - 0.5) * 0.7;
      const u = x / w - 0.5;
      const v = y / h - 0.5;
      const dark = 1 - vignette * smoothstep(0.25, 0.75, u * u * 1.6 + v * v * 1.9);
      for (let c = 0; c < 3; c++) {
        const value = data[t + c];
        data[t + c] = clamp(value * dark + grain * strength * (4 + 4 * Math.sin((value / 255) * Math.PI)), 0, 255);
      }
    },
    pause,
  );
}

/** Calls `edit` for every pixel with the offset of its red byte; `pause` is called often and may throw to stop. */
export function editPixels(
  context: SKRSContext2D,
  w: number,
  h: number,
  edit: (data: Uint8ClampedArray, offset: number, x: number, y: number) => void,
  pause = () => {},
): void {
  const image = context.getImageData(0, 0, w, h);
  const { data } = image;
  for (let y = 0, t = 0; y < h; y++) {
    if (!(y % BAND)) pause();
    for (let x = 0; x < w; x++, t += 4) edit(data, t, x, y);
  }
  context.putImageData(image, 0, 0);
}

/** Distance of a pixel from the nearest edge of the picture. */
export const fromEdge = (x: number, y: number, w: number, h: number): number => Math.min(x, y, w - 1 - x, h - 1 - y);

/** The lightnesses (0..1 of the code values) that 2 % of a picture lie below and above. */
export function lightnessRange(context: SKRSContext2D, w: number, h: number): [low: number, high: number] {
  const { data } = context.getImageData(0, 0, w, h);
  const counts = new Uint32Array(256);
  for (let o = 0; o < data.length; o += 16)
    counts[Math.round(0.3 * data[o] + 0.59 * data[o + 1] + 0.11 * data[o + 2])]++;
  const total = data.length / 16;
  const at = (part: number) => {
    let sum = 0;
    for (let i = 0; i < 256; i++) {
      sum += counts[i];
      if (sum >= part * total) return i / 255;
    }
    return 1;
  };
  const low = at(0.02);
  return [low, Math.max(low + 0.2, at(0.98))];
}

/** A thin stain of one colour over the whole picture. */
export function stain(context: SKRSContext2D, w: number, h: number, colour: Lch): void {
  context.save();
  context.globalCompositeOperation = 'soft-light';
  context.fillStyle = cssOf(colour, 0.5);
  context.fillRect(0, 0, w, h);
  context.globalCompositeOperation = 'color';
  context.fillStyle = cssOf(colour, 0.22);
  context.fillRect(0, 0, w, h);
  context.restore();
}
