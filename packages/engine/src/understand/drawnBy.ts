import { boxPlane, CHROMA_GAIN, type Picture } from '@urbild/core';
import { darkMarks, distanceTo, thinned } from './lines/masks';
import type { Planes } from './areas/superpixels';

/** How a picture is made, as far as it decides how it is read. */
export type DrawnBy = 'lines' | 'felt pen' | 'on plain ground' | 'solids' | 'flat' | 'photograph' | 'painted';

/** What a picture's making is told by. */
export interface MakingFacts {
  /** Median of what a pixel differs from its neighbours (Immerkaer 1996), L 0..100. */
  readonly noise: number;
  /** Parts of the picture that do not change, change a little, change hard from pixel to pixel; 0..1. */
  readonly flat: number;
  readonly soft: number;
  readonly hard: number;
  /** Mean chroma, in steps as of L 0..100. */
  readonly chroma: number;
  /** The commonest colour along the frame: L, chroma, its part of the frame and of the picture. */
  readonly ground: {
    readonly lab: readonly [number, number, number];
    readonly chroma: number;
    readonly frame: number;
    readonly share: number;
  };
  /** How many coarse colours make up 95 % of it. */
  readonly colours: number;
  /** Of drawn lines: part of the picture, mean chroma, median width in px. */
  readonly lines: { readonly share: number; readonly chroma: number; readonly width: number };
  /** Part that is neither ground nor near a line. */
  readonly body: number;
  /** Part of the width over which something stands on the ground. */
  readonly spread: number;
}

/** A picture in steps that are about as large to the eye: L 0..100, a and b of OKLab times 400. */
export function evenSteps({ planes: [L, A, B] }: Picture): Planes {
  const chroma = 400 / CHROMA_GAIN;
  return [L.map((v) => v * 100), A.map((v) => v * chroma), B.map((v) => v * chroma)];
}

/** A drawing goes over more of the sheet than this; a thing before its ground stands in the middle of it. */
const SPREAD = 0.75;

/** Colours nearer than this to the ground's are ground. */
const GROUND = 9;

/** Whether a pixel is of the ground's colour. */
export const isGroundAt = (planes: Planes, lab: readonly [number, number, number], i: number): boolean =>
  Math.hypot(planes[0][i] - lab[0], planes[1][i] - lab[1], planes[2][i] - lab[2]) < GROUND;

/** Measures how a picture is made. */
export function makingOf(planes: Planes, w: number, h: number): MakingFacts {
  const soft = planes.map((p) => boxPlane(p, w, h, 1)) as unknown as Planes;
  const ground = groundOf(soft, w, h);
  const isGround = (i: number) => isGroundAt(soft, ground.lab, i);
  const changes = changesOf(soft[0], w, h);
  const marks = darkMarks(planes[0], w, h);
  const columns = new Uint8Array(w);
  let [share, chroma, all, covered] = [0, 0, 0, 0];
  for (let i = 0; i < w * h; i++) {
    const c = Math.hypot(planes[1][i], planes[2][i]);
    all += c;
    if (isGround(i)) covered++;
    else columns[i % w] = 1;
    if (!marks[i]) continue;
    share++;
    chroma += c;
  }
  const beyond = distanceTo(marks, w, h);
  let body = 0;
  for (let i = 0; i < w * h; i++) if (beyond[i] > 3 && !isGround(i)) body++;
  const n = w * h;
  return {
    noise: noiseOf(planes[0], w, h),
    ...changes,
    chroma: all / n,
    ground: { ...ground, share: covered / n },
    colours: coloursOf(soft),
    lines: { share: share / n, chroma: share ? chroma / share : 0, width: widthOf(marks, w, h) },
    body: body / n,
    spread: columns.reduce((count, v) => count + v, 0) / w,
  };
}

function noiseOf(L: Float32Array, w: number, h: number): number {
  const all: number[] = [];
  for (let y = 1; y < h - 1; y += 2)
    for (let x = 1; x < w - 1; x += 2) {
      const i = y * w + x;
      const corners = L[i - w - 1] + L[i - w + 1] + L[i + w - 1] + L[i + w + 1];
      all.push(Math.abs(corners - 2 * (L[i - w] + L[i - 1] + L[i + 1] + L[i + w]) + 4 * L[i]) / 6);
    }
  const sorted = Float32Array.from(all).sort();
  return (sorted[sorted.length >> 1] ?? 0) * 1.48;
}

