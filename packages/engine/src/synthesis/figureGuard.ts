import { blurPlane, clonePicture, levelOf, resamplePlane, smoothstep, type Picture } from '@urbild/core';
import { planeOf, REGION, regionTable } from '../painter/scene/region';
import type { PaletteShare } from './paletteShare';
import { softEdge } from './softEdge';

/** How far the colours of a region are held, 0..1: faces most, then what a person is known by. */
const HOLD = regionTable({
  [REGION.skin]: 0.9,
  [REGION.eye]: 0.9,
  [REGION.hair]: 0.7,
  [REGION.garment]: 0.7,
  [REGION.animal]: 0.7,
  [REGION.prop]: 0.5,
});

/** How far skin keeps its hue family where a look has colours, but none of that family. */
const SKIN_KEEPS = 0.7;
/** How much of a look's own marks is taken off skin, so that they do not cross a face. */
const CALM = 0.5;
const CALMED = regionTable({ [REGION.skin]: CALM, [REGION.eye]: CALM });

/** Takes part of the marks off the skin: between the matched picture and what it was to look like. Changes `picture`. */
export function calmSkin(picture: Picture, guide: Picture, labels: Uint8Array): void {
  const { width: w, height: h } = picture;
  const skin = planeOf(labels, CALMED);
  const mask = blurPlane(skin, w, h, softEdge(w, h));
  for (let c = 0; c < 3; c++) {
    const [p, q] = [picture.planes[c], guide.planes[c]];
    for (let i = 0; i < mask.length; i++) p[i] += mask[i] * (q[i] - p[i]);
  }
}

/** How far every pixel is held, softened by about a pixel so that no edge shows. */
export function holdMask(labels: Uint8Array, width: number, height: number): Float32Array {
  return blurPlane(planeOf(labels, HOLD), width, height, softEdge(width, height));
}

/** Chroma in OKLab with the chroma gain from which on a pixel has a hue, and the cosine to a hue that is of its family: 45 degrees. */
const HAS_HUE = 0.045;
const OF_FAMILY = 0.7;
/** Families of hues round the circle. */
const FAMILIES = 12;
/** The part of a reference from which on it surely has a hue. */
const SHOWS_HUE = 0.012;
/** Mean chroma of a reference without colours, and of one that surely has some. */
const COLOURFUL = [0.02, 0.06] as const;
/** Below this nothing is held; above `SURELY_SKIN` nothing but skin and eyes is. */
const HARDLY_HELD = 0.02;
const SURELY_SKIN = 0.8;
/** The part of its own chroma that a figure keeps even where a look is nearly grey. */
const KEEPS_CHROMA = 0.75;

/**
 * Part of the picture in which a palette has colours of the same hue family (within 45 degrees), 0..1: whether a look
 * can show that hue at all.
 */
function huePart({ planes: [, a, b] }: Picture, hueA: number, hueB: number): number {
  const length = Math.sqrt(hueA * hueA + hueB * hueB) || 1;
  let inside = 0;
  for (let i = 0; i < a.length; i++) {
    const chroma = Math.sqrt(a[i] * a[i] + b[i] * b[i]);
    if (chroma > HAS_HUE && (a[i] * hueA + b[i] * hueB) / (chroma * length) > OF_FAMILY) inside++;
  }
  return inside / a.length;
}

const meanChroma = ({ planes: [, a, b] }: Picture): number => {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += Math.sqrt(a[i] * a[i] + b[i] * b[i]);
  return sum / a.length;
};

/**
 * People and creatures keep the hue family of their own colours under the light of the palette: lightness is the
 * palette's, hue and chroma go back towards the stage's as far as the references have such hues at all. Changes `moved`.
 */
export function keepHues(
  stage: Picture,
  moved: Picture,
  mask: Float32Array,
  palette: readonly PaletteShare[],
  checkpoint = () => {},
): void {
  const total = palette.reduce((s, p) => s + p.share, 0);
  if (total <= 0) return;
  const small = palette.map((p) => ({ share: p.share / total, areas: levelOf(p.reference.areas, 96) }));
  const able = Array.from({ length: FAMILIES }, (_, k) => {
    const angle = ((k + 0.5) / FAMILIES) * 2 * Math.PI - Math.PI;
    return small.reduce(
      (s, p) => s + p.share * smoothstep(0, SHOWS_HUE, huePart(p.areas, Math.cos(angle), Math.sin(angle))),
      0,
    );
  });
  // skin keeps something of its hue under any look that has colours at all
  const colourful = small.reduce(
    (s, p) => s + p.share * smoothstep(COLOURFUL[0], COLOURFUL[1], meanChroma(p.areas)),
    0,
  );
  const [, a0, b0] = stage.planes;
  const [, a1, b1] = moved.planes;
  for (let i = 0; i < mask.length; i++) {
    if (i % 0x8000 === 0) checkpoint();
    if (mask[i] < HARDLY_HELD) continue;
    const family = Math.floor(((Math.atan2(b0[i], a0[i]) + Math.PI) / (2 * Math.PI)) * FAMILIES) % FAMILIES;
    const k = mask[i] * (mask[i] > SURELY_SKIN ? Math.max(able[family], SKIN_KEEPS * colourful) : able[family]);
    const chroma = Math.hypot(a0[i], b0[i]) || 1e-6;
    // not more colourful than the look would have it, unless the look is nearly grey just here
    const wanted = Math.min(chroma, Math.max(KEEPS_CHROMA * chroma, Math.hypot(a1[i], b1[i])));
    a1[i] += k * ((a0[i] / chroma) * wanted - a1[i]);
    b1[i] += k * ((b0[i] / chroma) * wanted - b1[i]);
  }
}

