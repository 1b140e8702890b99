import { srgbToLab, type Lab } from './oklab';
import { labToLch, lchToRgb } from './oklch';

/** A colour written as #rrggbb, in OKLab. */
export const labOfHex = (hex: string): Lab =>
  srgbToLab(...([1, 3, 5].map((k) => parseInt(hex.slice(k, k + 2), 16)) as [number, number, number]));

/** An OKLab colour as #rrggbb; colours that sRGB has not lose chroma. */
export const hexOf = (lab: Lab): string =>
  `#${lchToRgb(labToLch(lab))
    .map((v) => v.toString(16).padStart(2, '0'))
    .join('')}`;
