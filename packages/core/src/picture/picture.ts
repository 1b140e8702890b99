import { encodeSrgb, labToLinear, SRGB_TO_LINEAR } from '../colour/oklab';
import { labPlanes } from './planesKernel';

/**
 * Gain on the a and b planes of a {@link Picture}, so that chroma weighs about as much as lightness when patches are
 * compared.
 */
export const CHROMA_GAIN = 1.6;

/** A picture as three planes L (0..1), a and b (OKLab times {@link CHROMA_GAIN}), row by row. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly planes: readonly [L: Float32Array, a: Float32Array, b: Float32Array];
}

function requireSize(width: number, height: number): void {
  if (!(Number.isInteger(width) && Number.isInteger(height) && width > 0 && height > 0)) {
    throw new RangeError(`A picture needs whole sides of at least 1, not ${width} x ${height}`);
  }
}

/** An empty (black) picture. Throws RangeError unless both sides are whole numbers of at least 1. */
export function createPicture(width: number, height: number): Picture {
  requireSize(width, height);
  const n = width * height;
  return { width, height, planes: [new Float32Array(n), new Float32Array(n), new Float32Array(n)] };
}

/** A copy that shares nothing with `picture`. */
export const clonePicture = ({ width, height, planes: [L, a, b] }: Picture): Picture => ({
  width,
  height,
  planes: [L.slice(), a.slice(), b.slice()],
});

/** 8-bit sRGB (4 bytes a pixel; alpha is laid over white) -> Picture. */
export function pictureFromRgba(rgba: Uint8Array | Uint8ClampedArray, width: number, height: number): Picture {
  requireSize(width, height);
  return { width, height, planes: labPlanes(rgba, width * height, SRGB_TO_LINEAR, CHROMA_GAIN) };
}

const CODES = 1 << 16;
/** Linear light in steps of 1/65536 -> sRGB code value. */
const TO_CODE = Uint8Array.from({ length: CODES + 1 }, (_, i) => encodeSrgb(i / CODES));

/** Picture -> 8-bit sRGB, opaque, 4 bytes a pixel; colours outside the gamut are limited channel by channel. */
export function pictureToRgba({ width, height, planes: [L, A, B] }: Picture): Uint8ClampedArray {
  const out = new Uint8ClampedArray(width * height * 4);
  const toLinear = labToLinear;
  const code = (linear: number) => TO_CODE[linear <= 0 ? 0 : linear >= 1 ? CODES : (linear * CODES) | 0];
  for (let i = 0, j = 0; i < width * height; i++, j += 4) {
    const v = toLinear(L[i], A[i] / CHROMA_GAIN, B[i] / CHROMA_GAIN);
    out[j] = code(v[0]);
    out[j + 1] = code(v[1]);
    out[j + 2] = code(v[2]);
    out[j + 3] = 255;
  }
  return out;
}

/** Builds a picture whose planes are made one by one by `make`. */
export const mapPlanes = (width: number, height: number, make: (channel: 0 | 1 | 2) => Float32Array): Picture => ({
  width,
  height,
  planes: [make(0), make(1), make(2)],
});
