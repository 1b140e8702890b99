import { clamp, lerp } from '../maths/scalar';
import { encodeSrgb, labToLinear, type Lab } from './oklab';

/** A colour as OKLCH: lightness 0..1, chroma 0..about .35, hue in degrees. The painter thinks in these. */
export type Lch = readonly [L: number, C: number, h: number];

/** OKLCH -> OKLab. */
export const lchToLab = ([L, C, h]: Lch): Lab => [
  L,
  C * Math.cos((h * Math.PI) / 180),
  C * Math.sin((h * Math.PI) / 180),
];

/** OKLab -> OKLCH, hue 0..360. */
export const labToLch = ([L, a, b]: Lab): Lch => [
  L,
  Math.hypot(a, b),
  ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360,
];

/** Mixes two colours in OKLab; `t` 0 gives `from`, 1 gives `to`. */
export function mixLch(from: Lch, to: Lch, t: number): Lch {
  const a = lchToLab(from);
  const b = lchToLab(to);
  return labToLch([lerp(a[0], b[0], t), lerp(a[1], b[1], t), lerp(a[2], b[2], t)]);
}

/** Shifts lightness by `dL`, scales chroma by `kC`, turns hue by `dh` degrees. */
export const adjustLch = (c: Lch, dL = 0, kC = 1, dh = 0): Lch => [clamp(c[0] + dL, 0.02, 0.995), c[1] * kC, c[2] + dh];

/** OKLCH -> sRGB code values; chroma is reduced until the colour lies inside the gamut. */
export function lchToRgb([L, C, h]: Lch): [r: number, g: number, b: number] {
  let chroma = C;
  for (let i = 0; ; i++) {
    const lab = lchToLab([L, chroma, h]);
    const v = labToLinear(lab[0], lab[1], lab[2]);
    if (i >= 14 || (Math.min(...v) >= -0.002 && Math.max(...v) <= 1.002)) {
      return [encodeSrgb(v[0]), encodeSrgb(v[1]), encodeSrgb(v[2])];
    }
    chroma *= 0.88;
  }
}

/** OKLCH -> a CSS colour with `alpha` 0..1. */
export function cssOf(c: Lch, alpha = 1): string {
  const [r, g, b] = lchToRgb(c);
  return alpha >= 1 ? `rgb(${r},${g},${b})` : `rgba(${r},${g},${b},${alpha})`;
}

/** Distance of two colours: Euclidean in OKLab, 0 for the same, about 1 from black to white. */
export function colourDistance(a: Lch, b: Lch): number {
  const [p, q] = [lchToLab(a), lchToLab(b)];
  return Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
}
