import { blurPlane, clonePicture, resample, resamplePlane, smoothstep, type Box, type Picture } from '@urbild/core';
import { REGION } from '../painter/scene/region';
import type { FigureRecord } from '../painter/scene/figureRecord';

/** A thing cut out of a reference. */
export interface CutOut {
  readonly picture: Picture;
  /** 0..1 a pixel of the picture. */
  readonly alpha: Float32Array;
  readonly box: Box;
}

/** Where a thing is put, px. */
interface Spot {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A place beside the figures, on the lower part of the picture, at most a third of its height tall. */
function spotFor(w: number, h: number, aspect: number, share: number, figures: readonly FigureRecord[]): Spot {
  const height = Math.min(0.3 * h, (0.36 * w) / aspect) * (0.5 + 0.5 * Math.min(1, share));
  const width = height * aspect;
  const taken = figures.map((f) => [f.box[0], f.box[2]] as const);
  const free = (x: number) =>
    taken.reduce((s, [a, b]) => s + Math.max(0, Math.min(x + width / 2, b) - Math.max(x - width / 2, a)), 0);
  const tries = [0.72, 0.28, 0.82, 0.18, 0.6, 0.4, 0.5].map((u) => u * w);
  const x = tries.reduce((best, t) => (free(t) < free(best) - 1 ? t : best));
  return { x: Math.max(width / 2 + 2, Math.min(w - width / 2 - 2, x)), y: 0.93 * h, width, height };
}

/** Where a thing that stands in water has its foot, so that its reflection is seen below. */
const AFLOAT = 0.84;

/** True where most of the row under a spot is water. */
function standsInWater({ x, y, width }: Spot, labels: Uint8Array, w: number, h: number): boolean {
  const row = Math.min(h - 1, Math.round(y)) * w;
  let water = 0;
  let all = 0;
  for (let u = Math.max(0, Math.ceil(x - width / 2)); u < Math.min(w, x + width / 2); u++, all++)
    if (labels[row + u] === REGION.water) water++;
  return water > all / 2;
}

/**
 * Sets a thing into a painted stage: beside the figures, in the light of the stage (its shadows and the colour of its light at
 * that place), with a contact shadow, or in water with a reflection. `share` 0..1 is how large it is; below .3 it fades in. Changes `labels`: a thing is a prop.
 */
export function setThing(
  stage: Picture,
  labels: Uint8Array,
  { picture, alpha, box }: CutOut,
  share: number,
  figures: readonly FigureRecord[],
): Picture {
  const { width: w, height: h } = stage;
  const [bx, by] = [Math.floor(box.left * picture.width), Math.floor(box.top * picture.height)];
  const bw = Math.max(2, Math.round((box.right - box.left) * picture.width));
  const bh = Math.max(2, Math.round((box.bottom - box.top) * picture.height));
  const part = (plane: Float32Array) =>
    Float32Array.from({ length: bw * bh }, (_, i) => {
      const x = Math.min(picture.width - 1, bx + (i % bw));
      const y = Math.min(picture.height - 1, by + Math.floor(i / bw));
      return plane[y * picture.width + x];
    });
  const beside = spotFor(w, h, bw / bh, share, figures);
  const afloat = standsInWater({ ...beside, y: AFLOAT * h }, labels, w, h);
  const spot = afloat ? { ...beside, y: AFLOAT * h } : beside;
  const [tw, th] = [Math.max(2, Math.round(spot.width)), Math.max(2, Math.round(spot.height))];
  const cut = resample(
    { width: bw, height: bh, planes: [part(picture.planes[0]), part(picture.planes[1]), part(picture.planes[2])] },
    tw,
    th,
  );
  const a = resamplePlane(part(alpha), bw, bh, tw, th);
  const [left, top] = [Math.round(spot.x - tw / 2), Math.round(spot.y - th)];
  const out = clonePicture(stage);
  const there = smoothstep(0, 0.3, share);
  const light = lightAt(stage, left, top, tw, th);
  const lit = (j: number, c: number): number =>
    c === 0 ? (cut.planes[0][j] - 0.55) * light.contrast + 0.55 + light.lift : cut.planes[c][j] + light.tint[c - 1];
  const mix = (i: number, j: number, k: number) => {
    for (let c = 0; c < 3; c++) out.planes[c][i] += k * (lit(j, c) - out.planes[c][i]);
  };
  if (afloat) {
    // mirrored row by row, paler and more broken the farther down
    for (let y = 0; y < th && top + th + y < h; y++) {
      const sway = Math.round((0.4 + (1.2 * y) / th) * Math.sin(y * 0.9) * (w / 400));
      for (let x = 0; x < tw; x++) {
        const px = left + x + sway;
        const i = (top + th + y) * w + px;
        if (px < 0 || px >= w || labels[i] !== REGION.water) continue;
        const j = (th - 1 - y) * tw + x;
        mix(i, j, MIRRORED * there * a[j] * (1 - y / th));
      }
    }
  } else castShadow(out, spot, tw, th, there);
  for (let y = 0; y < th; y++)
    for (let x = 0; x < tw; x++) {
      const [px, py] = [left + x, top + y];
      if (px < 0 || px >= w || py < 0 || py >= h) continue;
      const k = there * a[y * tw + x];
      if (k <= 0.003) continue;
      const [i, j] = [py * w + px, y * tw + x];
      mix(i, j, k);
      if (k > 0.5) labels[i] = REGION.prop;
    }
  return out;
}

/** How strong a reflection begins. */
const MIRRORED = 0.6;

/** A contact shadow: a soft ellipse under a thing. Changes `out`. */
function castShadow(out: Picture, spot: Spot, tw: number, th: number, there: number): void {
  const { width: w, height: h } = out;
  const shadow = new Float32Array(w * h);
  for (let y = -Math.round(th * 0.09); y <= th * 0.06; y++)
    for (let x = -Math.round(tw * 0.52); x <= tw * 0.52; x++) {
      const [px, py] = [Math.round(spot.x + x), Math.round(spot.y - th * 0.02 + y)];
      if (px < 0 || px >= w || py < 0 || py >= h) continue;
      if ((x / (tw * 0.52)) ** 2 + (y / (th * 0.075)) ** 2 < 1) shadow[py * w + px] = 1;
    }
  const soft = blurPlane(shadow, w, h, Math.max(1, tw / 28));
  for (let i = 0; i < soft.length; i++) out.planes[0][i] *= 1 - 0.34 * there * soft[i];
}

/** The light of the stage around a place: how much darker, flatter and how tinted it makes things. */
function lightAt({ width: w, height: h, planes }: Picture, left: number, top: number, tw: number, th: number) {
  let count = 0;
  const mean = [0, 0, 0];
  for (let y = Math.max(0, top - th); y < Math.min(h, top + th); y += 2)
    for (let x = Math.max(0, left - tw); x < Math.min(w, left + 2 * tw); x += 2) {
      for (let c = 0; c < 3; c++) mean[c] += planes[c][y * w + x];
      count++;
    }
  const [L, A, B] = mean.map((v) => v / Math.max(1, count));
  const dark = Math.max(0, 0.58 - L);
  return { lift: -0.45 * dark, contrast: 1 - 0.5 * dark, tint: [0.22 * A, 0.22 * B] as const };
}
