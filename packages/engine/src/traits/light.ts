import { CHROMA_GAIN, type Picture } from '@urbild/core';

/** How a picture is lit and coloured as a whole: what tells how far its colours are from those of the things that it shows. */
export const LIGHT_STATS = 8;

/** Every so many pixels are looked at. */
const EVERY = 23;

/**
 * Lightness below which 5, 25, 50, 75 and 95 % of a picture lie, the mean chroma, the chroma below which 90 % lie (all OKLab), and the mean
 * difference of neighbours, which paint, paper and grain raise.
 */
export function lightStats({ width, planes: [L, A, B] }: Picture): number[] {
  const looked = Math.max(0, Math.ceil((L.length - width - 1) / EVERY));
  // lists of bare numbers are sorted in a fifth of the time
  const [light, chroma] = [new Float64Array(looked), new Float64Array(looked)];
  let rough = 0;
  for (let k = 0, i = 0; k < looked; k++, i += EVERY) {
    light[k] = L[i];
    chroma[k] = Math.hypot(A[i], B[i]) / CHROMA_GAIN;
    rough += Math.abs(L[i] - L[i + 1]) + Math.abs(L[i] - L[i + width]);
  }
  const n = looked || 1;
  light.sort();
  chroma.sort();
  const at = (list: Float64Array, part: number) => list[Math.min(list.length - 1, Math.floor(part * list.length))] ?? 0;
  const mean = chroma.reduce((a, b) => a + b, 0) / n;
  return [...[0.05, 0.25, 0.5, 0.75, 0.95].map((p) => at(light, p)), mean, at(chroma, 0.9), rough / n];
}
