import { blurPlane, clamp, resamplePlane, type Picture } from '@urbild/core';

/** Sides of the band of sizes in which forms are read, in parts of the longer side: what a figure's edges are drawn within. */
const FINE = 0.8 / 96;
const COARSE = 10 / 96;
/** The longer side that the band is worked out at, px. */
const SIDE = 192;
/** A form that is hardly seen is not raised more than this. */
const MOST = 2.5;
const FLOOR = 1e-4;

/**
 * Lays the forms of the stage over a picture, whatever look it has: in the band between grain and masses the lightness goes
 * up and down where the stage's does, as strongly as the picture's own does around there (local mean and contrast are kept,
 * the structure of Wang et al. 2004 is the stage's). `amount` 0..1, less where `figures` (0..1 a pixel) are held by themselves.
 * Changes `picture`; both have one size.
 */
export function holdForm(picture: Picture, stage: Picture, amount: number, figures?: Float32Array): void {
  if (amount <= 0) return;
  const { width: w, height: h } = picture;
  const longer = Math.max(w, h);
  const k = Math.min(1, SIDE / longer);
  const [sw, sh] = [Math.max(8, Math.round(w * k)), Math.max(8, Math.round(h * k))];
  const [fine, coarse] = [FINE * longer * k, COARSE * longer * k];
  const broad = (p: Float32Array) => blurPlane(p, sw, sh, coarse);
  const band = (plane: Float32Array) => {
    const soft = blurPlane(resamplePlane(plane, w, h, sw, sh), sw, sh, fine);
    const mean = broad(soft);
    return soft.map((v, i) => v - mean[i]);
  };
  const is = band(picture.planes[0]);
  const form = band(stage.planes[0]);
  const isPower = broad(is.map((v) => v * v));
  const formPower = broad(form.map((v) => v * v));
  const change = is.map((v, i) => {
    const strength = Math.min(MOST, Math.sqrt((Math.max(0, isPower[i]) + FLOOR) / (Math.max(0, formPower[i]) + FLOOR)));
    return amount * (strength * form[i] - v);
  });
  const full = resamplePlane(change, sw, sh, w, h);
  const L = picture.planes[0];
  for (let i = 0; i < L.length; i++) L[i] = clamp(L[i] + (figures ? 1 - figures[i] : 1) * full[i]);
}