function changesOf(L: Float32Array, w: number, h: number): { flat: number; soft: number; hard: number } {
  const out = { flat: 0, soft: 0, hard: 0 };
  for (let y = 1; y < h - 1; y++)
    for (let x = 1; x < w - 1; x++) {
      const i = y * w + x;
      const slope = Math.hypot(L[i + 1] - L[i - 1], L[i + w] - L[i - w]) / 2;
      if (slope < 0.35) out.flat++;
      else if (slope < 3) out.soft++;
      else if (slope > 6) out.hard++;
    }
  return { flat: out.flat / (w * h), soft: out.soft / (w * h), hard: out.hard / (w * h) };
}

/** A colour as the number of a coarse cell. */
const cellOf = ([L, A, B]: Planes, i: number, l: number, c: number): number =>
  (Math.round(L[i] / l) * 128 + Math.round(A[i] / c) + 64) * 128 + Math.round(B[i] / c) + 64;

function groundOf(planes: Planes, w: number, h: number): Omit<MakingFacts['ground'], 'share'> {
  const frame: number[] = [];
  for (let x = 0; x < w; x += 2) frame.push(x + w * 2, x + (h - 3) * w);
  for (let y = 0; y < h; y += 2) frame.push(y * w + 2, y * w + w - 3);
  const cells = new Map<number, number[]>();
  for (const i of frame) {
    const cell = cellOf(planes, i, 6, 8);
    cells.set(cell, [...(cells.get(cell) ?? []), i]);
  }
  const most = [...cells.values()].reduce((a, b) => (b.length > a.length ? b : a));
  const mean = (p: Float32Array) => most.reduce((s, i) => s + p[i], 0) / most.length;
  const lab = [mean(planes[0]), mean(planes[1]), mean(planes[2])] as const;
  const near = frame.filter((i) => isGroundAt(planes, lab, i)).length;
  return { lab, chroma: Math.hypot(lab[1], lab[2]), frame: near / frame.length };
}

function coloursOf(planes: Planes): number {
  const cells = new Map<number, number>();
  for (let i = 0; i < planes[0].length; i++) {
    const cell = cellOf(planes, i, 10, 12);
    cells.set(cell, (cells.get(cell) ?? 0) + 1);
  }
  let covered = 0;
  const sizes = [...cells.values()].sort((a, b) => b - a);
  return 1 + sizes.findIndex((n) => (covered += n) > 0.95 * planes[0].length);
}

function widthOf(marks: Uint8Array, w: number, h: number): number {
  const inside = distanceTo(
    marks.map((v) => 1 - v),
    w,
    h,
  );
  const widths: number[] = [];
  thinned(marks, w, h).forEach((v, i) => v && widths.push(inside[i] * 2 - 0.7));
  widths.sort((a, b) => a - b);
  return widths[widths.length >> 1] ?? 0;
}

/** How a picture is made: the first rule that holds. */
export function drawnBy({
  noise,
  flat,
  soft,
  hard,
  chroma,
  ground,
  colours,
  lines,
  body,
  spread,
}: MakingFacts): DrawnBy {
  const L = ground.lab[0];
  if (ground.share > 0.78 && lines.share > 0.008 && body < 0.06 && lines.width < 6 && lines.chroma < 18) return 'lines';
  const penned = lines.chroma >= 18 && lines.share > 0.06 && lines.width < 9 && spread > SPREAD;
  if (L > 88 && ground.chroma < 8 && ground.share > 0.35 && penned) return 'felt pen';
  if (L > 85 && ground.chroma < 12 && ground.frame > 0.85 && ground.share > 0.4) return 'on plain ground';
  if (chroma < 6 && colours <= 16 && noise < 0.8 && hard < 0.05) return 'solids';
  if (flat > 0.8 && soft < 0.09 && noise < 0.4) return 'flat';
  if (noise > 0.45 && hard < 0.03) return 'photograph';
  return 'painted';
}
