import {
  applyColourTable,
  applyGuided,
  blurPlane,
  clonePicture,
  fitGuided,
  learnColourTable,
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

/** A reference and its share of the palette, 0..1. */
export interface PaletteShare {
  readonly reference: PreparedReference;
  readonly share: number;
}

/** How far references rule the colours together, 0..1. */
export const amountOf = (palette: readonly PaletteShare[]): number =>
  Math.min(
    1,
    palette.reduce((s, p) => s + p.share, 0),
  );

/** The size that colours are moved at: a draft is content with less. */
const smallSide = ({ width, height }: Picture): number => (Math.max(width, height) <= 256 ? 72 : 96);

/** Weight of the height in the picture: skies take their colours from skies. */
const HEIGHT_WEIGHT = 0.25;

/**
 * Moves the colours of a stage towards the weighted barycentre of its references, as far as their shares sum to. Small
 * pictures are transported and a guided filter carries the result up, so that flat shapes stay flat; local contrast
 * that would be lost or turned around is given back. `figures` (0..1 a pixel) keep the hue family of their own colours.
 */
export function recolourStage(
  stage: Picture,
  palette: readonly PaletteShare[],
  figures?: Float32Array,
  checkpoint = () => {},
): Picture {
  const amount = amountOf(palette);
  if (amount <= 0) return stage;
  const small = resampleToLongSide(stage, smallSide(stage));
  const targets = palette.map((p) => levelOf(p.reference.areas, 96));
  const moved = transportColours(
    small,
    targets,
    palette.map((p) => p.share),
    { heightWeight: HEIGHT_WEIGHT },
  );
  checkpoint();
  const full = applyGuided(fitGuided(small, moved, 5, 2e-4), stage);
  checkpoint();
  if (figures) keepHues(stage, full, figures, palette);
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
  stage: Picture,
  palette: readonly PaletteShare[],
  own: ReadonlySet<PreparedReference>,
  figures?: Float32Array,
  checkpoint = () => {},
): Picture {
  const amount = amountOf(palette);
  const total = palette.reduce((s, p) => s + p.share, 0) || 1;
  const kept = palette.reduce((s, p) => s + (own.has(p.reference) ? (p.share / total) * amount : 0), 0);
  if (kept > 0.999) return clonePicture(drawn);
  const small = resampleToLongSide(drawn, smallSide(drawn));
  const others = palette.filter((p) => !own.has(p.reference));
  const clouds = [...others.map((p) => levelOf(p.reference.areas, 96)), small, resampleToLongSide(stage, 96)];
  const shares = [...others.map((p) => (p.share / total) * amount), kept, 1 - amount];
  const moved = transportColours(small, clouds, shares, { heightWeight: HEIGHT_WEIGHT });
  checkpoint();
  const out = applyGuided(fitGuided(small, moved, 5, 2e-4), drawn);
  checkpoint();
  if (figures) keepHues(stage, out, figures, palette);
  checkpoint();
  if (others.length) guardContrast(drawn, out, others, amount);
  return out;
}

/** Restores lightness contrast at about 24 px of 512 where recolouring lost or inverted it. */
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
    if (Math.abs(was) <= Math.abs(is) && was * is >= 0) continue;
    const v = L[i] + 0.5 * amount * (was - is);
    L[i] = v < low ? Math.min(low, L[i]) : v > high ? Math.max(high, L[i]) : v;
  }
}

/**
 * Above weight 1 the colours are copied more literally: the finished picture is moved on to the very palette of the references,
 * `amount` 0..1 of the way.
 */
export function insistOnPalette(picture: Picture, palette: readonly PaletteShare[], amount: number): Picture {
  if (amount <= 0 || !palette.length) return picture;
  const small = resampleToLongSide(picture, smallSide(picture));
  const moved = transportColours(
    small,
    palette.map((p) => levelOf(p.reference.picture, 96)),
    palette.map((p) => p.share),
    { dither: 0 },
  );
  const full = applyGuided(fitGuided(small, moved, 2, 1e-5), picture);
  const out = clonePicture(picture);
  out.planes.forEach((plane, c) => {
    const to = full.planes[c];
    for (let i = 0; i < plane.length; i++) plane[i] += amount * (to[i] - plane[i]);
  });
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

/** A reference recoloured to the palette that the picture has, and what is needed of it. */
export type RecolouredReference = Pick<PreparedReference, 'picture' | 'areas'>;

const recoloured = new LeastRecentlyUsed<RecolouredReference>(16);

/**
 * Brings `reference` into the common palette of several references and of the stage, so that patches of all of them fit
 * beside each other. Kept by content, shares and size.
 */
export function toCommonPalette(
  reference: PreparedReference,
  palette: readonly PaletteShare[],
  stage: Picture,
  stageKey: string,
): RecolouredReference {
  const amount = amountOf(palette);
  const total = palette.reduce((s, p) => s + p.share, 0) || 1;
  const shares = palette.map((p) => (p.share / total) * amount);
  const key = [
    reference.key,
    ...palette.map((p, i) => `${p.reference.key}:${shares[i].toFixed(6)}`),
    amount < 0.999 ? stageKey : '',
  ].join('|');
  return recoloured.get(key, () => {
    const small = levelOf(reference.picture, 96);
    const clouds = [...palette.map((p) => levelOf(p.reference.picture, 96)), resampleToLongSide(stage, 96)];
    const moved = transportColours(small, clouds, [...shares, 1 - amount], { dither: 0, seed: 5 });
    const table = learnColourTable(small, moved);
    const picture = applyColourTable(reference.picture, table);
    return {
      picture,
      areas: reference.areas === reference.picture ? picture : applyColourTable(reference.areas, table),
    };
  });
}
