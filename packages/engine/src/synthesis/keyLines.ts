import { blurPlane, resamplePlane, type Picture } from '@urbild/core';
import { contourLines } from './detail';
import type { Source } from './source';
import type { SynthesisPlan } from './plan';

/** Thin structure of a look, as {@link measureRidges} has it, that is no line work yet, and how much more is all of it. */
const LINE_WORK = { none: 0.03, range: 0.04 };
/** Below this the lines are not worth drawing. */
const HARDLY = 0.05;
/** A look whose weaker kind of line has this part of the stronger one draws in both: dark on light and light on dark. */
const IN_BOTH = 0.75;
/** Half of a contour's width in px of 512. */
const HALF_WIDTH = 1.5;
/** Coverage below which a pixel is left alone. */
const UNSEEN = 0.02;
/** How far around the ground is judged that decides between a dark and a light line, in px of 2048 at a quarter of the size. */
const GROUND = 3;

/** Looks that live by their lines get contours of the stage in their own line colour, as strong as they are heard. Changes `guide`. */
export function drawKeyLines(guide: Picture, stage: Picture, strokes: readonly Source[], plan: SynthesisPlan): void {
  const finest = plan.levels[plan.levels.length - 1];
  const weights = strokes.map((s) => finest.surface[s.influence] * s.part);
  const total = weights.reduce((a, b) => a + b, 0);
  if (total <= 0) return;
  const mean = (value: (s: Source) => number) =>
    strokes.reduce((sum, s, i) => sum + (weights[i] / total) * value(s), 0);
  const dark = mean((s) => s.reference.ridges.dark);
  const light = mean((s) => s.reference.ridges.light);
  const amount =
    Math.min(1, Math.max(0, (Math.max(dark, light) - LINE_WORK.none) / LINE_WORK.range)) * Math.min(1, total);
  if (amount <= HARDLY) return;
  const both = Math.min(dark, light) / Math.max(dark, light) > IN_BOTH;
  const lines = contourLines(stage, HALF_WIDTH);
  const inks = ([0, 1, 2] as const).map((c) => [
    mean((s) => s.reference.extremes.dark[c]),
    mean((s) => s.reference.extremes.light[c]),
  ]);
  const { width: w, height: h } = guide;
  const [sw, sh] = [Math.max(1, w >> 2), Math.max(1, h >> 2)];
  const soft = resamplePlane(
    blurPlane(resamplePlane(guide.planes[0], w, h, sw, sh), sw, sh, (GROUND * Math.max(w, h)) / 2048 + 0.5),
    sw,
    sh,
    w,
    h,
  );
  const middle = 0.5 * (inks[0][0] + inks[0][1]);
  for (let i = 0; i < lines.length; i++) {
    const a = Math.min(1, amount * lines[i]);
    if (a < UNSEEN) continue;
    const ink = both ? (soft[i] < middle ? 1 : 0) : dark >= light ? 0 : 1;
    for (let c = 0; c < 3; c++) guide.planes[c][i] += a * (inks[c][ink] - guide.planes[c][i]);
  }
}
