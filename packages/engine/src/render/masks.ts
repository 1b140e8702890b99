import {
  blurPlane,
  clonePicture,
  erodePlane,
  pictureToRgba,
  resamplePlane,
  type Mask,
  type Picture,
} from '@urbild/core';

/**
 * A mask at w x h px: 0 where nothing may change, 1 where everything may. The soft edge lies inside, so that what is black in
 * the mask stays 0 exactly.
 */
export function maskOf(picture: Picture, { invert, feather }: Mask, w: number, h: number): Float32Array {
  const scaled = resamplePlane(picture.planes[0], picture.width, picture.height, w, h);
  const hard = scaled.map((v) => ((invert ? v < 0.5 : v >= 0.5) ? 1 : 0));
  const radius = feather * Math.max(w, h);
  if (radius < 0.5) return hard;
  const inner = blurPlane(erodePlane(hard, w, h, Math.max(1, Math.round(radius / 2))), w, h, radius / 2);
  return hard.map((v, i) => (v ? Math.min(1, inner[i] * 1.15) : 0));
}

/** `over` where the mask is 1, `under` where it is 0, mixed between. */
export function through(mask: Float32Array, over: Picture, under: Picture): Picture {
  const out = clonePicture(under);
  out.planes.forEach((plane, c) => {
    const other = over.planes[c];
    for (let i = 0; i < plane.length; i++) if (mask[i]) plane[i] += mask[i] * (other[i] - plane[i]);
  });
  return out;
}

/** The bytes of `over` seen through a mask: where it is 0 those of `under` are copied, not computed. */
export function bytesThrough(
  mask: Float32Array,
  over: Picture,
  under: Picture,
  rgba: Uint8ClampedArray,
): Uint8ClampedArray {
  const out = pictureToRgba(through(mask, over, under));
  for (let i = 0; i < mask.length; i++) if (mask[i] === 0) for (let c = 0; c < 4; c++) out[4 * i + c] = rgba[4 * i + c];
  return out;
}

/** The box of a mask in parts of the picture; undefined for an empty one. */
export function boxOf(mask: Float32Array, w: number, h: number): readonly [number, number, number, number] | undefined {
  let [left, top, right, bottom] = [w, h, -1, -1];
  for (let i = 0; i < mask.length; i++)
    if (mask[i] > 0.5) {
      const x = i % w;
      const y = (i / w) | 0;
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
    }
  return right < 0 ? undefined : [left / w, top / h, (right + 1) / w, (bottom + 1) / h];
}
