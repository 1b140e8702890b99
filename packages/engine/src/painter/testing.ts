/** What tests of the painter look at: parts of the label map, colours of regions. */
import { labToLch, pictureFromRgba, understand, type Lab, type Lch, type Medium } from '@urbild/core';
import { compose } from './compose';
import { paintStage, type PaintOptions, type Stage } from './paint';
import type { Scene } from './scene/scene';

/** Paints a prompt at a small size. */
export const painted = (prompt: string, options: Partial<PaintOptions> & { medium?: Medium } = {}): Stage =>
  paintStage(understand(prompt), { width: 160, height: 120, seed: 5, ...options });

/** Composes a prompt without painting it. */
export const composed = (prompt: string, options: Partial<PaintOptions> = {}, avoid = ''): Scene =>
  compose(understand(prompt, avoid), { width: 160, height: 120, seed: 5, ...options });

/** Part of the picture that shows one of some regions, 0..1. */
export const partOf = (s: Pick<Stage, 'labels'>, ...regions: number[]): number =>
  s.labels.filter((l) => regions.includes(l)).length / s.labels.length;

/** Number of connected patches of a region larger than `least` pixels (four neighbours). */
export function patchesOf(labels: Uint8Array, width: number, region: number, least = 6): number {
  const seen = new Uint8Array(labels.length);
  let patches = 0;
  for (let start = 0; start < labels.length; start++) {
    if (seen[start] || labels[start] !== region) continue;
    const stack = [start];
    seen[start] = 1;
    let size = 0;
    while (stack.length) {
      const i = stack.pop()!;
      size++;
      for (const j of [i - 1, i + 1, i - width, i + width])
        if (
          j >= 0 &&
          j < labels.length &&
          !seen[j] &&
          labels[j] === region &&
          Math.abs((j % width) - (i % width)) <= 1
        ) {
          seen[j] = 1;
          stack.push(j);
        }
    }
    if (size >= least) patches++;
  }
  return patches;
}

/** The median colour of a region inside a box, as painted; undefined where there are fewer than 12 pixels of it. */
export function medianColour(
  s: Stage,
  region: number,
  box?: readonly [number, number, number, number],
): Lch | undefined {
  const { planes } = pictureFromRgba(s.rgba, s.width, s.height);
  const gain = 1.6;
  const values: number[][] = [[], [], []];
  for (let i = 0; i < s.labels.length; i++) {
    const [x, y] = [i % s.width, Math.floor(i / s.width)];
    if (s.labels[i] !== region || (box && (x < box[0] || x > box[2] || y < box[1] || y > box[3]))) continue;
    planes.forEach((p, c) => values[c].push(c ? p[i] / gain : p[i]));
  }
  if (values[0].length < 12) return undefined;
  const lab = values.map((v) => v.sort((a, b) => a - b)[v.length >> 1]) as Lab;
  return labToLch(lab);
}
