import {
  applyGuided,
  blur,
  blurPlane,
  CHROMA_GAIN,
  clonePicture,
  createPicture,
  fitGuided,
  Random,
  resample,
  resamplePlane,
  smoothstep,
  swatchesOf,
  transportColours,
  type Picture,
} from '@urbild/core';
import { threadKernel } from '../synthesis/kernel';
import { PatchLevel } from '../synthesis/patchLevel';
import { heightsIn } from '../synthesis/places';
import type { FigureRecord } from '../painter/figures/record';
import { isFigure, REGION } from '../painter/stage/region';

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
  labels: Uint8Array,
  figures: readonly FigureRecord[],
  pulls: readonly MassPull[],
  over: number,
  seed: number,
  checkpoint: () => void,
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
  const full = upscaled(filled, stage, guide);
  const turns = turnsOf(small, w, h);
  const out = clonePicture(stage);
  out.planes.forEach((plane, c) => {
    const other = full.planes[c];
    for (let i = 0; i < plane.length; i++) {
      const at = smoothstep(0, 1, (total * (1 + EASE) - turns[i]) / EASE);
      plane[i] += at * (other[i] - plane[i]);
    }
  });
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

/** Connected areas of equal value: the area of every pixel, and their sizes. */
function connected(values: Uint8Array, w: number, h: number): { part: Int32Array; areas: number[] } {
  const part = new Int32Array(values.length).fill(-1);
  const areas: number[] = [];
  for (let first = 0; first < values.length; first++) {
    if (part[first] >= 0) continue;
    const open = [first];
    part[first] = areas.length;
    let area = 0;
    while (open.length) {
      const i = open.pop()!;
      area++;
      const x = i % w;
      for (const j of [x > 0 ? i - 1 : -1, x < w - 1 ? i + 1 : -1, i - w, i + w])
        if (j >= 0 && j < w * h && part[j] < 0 && values[j] === values[i]) {
          part[j] = areas.length;
          open.push(j);
        }
    }
    areas.push(area);
  }
  return { part, areas };
}

/** People and creatures stay, with what they hold; props and boats that stand by themselves belong to the arrangement. */
export function holdOf(labels: Uint8Array, figures: readonly FigureRecord[], w: number, h: number): Float32Array {
  const hold = Float32Array.from(labels, (l) => (isFigure(l) && l !== REGION.prop ? 1 : 0));
  for (const { box } of figures)
    for (let y = Math.max(0, Math.floor(box[1])); y < Math.min(h, box[3]); y++)
      for (let x = Math.max(0, Math.floor(box[0])); x < Math.min(w, box[2]); x++)
        if (labels[y * w + x] === REGION.prop) hold[y * w + x] = 1;
  return hold;
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

/** What the height in the picture counts when masses are filled. */
const HEIGHT = 0.08;

/** Patches of `source`, arranged as `guide` says, on one level coarse and one fine. */
function patched(source: Picture, guide: Picture, seed: number, checkpoint: () => void): Picture {
  const kernel = threadKernel();
  kernel.seed(Math.imul(seed || 1, 0x9e3779b1) >>> 0);
  const random = new Random(seed || 1);
  const { width: w, height: h } = guide;
  const level = new PatchLevel(
    kernel,
    w,
    h,
    [source],
    [blur(source, 1)],
    [heightsIn(source.width, source.height, HEIGHT)],
  );
  const [rect] = level.rects;
  for (let i = 0; i < level.field.length; i++) {
    const x = rect.x0 + Math.floor(random.next() * (rect.x1 - rect.x0));
    const y = rect.y0 + Math.floor(random.next() * (rect.y1 - rect.y0));
    level.field[i] = y * level.atlasWidth + x;
  }
  level.setGuide(guide, heightsIn(w, h, HEIGHT), new Float32Array(w * h).fill(2));
  let current = guide;
  for (let round = 0; round < 3; round++) {
    level.match(
      current,
      {
        guide: 2.2,
        texture: round ? 0.8 : 0.2,
        usage: 0.0006,
        quota: 0,
        shares: [1],
        passes: round ? 2 : 4,
        probes: 8,
        phase: round,
      },
      checkpoint,
    );
    current = level.vote(2, 1.5);
  }
  return current;
}

/** The rearranged picture at full size: its edges are those of the guide, its grain that of the stage. */
function upscaled(filled: Picture, stage: Picture, guide: Picture): Picture {
  const { width: w, height: h } = stage;
  const small = resample(guide, filled.width, filled.height);
  const fitted = applyGuided(fitGuided(small, filled, 2, 3e-4), guide);
  const direct = resample(filled, w, h);
  const soft = blur(direct, Math.max(0.8, (1.5 * w) / filled.width));
  const calm = blur(stage, Math.max(1, w / 160));
  fitted.planes.forEach((plane, c) => {
    const [d, s, g, q] = [direct.planes[c], soft.planes[c], stage.planes[c], calm.planes[c]];
    for (let i = 0; i < plane.length; i++) plane[i] += 0.8 * (d[i] - s[i]) + 0.4 * (g[i] - q[i]);
  });
  return fitted;
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
