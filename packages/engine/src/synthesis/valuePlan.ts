import { blurPlane, clamp, resamplePlane, type Picture } from '@urbild/core';
import { isFigure, planeOf, REGION, regionTable } from '../painter/scene/region';
import type { Extremes } from './ridges';
import { softEdge } from './softEdge';

const SKIN = regionTable({ [REGION.skin]: 1, [REGION.eye]: 1 });

/** Skin lies at least this far up between the darkest and the lightest tone of a look: dark skin, light skin. */
const SKIN_LOW = 0.38;
const SKIN_HIGH = 0.72;
/** Lightness by which a figure stands off from what is around it, in parts of the look's range of tones. */
const APART = 0.11;
/** A look's range of tones counts as at least this, in L of OKLab. */
const LEAST_RANGE = 0.1;
/** Parts of the picture: what is too small to be planned for, and the least band around it whose tone is worth knowing. */
const LEAST_FIGURE = 0.002;
const LEAST_SKIN = 0.001;
const LEAST_BAND = 0.01;
/** A figure that is this much darker than its surroundings, in parts of the range, is moved on into the dark. */
const DARKER = 0.02;
/** How near to the darkest tone a figure may be moved, in parts of the range. */
const FLOOR = 0.15;
/** L of the darkest skin of a stage, and how much lighter the lightest is. */
const SKIN_TONES = { darkest: 0.25, range: 0.5 };
/** The part of the range, from the dark end, over which a tone takes part in a lift more and more. */
const DARK_STAYS = 0.5;
/** What is within a band around the figures, of their blurred mask. */
const IN_BAND = 0.08;

/**
 * The value plan of a recoloured stage: skin is lifted into the lighter half of the look's tones, and a figure that has the
 * tone of its surroundings is moved away from it. Changes `guide`; `amount` 0..1 is how far the look rules the colours.
 */
export function planValues(guide: Picture, stage: Picture, labels: Uint8Array, looks: Extremes, amount: number): void {
  const { width: w, height: h } = guide;
  const L = guide.planes[0];
  const [low, range] = [looks.dark[0], Math.max(LEAST_RANGE, looks.light[0] - looks.dark[0])];
  const mask = new Float32Array(L.length);
  let skin = 0;
  let is = 0;
  let was = 0;
  let figure = 0;
  let figureTone = 0;
  for (let i = 0; i < L.length; i++) {
    if (labels[i] === REGION.skin) {
      skin++;
      is += L[i];
      was += stage.planes[0][i];
    }
    if (!isFigure(labels[i])) continue;
    figure++;
    figureTone += L[i];
    mask[i] = 1;
  }
  if (figure < L.length * LEAST_FIGURE) return;
  const soft = blurPlane(mask, w, h, Math.max(0.7, Math.max(w, h) / 400));
  let shift = 0;
  const around = ringTone(L, mask, w, h);
  if (around !== undefined) {
    const gap = figureTone / figure - around;
    const wanted = APART * range;
    // away from the tone around it, on the side where it is already, light where it is on neither
    if (Math.abs(gap) < wanted) shift = (gap < -DARKER * range ? -1 : 1) * (wanted - Math.abs(gap));
  }
  if (shift < 0 && figureTone / figure + shift < low + FLOOR * range) shift = 0;
  const skinTone = skin ? is / skin : 0;
  const own = skin ? Math.min(1, Math.max(0, (was / skin - SKIN_TONES.darkest) / SKIN_TONES.range)) : 0;
  const least = low + range * (SKIN_LOW + (SKIN_HIGH - SKIN_LOW) * own);
  const lift = skin > L.length * LEAST_SKIN ? Math.max(0, least - skinTone - Math.max(0, shift)) : 0;
  const skinMask = blurPlane(planeOf(labels, SKIN), w, h, softEdge(w, h));
  const top = looks.light[0];
  for (let i = 0; i < L.length; i++) {
    // what is dark in a figure stays dark: only its middle and light tones are moved up
    const moved = shift > 0 ? shift * clamp((L[i] - low) / (DARK_STAYS * range)) : shift;
    const by = amount * (soft[i] * moved + skinMask[i] * lift);
    if (by) L[i] = by > 0 ? Math.max(L[i], Math.min(top, L[i] + by)) : L[i] + by;
  }
}

/** Mean tone of a band around the figures; undefined where they fill the picture. */
function ringTone(L: Float32Array, mask: Float32Array, w: number, h: number): number | undefined {
  const [qw, qh] = [Math.max(8, w >> 2), Math.max(8, h >> 2)];
  const small = blurPlane(resamplePlane(mask, w, h, qw, qh), qw, qh, Math.max(w, h) / 112);
  const wide = resamplePlane(small, qw, qh, w, h);
  let sum = 0;
  let count = 0;
  for (let i = 0; i < L.length; i++)
    if (!mask[i] && wide[i] > IN_BAND) {
      sum += L[i];
      count++;
    }
  return count > L.length * LEAST_BAND ? sum / count : undefined;
}
