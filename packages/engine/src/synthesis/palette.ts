import {
  applyGuided,
  blurPlane,
  clonePicture,
  fitGuided,
  levelOf,
  resamplePlane,
  resampleToLongSide,
  transportColours,
  type Picture,
} from '@urbild/core';
import { LeastRecentlyUsed } from './cache';
import { keepHues } from './figureGuard';
import type { PreparedReference } from './reference';
import type { Extremes } from './ridges';
import type { PaletteShare } from './paletteShare';
import { isWhole } from './whole';

/** How far references rule the colours together, 0..1. */
export const amountOf = (palette: readonly PaletteShare[]): number =>
  Math.min(
    1,
    palette.reduce((s, p) => s + p.share, 0),
  );

/** The size that colours are moved at: a draft is content with less. */
const smallSide = ({ width, height }: Picture): number => (Math.max(width, height) <= 256 ? 72 : 96);

/** Names the parts of references in a palette, whatever they sum to. */
export const mixName = (palette: readonly PaletteShare[]): string => {
  const total = palette.reduce((s, p) => s + p.share, 0) || 1;
  return palette.map((p) => `${p.reference.key}:${(p.share / total).toFixed(6)}`).join('|');
};

const clouds = new LeastRecentlyUsed<Picture>(8);

/** The colours of a stage as a target: kept by the name of the stage, with all that is measured of them. */
export const cloudOf = (stage: Picture, stageKey: string): Picture =>
  clouds.get(stageKey, () => resampleToLongSide(stage, 96));

/** What small pictures become: their colours do not wait for a weight that moves, which goes from one end to the other. */
const moves = new LeastRecentlyUsed<{ readonly small: Picture; readonly moved: Picture }>(24);

/** Weight of the height in the picture: skies take their colours from skies. */
const HEIGHT_WEIGHT = 0.25;

/**
 * Moves the colours of a stage towards the weighted barycentre of its references, as far as their shares sum to. Small
 * pictures are transported and a guided filter carries the result up, so that flat shapes stay flat; local contrast
 * that would be lost or turned around is given back. `figures` (0..1 a pixel) keep the hue family of their own colours.
 */
export function recolourStage(
  stage: Picture,
  stageKey: string,
  palette: readonly PaletteShare[],
  figures?: Float32Array,
  checkpoint = () => {},
): Picture {
  const amount = amountOf(palette);
  if (amount <= 0) return stage;
  const { small, moved } = movedTo(
    stage,
    stageKey,
    mixName(palette),
    () => palette.map((p) => levelOf(p.reference.areas, 96)),
    palette.map((p) => p.share),
  );
  checkpoint();
  const full = applyGuided(fitGuided(small, moved, 5, 2e-4), stage);
  checkpoint();
  if (figures) keepHues(stage, full, figures, palette, checkpoint);
  checkpoint();
  const out = clonePicture(stage);
  for (let c = 0; c < 3; c++) {
    const [from, to, target] = [stage.planes[c], full.planes[c], out.planes[c]];
    for (let i = 0; i < target.length; i++) target[i] = from[i] + amount * (to[i] - from[i]);
  }
  guardContrast(stage, out, palette, amount);
  return out;
}

/**
 * Brings a stage that was drawn anew in another medium into the palette that the picture is to have: the references' colours
 * as far as their shares go, those of the first `stage` for the rest. References in `own` lent the drawing its inks.
 */
export function recolourDrawn(
  drawn: Picture,
  {
    drawnKey,
    stage,
    stageKey,
    palette,
    own,
    figures,
    checkpoint = () => {},
  }: {
    readonly drawnKey: string;
    readonly stage: Picture;
    readonly stageKey: string;
    readonly palette: readonly PaletteShare[];
    readonly own: ReadonlySet<PreparedReference>;
    readonly figures?: Float32Array;
    readonly checkpoint?: () => void;
  },
): Picture {
  const amount = amountOf(palette);
  const total = palette.reduce((s, p) => s + p.share, 0) || 1;
  const kept = palette.reduce((s, p) => s + (own.has(p.reference) ? p.share / total : 0), 0);
  if (isWhole(kept * amount)) return clonePicture(drawn);
  const others = palette.filter((p) => !own.has(p.reference));
  const { small, moved: whole } = movedTo(
    drawn,
    drawnKey,
    `${mixName(palette)}/${kept.toFixed(6)}`,
    (small) => [...others.map((p) => levelOf(p.reference.areas, 96)), small],
    [...others.map((p) => p.share / total), kept],
  );
  checkpoint();
  const none = isWhole(amount)
    ? whole
    : movedTo(drawn, drawnKey, stageKey, () => [cloudOf(stage, stageKey)], [1]).moved;
  checkpoint();
  const out = applyGuided(fitGuided(small, between(none, whole, amount), 5, 2e-4), drawn);
  checkpoint();
  if (figures) keepHues(stage, out, figures, palette, checkpoint);
  checkpoint();
  if (others.length) guardContrast(drawn, out, others, amount);
  return out;
}

/** A picture made small, and that with the colours of targets; kept by the names of both. */
function movedTo(
  picture: Picture,
  key: string,
  towards: string,
  targets: (small: Picture) => readonly Picture[],
  weights: readonly number[],
): { readonly small: Picture; readonly moved: Picture } {
  return moves.get(`${key}>${towards}`, () => {
    const small = resampleToLongSide(picture, smallSide(picture));
    return { small, moved: transportColours(small, targets(small), weights, { heightWeight: HEIGHT_WEIGHT }) };
  });
}

