import {
  applyGuided,
  blur,
  blurPlane,
  CHROMA_GAIN,
  clonePicture,
  connected,
  createPicture,
  fitGuided,
  resample,
  resamplePlane,
  smoothstep,
  swatchesOf,
  transportColours,
  type Picture,
} from '@urbild/core';
import type { FigureRecord } from '../painter/scene/figureRecord';
import { before, fillHoles, holdOf } from './ground';
import { patched, upscaled } from './patchwork';

/** Longer side at which masses are rearranged, px: they are large. */
const SIDE = 160;

/** A picture whose masses are to be taken over, at any size, and how far, 0..1. */
export interface MassPull {
  readonly picture: Picture;
  readonly share: number;
}

/**
 * Lets a painted stage take over the arrangement of references: their masses are filled with patches of the stage itself, so
 * that light stays with light and dark with dark and nothing shines through. Figures of the stage stay in front, at the place
 * that the layout gave them. `over` is the literalness, 1 or more.
 */
export function rearrange(
  stage: Picture,
  {
    labels,
    figures,
    pulls,
    over,
    seed,
    checkpoint,
  }: {
    readonly labels: Uint8Array;
    readonly figures: readonly FigureRecord[];
    readonly pulls: readonly MassPull[];
    readonly over: number;
    readonly seed: number;
    readonly checkpoint: () => void;
  },
): Picture {
  const total = Math.min(
    1,
    pulls.reduce((s, p) => s + p.share, 0),
  );
  if (total <= 0.01) return stage;
  const { width: w, height: h } = stage;
  const k = Math.min(1, SIDE / Math.max(w, h));
  const [sw, sh] = [Math.max(16, Math.round(w * k)), Math.max(16, Math.round(h * k))];
  const hold = holdOf(labels, figures, w, h);
  const ground = resample(fillHoles(stage, hold), sw, sh);
  const wanted = blendOf(pulls, w, h);
  const small = resample(wanted, sw, sh);
  // the masses in the colours of the stage: its own tones, set where the reference has them
  const moved = transportColours(small, [ground], [1], { heightWeight: 0.12 });
  const guide = applyGuided(fitGuided(small, moved, 4, 2e-4), wanted);
  checkpoint();
  const filled = patched(ground, blur(resample(guide, sw, sh), 0.8), seed, checkpoint);
  const out = changedOver(stage, upscaled(filled, stage, guide), small, total);
  drawLines(out, wanted, LINES * total + MORE_LINES * Math.min(1, over - 1));
  return before(out, stage, hold);
}

/** How strongly the fine lines of a layout follow at a whole share, and how much more where it is taken literally. */
const LINES = 0.3;
const MORE_LINES = 0.2;

/** Fine lines of the reference: only what its lightness has between broad forms and grain. Changes `out`. */
function drawLines(out: Picture, wanted: Picture, amount: number): void {
  const { width: w, height: h } = out;
  const size = Math.max(w, h);
  const fine = blurPlane(wanted.planes[0], w, h, size / 400);
  const broad = blurPlane(wanted.planes[0], w, h, size / 45);
  const L = out.planes[0];
  for (let i = 0; i < L.length; i++) L[i] = Math.min(0.98, Math.max(0.04, L[i] + amount * (fine[i] - broad[i])));
}

/** A stage that changes over to another picture, mass by mass of `masses`, as far as a share of 0..1 says. */
export function changedOver(stage: Picture, to: Picture, masses: Picture, share: number): Picture {
  const turns = turnsOf(masses, stage.width, stage.height);
  const out = clonePicture(stage);
  out.planes.forEach((plane, c) => {
    const other = to.planes[c];
    for (let i = 0; i < plane.length; i++) {
      const at = smoothstep(0, 1, (share * (1 + EASE) - turns[i]) / EASE);
      plane[i] += at * (other[i] - plane[i]);
    }
  });
  return out;
}

/** How long, in parts of the share, a mass takes to change over. */
const EASE = 0.3;

/**
 * When each pixel changes over, 0 first .. 1 last: mass by mass, the large ones first, so that at a middling share some masses
 * are there whole instead of all of them half transparent.
 */
function turnsOf(masses: Picture, w: number, h: number): Float32Array {
  const { width: mw, height: mh, planes } = masses;
  const centres = swatchesOf(masses, 7).map((s) => s.lab);
  const nearest = Uint8Array.from({ length: mw * mh }, (_, i) => {
    let best = 0;
    let least = Infinity;
    centres.forEach((lab, k) => {
      const d =
        (planes[0][i] - lab[0]) ** 2 +
        (planes[1][i] / CHROMA_GAIN - lab[1]) ** 2 +
        (planes[2][i] / CHROMA_GAIN - lab[2]) ** 2;
      if (d < least) {
        least = d;
        best = k;
      }
    });
    return best;
  });
  const { part, areas } = connected(nearest, mw, mh);
  const order = areas
    .map((area, k) => ({ area, k }))
    .sort((a, b) => b.area - a.area)
    .map(({ k }) => k);
  const rank = new Float32Array(areas.length);
  let seen = 0;
  for (const k of order) {
    rank[k] = (seen + areas[k] / 2) / (mw * mh);
    seen += areas[k];
  }
  const turn = Float32Array.from(part, (k) => rank[k]);
  return resamplePlane(blurPlane(turn, mw, mh, 1), mw, mh, w, h);
}

/** The references one over the other, each as strong as its share, softened to masses. */
function blendOf(pulls: readonly MassPull[], w: number, h: number): Picture {
  const total = pulls.reduce((s, p) => s + p.share, 0);
  const out = createPicture(w, h);
  for (const { picture, share } of pulls) {
    const scaled = resample(picture, w, h);
    out.planes.forEach((plane, c) => {
      for (let i = 0; i < plane.length; i++) plane[i] += (share / total) * scaled.planes[c][i];
    });
  }
  return blur(out, 0.8);
}
