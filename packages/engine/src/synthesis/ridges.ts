import {
  blurPlane,
  dilatePlane,
  erodePlane,
  clonePicture,
  resample,
  resampleToLongSide,
  type Picture,
} from '@urbild/core';

/** How much thin dark and thin light structure a picture has: mean lightness difference of closing and opening, 0..1. */
export interface RidgeMeasure {
  readonly dark: number;
  readonly light: number;
}

/** Measures thin lines by grey closing and opening at 2 px of 256 (Serra 1982). */
export function measureRidges(picture: Picture): RidgeMeasure {
  const { width: w, height: h, planes } = resampleToLongSide(picture, 256);
  const L = planes[0];
  const closed = erodePlane(dilatePlane(L, w, h, 2), w, h, 2);
  const opened = dilatePlane(erodePlane(L, w, h, 2), w, h, 2);
  let dark = 0;
  let light = 0;
  for (let i = 0; i < L.length; i++) {
    dark += closed[i] - L[i];
    light += L[i] - opened[i];
  }
  return { dark: dark / L.length, light: light / L.length };
}

/** True where dark key lines carry a picture: its colours are then read with the lines filled in. */
export const hasKeyLines = (r: RidgeMeasure): boolean => r.dark > 0.05 && r.dark > 1.6 * r.light;

/** Fills thin dark lines from their neighbours, so that palette and guide see the areas between them. */
export function fillKeyLines(picture: Picture): Picture {
  const small = resampleToLongSide(picture, 256);
  const { width: w, height: h } = small;
  const L = small.planes[0];
  const closed = erodePlane(dilatePlane(L, w, h, 4), w, h, 4);
  const open = Float32Array.from(L, (v, i) => (closed[i] - v < 0.04 ? 1 : 0));
  const trusted = blurPlane(open, w, h, 1.2).map((v) => (v > 0.9 ? 1 : 0.0005));
  const weight = blurPlane(trusted, w, h, 3.5);
  const out = clonePicture(small);
  for (let c = 0; c < 3; c++) {
    const spread = blurPlane(
      small.planes[c].map((v, i) => v * trusted[i]),
      w,
      h,
      3.5,
    );
    for (let i = 0; i < trusted.length; i++) if (trusted[i] < 0.5) out.planes[c][i] = spread[i] / weight[i];
  }
  return resample(out, picture.width, picture.height);
}

/** The mean colours of the darkest and the lightest 2 % of a picture. */
export interface Extremes {
  readonly dark: readonly [number, number, number];
  readonly light: readonly [number, number, number];
}

export function extremesOf(picture: Picture): Extremes {
  const { planes } = resampleToLongSide(picture, 128);
  const order = Array.from(planes[0].keys()).sort((a, b) => planes[0][a] - planes[0][b]);
  const count = Math.max(4, Math.floor(order.length * 0.02));
  const mean = (indices: number[]): [number, number, number] =>
    [0, 1, 2].map((c) => indices.reduce((s, i) => s + planes[c][i], 0) / indices.length) as [number, number, number];
  return { dark: mean(order.slice(0, count)), light: mean(order.slice(-count)) };
}
