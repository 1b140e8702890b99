import { clamp, findHorizon, joinBands, resample, splitBands, type Picture } from '@urbild/core';
import { before, fillHoles } from './ground';
import type { FoundSubject } from '../understand/subject';

/**
 * A reference as a backdrop of w x h px: it covers the whole picture without being stretched, its horizon lies as near to
 * `horizon` (0..1) as its height allows, and whoever stands in it is filled in from around.
 */
export function backdropOf(
  reference: Picture,
  w: number,
  h: number,
  horizon: number,
  person: FoundSubject | undefined,
): Picture {
  const empty = person ? withoutPerson(reference, person) : reference;
  const k = Math.max(w / empty.width, h / empty.height);
  const [iw, ih] = [Math.max(w, Math.round(empty.width * k)), Math.max(h, Math.round(empty.height * k))];
  const large = resample(empty, iw, ih);
  const top = Math.round(Math.max(0, Math.min(ih - h, findHorizon(empty).at * ih - horizon * h)));
  const left = (iw - w) >> 1;
  const planes = large.planes.map((plane) =>
    Float32Array.from({ length: w * h }, (_, i) => plane[(Math.floor(i / w) + top) * iw + (i % w) + left]),
  ) as unknown as Picture['planes'];
  return { width: w, height: h, planes };
}

function withoutPerson(reference: Picture, { box }: FoundSubject): Picture {
  const { width: w, height: h } = reference;
  const hole = new Float32Array(w * h);
  for (let y = Math.max(0, Math.floor(box.top * h)); y < Math.min(h, box.bottom * h); y++)
    for (let x = Math.max(0, Math.floor(box.left * w)); x < Math.min(w, box.right * w); x++) hole[y * w + x] = 1;
  return fillHoles(reference, hole);
}

/**
 * Sets a stage before a backdrop: the picture of the place itself comes in with the share, broad forms a little first, so that
 * nothing is half transparent; what is held of the stage (0..1 a pixel) stays in front.
 */
export function setBefore(stage: Picture, hold: Float32Array, backdrop: Picture, share: number): Picture {
  const sizes = [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1].map((part) => ({
    width: Math.max(4, Math.round(stage.width * part)),
    height: Math.max(4, Math.round(stage.height * part)),
  }));
  const [from, to] = [splitBands(stage, sizes), splitBands(backdrop, sizes)];
  // a place is known long before it is whole: it comes late, so that it comes evenly
  const come = share ** 1.6;
  from.forEach((band, l) => {
    const amount = clamp((come - 0.05 * l) / (0.95 - 0.0375 * l));
    band.planes.forEach((plane, c) => {
      const other = to[l].planes[c];
      for (let i = 0; i < plane.length; i++) plane[i] += amount * (other[i] - plane[i]);
    });
  });
  return before(joinBands(from), stage, hold);
}