/**
 * After matching, the broad colours of figures are brought back to those of the guide; strokes stay. Returns a new
 * picture.
 */
export function holdFigures(picture: Picture, guide: Picture, mask: Float32Array, strength: number): Picture {
  const { width: w, height: h } = picture;
  const out = clonePicture(picture);
  const [hw, hh] = [Math.max(1, w >> 1), Math.max(1, h >> 1)];
  const sigma = Math.max(0.7, Math.max(w, h) / 512);
  for (let c = 0; c < 3; c++) {
    const difference = new Float32Array(w * h);
    const [wanted, is] = [guide.planes[c], picture.planes[c]];
    for (let i = 0; i < difference.length; i++) difference[i] = (wanted[i] - is[i]) * mask[i];
    const broad = resamplePlane(blurPlane(resamplePlane(difference, w, h, hw, hh), hw, hh, sigma), hw, hh, w, h);
    const plane = out.planes[c];
    for (let i = 0; i < plane.length; i++) plane[i] += strength * broad[i];
  }
  return out;
}

/** Regions that are of one colour: skin, hair, fur. Garments may be striped. */
const EVEN: readonly number[] = [REGION.skin, REGION.hair, REGION.animal];
/** How far, in OKLab with the chroma gain, one place of such a region may be moved otherwise than the whole of it. */
const UNEVEN = 0.05;

/**
 * A palette has to put its accents somewhere, but not as a patch on hair or a cheek: where the hue of a place was moved far
 * otherwise than that of its whole region, the excess is taken back. Changes `moved`.
 */
export function evenHues(stage: Picture, moved: Picture, labels: Uint8Array): void {
  for (const region of EVEN) {
    const sum = [0, 0];
    let count = 0;
    for (let i = 0; i < labels.length; i++)
      if (labels[i] === region) {
        count++;
        for (let c = 0; c < 2; c++) sum[c] += moved.planes[c + 1][i] - stage.planes[c + 1][i];
      }
    if (!count) continue;
    const [meanA, meanB] = [sum[0] / count, sum[1] / count];
    for (let i = 0; i < labels.length; i++) {
      if (labels[i] !== region) continue;
      const a = moved.planes[1][i] - stage.planes[1][i] - meanA;
      const b = moved.planes[2][i] - stage.planes[2][i] - meanB;
      const far = Math.sqrt(a * a + b * b);
      if (far <= UNEVEN) continue;
      const k = 1 - UNEVEN / far;
      moved.planes[1][i] -= k * a;
      moved.planes[2][i] -= k * b;
    }
  }
}

/** Broad chroma, OKLab with the chroma gain, by which matched marks may miss what they were to show. */
const STRAY = 0.03;
/** What is broad: a blur in px of 512, at half of the picture's size. */
const STRAY_BREADTH = 2.5;

/**
 * A small accent of a reference - its red sun, its one lit window - is no colour for whatever lies nearest to it: where the broad
 * hue of the matched picture strays from the guide's, the excess is taken back; nearly all of it where `figures` (0..1 a pixel)
 * are held. `strength` 0..1. Changes `picture`.
 */
export function takeStraysBack(
  picture: Picture,
  guide: Picture,
  strength: number,
  figures: Float32Array | undefined,
): void {
  if (strength <= 0) return;
  const { width: w, height: h } = picture;
  const [hw, hh] = [Math.max(1, w >> 1), Math.max(1, h >> 1)];
  const sigma = Math.max(1, (STRAY_BREADTH * Math.max(w, h)) / 512);
  const [a, b] = [1, 2].map((c) => {
    const [wanted, is] = [guide.planes[c], picture.planes[c]];
    const difference = wanted.map((v, i) => v - is[i]);
    return resamplePlane(blurPlane(resamplePlane(difference, w, h, hw, hh), hw, hh, sigma), hw, hh, w, h);
  });
  const [, A, B] = picture.planes;
  for (let i = 0; i < a.length; i++) {
    const far = Math.sqrt(a[i] * a[i] + b[i] * b[i]);
    const free = STRAY * (1 - (figures?.[i] ?? 0));
    if (far <= free) continue;
    const k = strength * (1 - free / far);
    A[i] += k * a[i];
    B[i] += k * b[i];
  }
}
