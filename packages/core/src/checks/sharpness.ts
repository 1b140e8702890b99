import type { Picture } from '../picture/picture';
import { levelOf } from '../picture/resample';

/** Sharpness of a picture at one size: variance of its Laplacian over the variance of its lightness (0..255) + 25. */
export function sharpnessAt(picture: Picture, side: number): number {
  const { width: w, height: h, planes } = levelOf(picture, side);
  const L = planes[0];
  let sum = 0;
  let squares = 0;
  let n = 0;
  for (let y = 1; y < h - 1; y++)
    for (let x = 1; x < w - 1; x++) {
      const i = y * w + x;
      const l = 255 * (4 * L[i] - L[i - 1] - L[i + 1] - L[i - w] - L[i + w]);
      sum += l;
      squares += l * l;
      n++;
    }
  if (!n) return 0;
  let lightness = 0;
  let lightness2 = 0;
  for (let i = 0; i < L.length; i++) {
    const v = 255 * L[i];
    lightness += v;
    lightness2 += v * v;
  }
  const variance = lightness2 / L.length - (lightness / L.length) ** 2;
  return (squares / n - (sum / n) ** 2) / (variance + 25);
}

/**
 * The side in px at which a picture really has its detail: enlarged pictures have none at their own size. 1 means that all
 * its pixels count; .25 that it was enlarged about four times.
 */
export function trueResolution(picture: Picture): number {
  const { width: w, height: h, planes } = picture;
  const L = planes[0];
  /** Mean absolute second difference over a distance, squared: how much there is of details of that size. */
  const energy = (d: number): number => {
    let sum = 0;
    let n = 0;
    const step = Math.max(1, Math.floor((w * h) / 40000));
    const row = d * w;
    for (let y = d; y < h - d; y += step)
      for (let x = d; x < w - d; x++) {
        const i = y * w + x;
        const across = 2 * L[i] - L[i - d] - L[i + d];
        const down = 2 * L[i] - L[i - row] - L[i + row];
        sum += across * across + down * down;
        n++;
      }
    return n ? sum / n : 0;
  };
  const fine = energy(1);
  const middle = energy(2);
  const coarse = energy(4);
  if (coarse < 1e-7) return 1;
  // a smooth ramp between enlarged pixels has second differences that grow with the fourth power of the distance
  const steep = Math.min(middle / (fine + 1e-9), 40);
  if (steep < 6.5) return 1;
  return coarse / (middle + 1e-9) > 6.5 ? 0.125 : 0.3;
}
