import { blur, blurPlane, resample, resamplePlane, type Picture } from '@urbild/core';
import { isFigure } from '../painter/scene/region';

/** The long side, in px, at which detail is looked for. */
const DETAIL_SIDE = 320;
/** What local contrast is judged against, in px of 512: the mean of this far around. */
const SURROUND = 4;
/** Local contrast, a distance in OKLab with the chroma gain, that is no detail yet, and how much more is all of it. */
const CONTRAST = { none: 0.015, range: 0.07 };
/** Blurs of the contrast and of the finished mask, in px of 512. */
const CONTRAST_SOFT = 1.2;
const MASK_SOFT = 0.8;
/** Figures are detail at least this much. */
const FIGURE_DETAIL = 0.6;
/** Blur before contours are looked for, in px of 512. */
const CONTOUR_SOFT = 0.8;
/** A colour gradient over 2 px of 512 that is no edge yet, and how much more is a full one. */
const EDGE = { none: 0.05, range: 0.1 };
/** A blurred line one pixel wide is as high as 1 / (sigma sqrt(2 pi)); this brings it back to four fifths of full coverage. */
const COVERAGE = 1.6;

/**
 * Where a stage has fine forms that must survive, 0..1 per pixel: local contrast, and every figure. `labels` is the
 * stage's label map at its own size.
 */
export function detailMask(stage: Picture, labels?: Uint8Array): Float32Array {
  const scale = Math.min(1, DETAIL_SIDE / Math.max(stage.width, stage.height));
  const w = Math.max(1, Math.round(stage.width * scale));
  const h = Math.max(1, Math.round(stage.height * scale));
  const small = resample(stage, w, h);
  const k = Math.max(w, h) / 512;
  const soft = blur(small, SURROUND * k);
  const contrast = new Float32Array(w * h);
  for (let c = 0; c < 3; c++)
    for (let i = 0; i < contrast.length; i++) contrast[i] += (small.planes[c][i] - soft.planes[c][i]) ** 2;
  const mask = blurPlane(contrast.map(Math.sqrt), w, h, CONTRAST_SOFT * k).map((v) =>
    Math.min(1, Math.max(0, (v - CONTRAST.none) / CONTRAST.range)),
  );
  if (labels)
    for (let y = 0; y < h; y++)
      for (let x = 0; x < w; x++) {
        const label =
          labels[
            Math.min(stage.height - 1, Math.floor(y / scale)) * stage.width +
              Math.min(stage.width - 1, Math.floor(x / scale))
          ];
        if (isFigure(label)) mask[y * w + x] = Math.max(mask[y * w + x], FIGURE_DETAIL);
      }
  return resamplePlane(blurPlane(mask, w, h, MASK_SOFT * k), w, h, stage.width, stage.height);
}

/**
 * Contour lines from the colour edges of a stage: coverage 0..1 per pixel, about `halfWidth` px of 512 wide. Edges are
 * maxima of the colour gradient along its direction (Di Zenzo 1986, thinned as by Canny 1986).
 */
export function contourLines(stage: Picture, halfWidth: number): Float32Array {
  const { width: w, height: h } = stage;
  const k = Math.max(w, h) / 512;
  const soft = blur(stage, CONTOUR_SOFT * k);
  const n = w * h;
  const strength = new Float32Array(n);
  const dirX = new Float32Array(n);
  const dirY = new Float32Array(n);
  for (let y = 1; y < h - 1; y++)
    for (let x = 1; x < w - 1; x++) {
      const i = y * w + x;
      let xx = 0;
      let yy = 0;
      let xy = 0;
      for (const p of soft.planes) {
        const gx = p[i + 1] - p[i - 1];
        const gy = p[i + w] - p[i - w];
        xx += gx * gx;
        yy += gy * gy;
        xy += gx * gy;
      }
      const angle = 0.5 * Math.atan2(2 * xy, xx - yy);
      dirX[i] = Math.cos(angle);
      dirY[i] = Math.sin(angle);
      strength[i] = Math.sqrt(xx + yy);
    }
  const edges = new Float32Array(n);
  for (let y = 2; y < h - 2; y++)
    for (let x = 2; x < w - 2; x++) {
      const i = y * w + x;
      if (strength[i] < EDGE.none / k) continue;
      const step = Math.round(dirX[i]) + Math.round(dirY[i]) * w;
      if (strength[i] >= strength[i + step] && strength[i] >= strength[i - step])
        edges[i] = Math.min(1, (strength[i] * k - EDGE.none) / EDGE.range);
    }
  const sigma = halfWidth * k;
  return blurPlane(edges, w, h, sigma).map((v) => Math.min(1, v * sigma * COVERAGE));
}

/** The part of a reference that counts as its subject, unless it is taken literally. */
const SUBJECT_PART = 0.14;
/** The long side, in px, at which a subject is looked for, and how far around structure is judged there. */
const SUBJECT_SIDE = 192;
const SUBJECT_SURROUND = 3;

/**
 * What of a reference is its subject rather than its surface: the most structured seventh of the picture, judged over
 * about 20 px of 512. 1 per pixel where patches may be taken, 0 on the subject.
 */
export function surfaceArea(reference: Picture): Uint8Array {
  const scale = Math.min(1, SUBJECT_SIDE / Math.max(reference.width, reference.height));
  const w = Math.max(1, Math.round(reference.width * scale));
  const h = Math.max(1, Math.round(reference.height * scale));
  const small = resample(reference, w, h);
  const soft = blur(small, SUBJECT_SURROUND);
  const contrast = new Float32Array(w * h);
  for (let c = 0; c < 3; c++)
    for (let i = 0; i < contrast.length; i++) contrast[i] += (small.planes[c][i] - soft.planes[c][i]) ** 2;
  const structure = blurPlane(contrast.map(Math.sqrt), w, h, SUBJECT_SURROUND);
  const limit = Float32Array.from(structure).sort()[Math.floor(structure.length * (1 - SUBJECT_PART))];
  const full = resamplePlane(structure, w, h, reference.width, reference.height);
  return Uint8Array.from(full, (v) => (v <= limit ? 1 : 0));
}
