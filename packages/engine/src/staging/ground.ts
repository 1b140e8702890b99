import { blurPlane, clonePicture, resamplePlane, type Picture } from '@urbild/core';
import type { FigureRecord } from '../painter/scene/figureRecord';
import { isFigure, REGION } from '../painter/scene/region';

/** People and creatures stay, with what they hold; props and boats that stand by themselves belong to the arrangement. */
export function holdOf(labels: Uint8Array, figures: readonly FigureRecord[], w: number, h: number): Float32Array {
  const hold = Float32Array.from(labels, (l) => (isFigure(l) && l !== REGION.prop ? 1 : 0));
  for (const { box } of figures)
    for (let y = Math.max(0, Math.floor(box[1])); y < Math.min(h, box[3]); y++)
      for (let x = Math.max(0, Math.floor(box[0])); x < Math.min(w, box[2]); x++)
        if (labels[y * w + x] === REGION.prop) hold[y * w + x] = 1;
  return hold;
}

/** A picture with the parts where `hole` is 1 filled from around them, from coarse to fine. */
export function fillHoles(picture: Picture, hole: Float32Array): Picture {
  const { width: w, height: h } = picture;
  const wide = blurPlane(hole, w, h, Math.max(w, h) / 300);
  const open = wide.map((v) => (v > 0.04 ? 0 : 1));
  if (open.every((v) => v === 1)) return picture;
  const out = clonePicture(picture);
  let known = open;
  for (const part of [1 / 200, 1 / 60, 1 / 20, 1 / 7]) {
    const [qw, qh] = [Math.max(8, w >> 2), Math.max(8, h >> 2)];
    const sigma = (part * Math.max(w, h)) / 4;
    const weight = resamplePlane(blurPlane(resamplePlane(known, w, h, qw, qh), qw, qh, sigma), qw, qh, w, h);
    const next = known.slice();
    for (let c = 0; c < 3; c++) {
      const plane = out.planes[c];
      const sum = resamplePlane(
        blurPlane(
          resamplePlane(
            plane.map((v, i) => v * known[i]),
            w,
            h,
            qw,
            qh,
          ),
          qw,
          qh,
          sigma,
        ),
        qw,
        qh,
        w,
        h,
      );
      for (let i = 0; i < plane.length; i++)
        if (!known[i] && weight[i] > 0.05) {
          plane[i] = sum[i] / weight[i];
          next[i] = 1;
        }
    }
    known = next;
  }
  return out;
}

/** Puts what is held of a stage before another ground. Changes `ground`. */
export function before(ground: Picture, stage: Picture, hold: Float32Array): Picture {
  const { width: w, height: h } = stage;
  const alpha = blurPlane(hold, w, h, Math.max(0.5, Math.max(w, h) / 900));
  ground.planes.forEach((plane, c) => {
    const own = stage.planes[c];
    for (let i = 0; i < plane.length; i++) plane[i] += alpha[i] * (own[i] - plane[i]);
  });
  return ground;
}