function between(a: Picture, b: Picture, amount: number): Picture {
  if (a === b) return a;
  const out = clonePicture(a);
  out.planes.forEach((plane, c) => {
    const to = b.planes[c];
    for (let i = 0; i < plane.length; i++) plane[i] += amount * (to[i] - plane[i]);
  });
  return out;
}

/** Local contrast may grow by this much: a wide palette on a stage of few tones sets its masses apart, not every wave. */
const GAIN = 1.4;
/** Lightness by which it may grow even where there was none. */
const FREE_GAIN = 0.02;
/** How far what was lost, and what grew too much, is set right. */
const LOST = 0.5;
const GROWN = 0.9;

/** Restores lightness contrast at about 24 px of 512 where recolouring lost, inverted or exaggerated it. */
function guardContrast(stage: Picture, out: Picture, palette: readonly PaletteShare[], amount: number): void {
  const { width: w, height: h } = stage;
  const q = Math.min(1, 128 / Math.max(w, h));
  const sw = Math.max(1, Math.round(w * q));
  const sh = Math.max(1, Math.round(h * q));
  const local = (p: Float32Array) => resamplePlane(blurPlane(resamplePlane(p, w, h, sw, sh), sw, sh, 6), sw, sh, w, h);
  const before = local(stage.planes[0]);
  const after = local(out.planes[0]);
  const low = Math.min(...palette.map((p) => p.reference.extremes.dark[0]));
  const high = Math.max(...palette.map((p) => p.reference.extremes.light[0]));
  const L = out.planes[0];
  for (let i = 0; i < L.length; i++) {
    const was = stage.planes[0][i] - before[i];
    const is = L[i] - after[i];
    const most = GAIN * Math.abs(was) + FREE_GAIN;
    const to = was * is < 0 || Math.abs(is) < Math.abs(was) ? was : Math.abs(is) > most ? Math.sign(is) * most : is;
    if (to === is) continue;
    const v = L[i] + (to === was ? LOST : GROWN) * amount * (to - is);
    L[i] = v < low ? Math.min(low, L[i]) : v > high ? Math.max(high, L[i]) : v;
  }
}

/**
 * Above weight 1 the colours are copied more literally: the finished picture is moved on to the very palette of the references,
 * `amount` 0..1 of the way.
 */
export const insistOnPalette = (picture: Picture, palette: readonly PaletteShare[], amount: number): Picture =>
  amount <= 0 || !palette.length
    ? picture
    : closed(
        picture,
        palette.map((p) => levelOf(p.reference.picture, 96)),
        palette.map((p) => p.share),
        amount,
      );

/** What is held of a figure by this much less than wholly is still held wholly when the palette is closed. */
const HELD = 1.4;

/**
 * What a finished picture misses of the palette that it was to have - between the stage's and the references', as far as these
 * rule the colours - is made up `amount` 0..1 of the way; less where `figures` (0..1 a pixel) are held.
 */
export function closeOnPalette(
  picture: Picture,
  {
    stage,
    stageKey,
    palette,
    amount,
    figures,
    checkpoint = () => {},
  }: {
    readonly stage: Picture;
    readonly stageKey: string;
    readonly palette: readonly PaletteShare[];
    readonly amount: number;
    readonly figures?: Float32Array;
    readonly checkpoint?: () => void;
  },
): Picture {
  const rule = amountOf(palette);
  if (amount <= 0 || rule <= 0) return picture;
  const total = palette.reduce((s, p) => s + p.share, 0);
  const targets = [...palette.map((p) => levelOf(p.reference.picture, 96)), cloudOf(stage, stageKey)];
  // figures keep what they were given
  const held = figures?.map((v) => Math.min(1, HELD * v)) ?? new Float32Array(picture.width * picture.height);
  return closed(
    picture,
    targets,
    [...palette.map((p) => (rule * p.share) / total), 1 - rule],
    amount,
    held,
    checkpoint,
  );
}

/** A picture is closed on its palette by small steps: one colour of a look that has no place in it is not forced on it. */
const STEP = 0.05;

function closed(
  picture: Picture,
  targets: readonly Picture[],
  weights: readonly number[],
  amount: number,
  held?: Float32Array,
  checkpoint = () => {},
): Picture {
  const small = resampleToLongSide(picture, smallSide(picture));
  checkpoint();
  const moved = transportColours(small, targets, weights, { dither: 0 });
  checkpoint();
  const full = applyGuided(held ? fitGuided(small, moved, 3, 5e-5) : fitGuided(small, moved, 2, 1e-5), picture);
  checkpoint();
  const out = clonePicture(picture);
  const [L, A, B] = out.planes;
  const [L1, A1, B1] = full.planes;
  for (let i = 0; i < L.length; i++) {
    const [dL, dA, dB] = [L1[i] - L[i], A1[i] - A[i], B1[i] - B[i]];
    const far = Math.sqrt(dL * dL + dA * dA + dB * dB);
    const k = held ? amount * (1 - held[i]) * Math.min(1, STEP / (far + 1e-6)) : amount;
    L[i] += k * dL;
    A[i] += k * dA;
    B[i] += k * dB;
  }
  return out;
}

/** The darkest and lightest tones that references offer. */
export const tonesOf = (palette: readonly PaletteShare[]): Extremes =>
  palette
    .map((p) => p.reference.extremes)
    .reduce((a, b) => ({
      dark: b.dark[0] < a.dark[0] ? b.dark : a.dark,
      light: b.light[0] > a.light[0] ? b.light : a.light,
    }));
