import { CHROMA_GAIN, signedDistance, type Picture } from '@urbild/core';
import { figuresIn, headOf, maskOfItem } from '../painter/scene/figureMasks';
import { REGION } from '../painter/scene/region';
import { isFigure } from '../painter/scene/items';
import type { SceneSeen } from '../painter/scene/seen';

/** How well one figure can be seen in a take, each part of what its control shows, 0..1. */
export interface FigureHold {
  /** What sets it off from what is around it. */
  readonly contrast: number;
  /** Part of its outline that can still be seen. */
  readonly outline: number;
  /** What sets its head off; absent where there is none to speak of. */
  readonly head?: number;
  /** What sets its eyes off from the skin; absent where they are too small. */
  readonly eyes?: number;
}

/** A figure of less than this part of a picture is not judged. */
const LEAST = 0.004;
/** Steps of an outline round its middle; a step with fewer pixels on one side is not judged. */
const STEPS = 24;
const LEAST_PIXELS = 3;
/** The bands on both sides of an outline, px of 512: from and to so many. */
const BAND = { from: 1, to: 4 } as const;
/** What stands out so much is seen at once, OKLab: more need not be kept. What stands out less than the second has no outline. */
const CLEAR = 0.15;
const NO_OUTLINE = 0.04;
/** An outline is seen where so much of what set it off is left. */
const SEEN = 0.5;
/** The fewest pixels of eyes, and of a head: smaller ones nobody can look into. */
const LEAST_EYES = 12;
const LEAST_HEAD = 900;

type Colour = readonly [number, number, number];

/** Holds the figures of a take against those of its control; both have the size of the scene. */
export function subjectHold(seen: SceneSeen, labels: Uint8Array, control: Picture, take: Picture): FigureHold[] {
  const { width, height } = seen;
  const figures = figuresIn(seen);
  return seen.items.flatMap((item): FigureHold[] => {
    if (!isFigure(item) || item.held || item.pixels < LEAST * width * height) return [];
    const mask = maskOfItem(item, seen);
    const whole = along(mask, seen, control, take);
    const figure = figures.find((f) => f?.item === item && item.kind === 'person');
    const all = figure && headOf(mask, labels, figure.record, width);
    const head = all && all.reduce((n, v) => n + v, 0) >= LEAST_HEAD ? all : undefined;
    const onHead = head && along(head, seen, control, take);
    return [
      {
        contrast: whole?.contrast ?? 1,
        outline: whole?.outline ?? 1,
        ...(onHead && { head: onHead.contrast }),
        ...(head && eyes(head, labels, control, take)),
      },
    ];
  });
}

/** The least of what is held of all figures; undefined where there is none. */
export const leastHold = (holds: readonly FigureHold[]): number | undefined =>
  holds.length ? Math.min(...holds.flatMap((h) => Object.values(h) as number[])) : undefined;

/** What sets a mask off along its outline, in a take as in its control. */
function along(
  mask: Uint8Array,
  { width, height }: SceneSeen,
  control: Picture,
  take: Picture,
): { contrast: number; outline: number } | undefined {
  const k = Math.max(1, Math.max(width, height) / 512);
  const [from, to] = [Math.round(BAND.from * k), Math.round(BAND.to * k)];
  const far = signedDistance(mask, width, height, to);
  let [sx, sy, n] = [0, 0, 0];
  mask.forEach((v, i) => {
    if (!v) return;
    sx += i % width;
    sy += Math.floor(i / width);
    n++;
  });
  const steps = Array.from({ length: STEPS }, (): Step => ({ in: [], out: [], line: [] }));
  far.forEach((d, i) => {
    if (Math.abs(d) > to) return;
    const turn = Math.atan2(Math.floor(i / width) - sy / n, (i % width) - sx / n) / (2 * Math.PI) + 1;
    const step = steps[Math.floor((turn % 1) * STEPS) % STEPS];
    if (Math.abs(d) <= from) step.line.push(i);
    else step[d > 0 ? 'in' : 'out'].push(i);
  });
  let [sum, visible, all] = [0, 0, 0];
  for (const step of steps) {
    if (step.in.length < LEAST_PIXELS || step.out.length < LEAST_PIXELS) continue;
    const was = setOff(control, step);
    if (was < NO_OUTLINE) continue;
    const kept = Math.min(1, setOff(take, step) / Math.min(was, CLEAR));
    all++;
    sum += kept;
    if (kept >= SEEN) visible++;
  }
  return all ? { contrast: sum / all, outline: visible / all } : undefined;
}

/** A step round an outline: the pixels inside of it, outside of it, and on it. */
interface Step {
  readonly in: number[];
  readonly out: number[];
  readonly line: number[];
}

/** What sets the inside of a step off: another colour than outside, or a line between them that both are far from. */
function setOff(picture: Picture, step: Step): number {
  const [within, without] = [mean(picture, step.in), mean(picture, step.out)];
  const between = apart(within, without);
  if (!step.line.length) return between;
  const line = mean(picture, step.line);
  return Math.max(between, Math.min(apart(line, within), apart(line, without)));
}

function eyes(head: Uint8Array, labels: Uint8Array, control: Picture, take: Picture): { eyes?: number } {
  const [eye, skin]: number[][] = [[], []];
  head.forEach((v, i) => {
    if (v && labels[i] === REGION.eye) eye.push(i);
    if (v && labels[i] === REGION.skin) skin.push(i);
  });
  if (eye.length < LEAST_EYES || skin.length < LEAST_EYES) return {};
  const was = apart(mean(control, eye), mean(control, skin));
  return was < NO_OUTLINE ? {} : { eyes: Math.min(1, apart(mean(take, eye), mean(take, skin)) / Math.min(was, CLEAR)) };
}

function mean({ planes }: Picture, pixels: readonly number[]): Colour {
  const of = (c: number) => pixels.reduce((s, i) => s + planes[c][i], 0) / pixels.length / (c ? CHROMA_GAIN : 1);
  return [of(0), of(1), of(2)];
}

const apart = (a: Colour, b: Colour): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
