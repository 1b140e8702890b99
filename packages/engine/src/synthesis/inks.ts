import {
  CHROMA_GAIN,
  clamp,
  labToLch,
  mixLch,
  resampleToLongSide,
  swatchesOf,
  type Lab,
  type Picture,
  type Swatch,
} from '@urbild/core';
import type { MediumPalette } from '../painter/media';
import type { PreparedReference } from './reference';
import { EXTREME_PART } from './ridges';

/** A reference and how much it rules the surface. */
export interface SurfaceShare {
  readonly reference: PreparedReference;
  readonly share: number;
}

/** Distance in OKLab from the mixtures of paper and key from which on a look has a third ink; else one between them serves. */
const THIRD_INK = 0.04;
const MIDDLE_BETWEEN = 0.45;
/** A mixed ink's chroma is raised so many times at most: grey has no hue to be brought out. */
const MOST_BROUGHT_OUT = 2;
/** Least and largest part of a picture that key and middle ink cover: one that is nearly all key ink could not be read. */
const KEY_PART = [0.15, 0.62] as const;
const MIDDLE_PART = [0.1, 0.4] as const;

/** What is measured of a reference when it is first asked for. */
export interface Measured {
  readonly swatches: () => Swatch[];
  /** The mean colours of its darkest and lightest pixels. */
  readonly tails: () => Record<'dark' | 'light', Lab>;
  /** 0 grain .. 1 strokes. */
  readonly stroked: () => number;
}

const known = new WeakMap<PreparedReference, Measured>();

const once = <T>(make: () => T): (() => T) => {
  let value: T | undefined;
  return () => (value ??= make());
};

/** What is measured of a reference's inks, once each and kept with it. */
export function measured(reference: PreparedReference): Measured {
  let all = known.get(reference);
  if (!all) {
    const { picture } = reference;
    all = {
      swatches: once(() => swatchesOf(picture, 8)),
      tails: once(() => tailsOf(picture)),
      stroked: once(() => strokedPart(picture)),
    };
    known.set(reference, all);
  }
  return all;
}

/** The inks that looks could be printed in, and how well. */
export interface Inks extends Pick<MediumPalette, 'paper' | 'middle' | 'key' | 'parts'> {
  /** Mean distance of the looks' colours to mixtures of paper and key, and of all three. */
  readonly offTwo: number;
  readonly offThree: number;
}

/** Paper, key and middle ink of looks: their lightest, darkest and, among the others, the most different colour. */
export function inksOf(looks: readonly SurfaceShare[]): Inks {
  const total = looks.reduce((s, l) => s + l.share, 0);
  const all = looks.flatMap((l) =>
    measured(l.reference)
      .swatches()
      .map((s) => ({ lab: s.lab, weight: (s.weight * l.share) / total })),
  );
  const tails = looks.map((l) => measured(l.reference).tails());
  const tail = (end: 'dark' | 'light') =>
    mixedInk(looks.map(({ share }, i) => ({ lab: tails[i][end], part: share / total })));
  const key = tail('dark');
  const paper = tail('light');
  const off = (c: Lab) => toSegment(c, key, paper);
  const middle = all.reduce((best, s) =>
    off(s.lab) * Math.sqrt(s.weight) > off(best.lab) * Math.sqrt(best.weight) ? s : best,
  ).lab;
  const near = (c: Lab, ink: Lab) => Math.hypot(...c.map((v, k) => v - ink[k]));
  const partOf = (ink: Lab) =>
    all.reduce((s, c) => s + ([key, middle, paper].every((o) => near(c.lab, ink) <= near(c.lab, o)) ? c.weight : 0), 0);
  const mean = (distance: (c: Lab) => number) => all.reduce((s, c) => s + c.weight * distance(c.lab), 0);
  return {
    paper: labToLch(paper),
    key: labToLch(key),
    middle: off(middle) > THIRD_INK ? labToLch(middle) : mixLch(labToLch(paper), labToLch(key), MIDDLE_BETWEEN),
    parts: [clamp(partOf(key), ...KEY_PART), clamp(partOf(middle), ...MIDDLE_PART)],
    offTwo: mean(off),
    offThree: mean((c) => Math.min(off(c), toSegment(c, key, middle), toSegment(c, middle, paper))),
  };
}

/** An ink mixed of others is as colourful as they are on the mean: unlike hues alone would make it grey. `part` sums to 1. */
function mixedInk(inks: readonly { readonly lab: Lab; readonly part: number }[]): Lab {
  const [L, a, b] = [0, 1, 2].map((c) => inks.reduce((sum, { lab, part }) => sum + part * lab[c], 0));
  const chroma = inks.reduce((sum, { lab, part }) => sum + part * Math.hypot(lab[1], lab[2]), 0);
  const k = Math.min(MOST_BROUGHT_OUT, chroma / Math.max(1e-6, Math.hypot(a, b)));
  return [L, k * a, k * b];
}

/** The mean colours of the darkest and lightest 2 % of a picture, thin strokes too. */
function tailsOf({ planes: [L, A, B] }: Picture): Record<'dark' | 'light', Lab> {
  const step = Math.max(1, Math.floor(L.length / 20000));
  const order = Array.from({ length: Math.floor(L.length / step) }, (_, i) => i * step).sort((i, j) => L[i] - L[j]);
  const count = Math.max(4, Math.floor(order.length * EXTREME_PART));
  const mean = (some: number[]): Lab => [
    some.reduce((s, i) => s + L[i], 0) / some.length,
    some.reduce((s, i) => s + A[i], 0) / some.length / CHROMA_GAIN,
    some.reduce((s, i) => s + B[i], 0) / some.length / CHROMA_GAIN,
  ];
  return { dark: mean(order.slice(0, count)), light: mean(order.slice(-count)) };
}

/** Distance of a colour to the mixtures of two others. */
function toSegment(c: Lab, from: Lab, to: Lab): number {
  const d = to.map((v, k) => v - from[k]);
  const length = d.reduce((s, v) => s + v * v, 0) || 1e-9;
  const t = Math.max(0, Math.min(1, d.reduce((s, v, k) => s + v * (c[k] - from[k]), 0) / length));
  return Math.hypot(...c.map((v, k) => v - from[k] - t * d[k]));
}

/** How far the fine gradients of a picture run in one direction place by place, 0 grain .. 1 strokes (structure tensor). */
function strokedPart(picture: Picture): number {
  const { width: w, height: h, planes } = resampleToLongSide(picture, 256);
  const L = planes[0];
  let coherent = 0;
  let energy = 0;
  for (let by = 1; by + 8 < h; by += 8)
    for (let bx = 1; bx + 8 < w; bx += 8) {
      let xx = 0;
      let yy = 0;
      let xy = 0;
      for (let y = by; y < by + 8; y++)
        for (let x = bx; x < bx + 8; x++) {
          const i = y * w + x;
          const gx = L[i + 1] - L[i - 1];
          const gy = L[i + w] - L[i - w];
          xx += gx * gx;
          yy += gy * gy;
          xy += gx * gy;
        }
      coherent += Math.hypot(xx - yy, 2 * xy);
      energy += xx + yy;
    }
  return energy > 0 ? coherent / energy : 0;
}
