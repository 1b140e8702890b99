import type { Picture } from '../picture/picture';

/** How the lightness of a picture lies, all in 0..255 but the parts. */
export interface Tone {
  readonly p5: number;
  readonly p50: number;
  readonly p95: number;
  /** Parts of the picture that are pure black and pure white, 0..1. */
  readonly black: number;
  readonly white: number;
}

/** Reads the tone of a picture from a histogram of its OKLab lightness. */
export function toneOf({ planes }: Picture): Tone {
  const L = planes[0];
  const pixels = new Uint32Array(256);
  for (let i = 0; i < L.length; i++) pixels[Math.min(255, Math.max(0, (L[i] * 255 + 0.5) | 0))]++;
  const counts = Float64Array.from(pixels, (n) => n / L.length);
  const at = (part: number) => {
    let sum = 0;
    for (let v = 0; v < 256; v++) {
      sum += counts[v];
      if (sum >= part) return v;
    }
    return 255;
  };
  const part = (from: number, to: number) => counts.slice(from, to).reduce((a, b) => a + b, 0);
  return { p5: at(0.05), p50: at(0.5), p95: at(0.95), black: part(0, 8), white: part(253, 256) };
}
