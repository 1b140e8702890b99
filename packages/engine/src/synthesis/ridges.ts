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

/** Thin dark structure that makes key lines, and how much more of it there has to be than of thin light structure. */
const KEY_LINES = { least: 0.05, overLight: 1.6 };
/** Half of the widest line that is filled, in px of 256. */
const FILL_REACH = 4;
/** Lightness by which a closed line was darker than the area around it. */
const LINE_DEPTH = 0.04;
/** Blur of what is no line, in px of 256; where less than `SURE` of it is left, a pixel hardly counts for its neighbours' colour. */
const AREA_SOFT = 1.2;
const SURE = 0.9;
const HARDLY_COUNTS = 0.0005;
/** How far colours are spread into the lines, in px of 256: normalized convolution (Knutsson and Westin 1993). */
const SPREAD = 3.5;

/** True where dark key lines carry a picture: its colours are then read with the lines filled in. */
export const hasKeyLines = (r: RidgeMeasure): boolean =>
  r.dark > KEY_LINES.least && r.dark > KEY_LINES.overLight * r.light;

/** Fills thin dark lines from their neighbours, so that palette and guide see the areas between them. */
export function fillKeyLines(picture: Picture): Picture {
  const small = resampleToLongSide(picture, 256);
  const { width: w, height: h } = small;
  const L = small.planes[0];
  const closed = erodePlane(dilatePlane(L, w, h, FILL_REACH), w, h, FILL_REACH);
  const open = Float32Array.from(L, (v, i) => (closed[i] - v < LINE_DEPTH ? 1 : 0));
  const trusted = blurPlane(open, w, h, AREA_SOFT).map((v) => (v > SURE ? 1 : HARDLY_COUNTS));
  const weight = blurPlane(trusted, w, h, SPREAD);
  const out = clonePicture(small);
  for (let c = 0; c < 3; c++) {
    const spread = blurPlane(
      small.planes[c].map((v, i) => v * trusted[i]),
      w,
      h,
      SPREAD,
    );
    for (let i = 0; i < trusted.length; i++) if (trusted[i] < 1) out.planes[c][i] = spread[i] / weight[i];
  }
  return resample(out, picture.width, picture.height);
}

/** The part of a picture that is its darkest, or its lightest. */
export const EXTREME_PART = 0.02;

/** The mean colours of the darkest and the lightest 2 % of a picture. */
export interface Extremes {
  readonly dark: readonly [number, number, number];
  readonly light: readonly [number, number, number];
}

export function extremesOf(picture: Picture): Extremes {
  const { planes } = resampleToLongSide(picture, 128);
  const order = Array.from(planes[0].keys()).sort((a, b) => planes[0][a] - planes[0][b]);
  const count = Math.max(4, Math.floor(order.length * EXTREME_PART));
  const mean = (indices: number[]): [number, number, number] =>
    [0, 1, 2].map((c) => indices.reduce((s, i) => s + planes[c][i], 0) / indices.length) as [number, number, number];
  return { dark: mean(order.slice(0, count)), light: mean(order.slice(-count)) };
}
