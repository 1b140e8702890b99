import { clamp } from '@urbild/core';
import { alike, centred } from './alike';
import { SEGMENTS, type ItemLook, type Ridge } from './itemLook';

/** What is set off so much is found at once, OKLab; differences below are no outline, and none counts for more than the loudest. */
const CLEAR = 0.1;
const NO_OUTLINE = 0.025;
const LOUDEST = 0.3;
/** A line that is so much lighter or darker than both of its sides is plainly drawn, L; of a line along an outline at least so much is there, and so much is all of it. */
const DRAWN = { clear: 0.08, seen: 0.02, from: 0.5, all: 0.85 } as const;
/** Brings the product of three parts to a scale on which what nobody finds lies below .4: chosen on 224 items of 110 takes, some covered. */
const EVENED = 0.4;
/** What is found elsewhere by chance: the quieter third of the places, for in others something else may lie. */
const QUIET = 1 / 3;
/** The fewest places elsewhere that tell what chance draws. */
const LEAST_PLACES = 3;

/** How well an item is found again, with what it was judged by: all 0..1. */
export interface Again {
  /** How far it is set off from its ground, to how far it was. */
  readonly outline: number;
  /** How alike the order of light and dark of its parts is. */
  readonly form: number;
  /** How plainly a line is drawn along its outline. */
  readonly line: number;
  readonly found: number;
}

/**
 * How well an item can be found again in a finished picture, 0 not at all .. 1 as well as in its control: by how much more its outline sets
 * off what is inside of it than the same outline does elsewhere in the picture, where nothing lies, and by whether its parts, or what is on
 * both sides of its outline, still differ in the same places. Colours may have become others, and light may have become dark: a look does that. Among dabs that are as strong as its
 * outline, nobody finds it.
 */
export function foundAgain(control: ItemLook, take: ItemLook): Again {
  const weights = control.outline.map((v) => (v && lengthOf(v) >= NO_OUTLINE ? Math.min(CLEAR, lengthOf(v)) : 0));
  const before = Math.min(CLEAR, Math.max(NO_OUTLINE, setOff(control, weights)));
  const outline = weights.some(Boolean) ? Math.min(1, Math.max(0, setOff(take, weights)) / before) : 1;
  const form = alike(centred(control.cells), centred(take.cells));
  // a technique may set somebody off by other means than colour: then the parts tell that it is still the same
  const same = Math.max(form, alikeAlong(control.outline, take.outline, weights));
  // what is drawn as a line along its outline may be of one colour with its ground
  const line = lineAlong(take);
  return { outline, form, line, found: (Math.max(outline, line) * form * Math.max(same, line)) ** EVENED };
}

/** How alike the colours on both sides of an outline are along it, 0..1. */
function alikeAlong(a: ItemLook['outline'], b: ItemLook['outline'], weights: readonly number[]): number {
  const both = a.flatMap((own, k) => {
    const other = b[k];
    return own && other && weights[k] ? [[[...own], [...other]] as const] : [];
  });
  return alike(
    both.map(([own]) => own),
    both.map(([, other]) => other),
  );
}

/** How much farther apart the sides of an outline are than those of the same outline elsewhere, OKLab. */
function setOff({ outline, elsewhere }: ItemLook, weights: readonly number[]): number {
  const here = contrastAlong(outline, weights) ?? 0;
  return here - quiet(elsewhere.flatMap((at) => contrastAlong(at.outline, weights) ?? []));
}

/** How far apart the sides of an outline are on the mean over its segments; undefined where too few of them lie in the picture. */
function contrastAlong(segments: ItemLook['outline'], weights: readonly number[]): number | undefined {
  let [sum, shown, all] = [0, 0, 0];
  weights.forEach((weight, k) => {
    const own = segments[k];
    all += weight;
    if (!own) return;
    sum += weight * Math.min(LOUDEST, lengthOf(own));
    shown += weight;
  });
  return shown > 0.6 * all ? sum / shown : undefined;
}

/** How far an item is from its ground all around, on the mean, OKLab. */
export function contrastOf({ outline }: ItemLook): number {
  const own = outline.flatMap((v) => (v ? [lengthOf(v)] : []));
  return own.length ? own.reduce((a, b) => a + b, 0) / own.length : 0;
}

const lengthOf = (v: readonly number[]): number => Math.hypot(v[0], v[1], v[2]);

/** How plainly a line follows an outline, beyond what the same outline meets elsewhere, 0..1: dark all around, or light all around. */
function lineAlong({ lines, elsewhere }: ItemLook): number {
  const here = ridgeOf(lines);
  if (!here) return 0;
  const chance = quiet(elsewhere.flatMap((at) => ridgeOf(at.lines)?.strength ?? []));
  const drawn = (here.strength - chance) / DRAWN.clear;
  const share = (here.share - DRAWN.from) / (DRAWN.all - DRAWN.from);
  return clamp(drawn) * clamp(share);
}

/** How strong a line along an outline is on the mean, L, and along which part of it, 0..1; undefined where too little of it can be told. */
function ridgeOf(lines: Ridge): { strength: number; share: number } | undefined {
  const own = lines.flatMap((v) => (v === undefined ? [] : [Math.max(-LOUDEST, Math.min(LOUDEST, v))]));
  if (own.length < 0.6 * SEGMENTS) return undefined;
  // dark here and light there is no line: it takes its own part away
  const mean = own.reduce((a, b) => a + b, 0) / own.length;
  const along = own.filter((v) => v * Math.sign(mean) > DRAWN.seen);
  return { strength: Math.abs(mean), share: along.length / own.length };
}

/** The value that a third of the places stay below; 0 where there are too few of them: it fills the picture, and there is no elsewhere. */
function quiet(places: readonly number[]): number {
  const sorted = [...places].sort((a, b) => a - b);
  return sorted.length < LEAST_PLACES ? 0 : sorted[Math.floor(QUIET * sorted.length)];
}
