import type { Lab } from '../colour/oklab';
import { fuseShapes } from './faceShape';
import { ALL_TRAITS, type Trait, type TraitName, type TraitSheet } from './types';

/** The value below which half of the weight lies, each value standing for the middle of its weight; in between, a mixture. */
function weightedMedian(pairs: readonly (readonly [value: number, weight: number])[]): number {
  const sorted = [...pairs].sort((a, b) => a[0] - b[0]);
  const half = sorted.reduce((s, p) => s + p[1], 0) / 2;
  let before: { value: number; middle: number } | undefined;
  let sum = 0;
  for (const [value, weight] of sorted) {
    const middle = sum + weight / 2;
    if (middle >= half)
      return before
        ? before.value + ((value - before.value) * (half - before.middle)) / (middle - before.middle)
        : value;
    before = { value, middle };
    sum += weight;
  }
  return before!.value;
}

/** Colours of something that may not be there: what it is, its colour, and how it is said that there is none. */
const OF_SOMETHING: readonly (readonly [of: TraitName, colour: TraitName, none: string])[] = [
  ['headwear', 'hat', 'none'],
  ['pattern', 'pattern colour', 'plain'],
];

/**
 * The traits of one character from several pictures: colours and numbers by medians weighted with their confidence, choices
 * by vote. Agreement raises the confidence, contradiction lowers it. What a person locked goes before everything.
 */
export function fuseTraits(sheets: readonly TraitSheet[], corrected: TraitSheet = {}): TraitSheet {
  const out: Partial<Record<TraitName, Trait>> = {};
  for (const name of ALL_TRAITS) {
    const set = corrected[name];
    if (set) {
      out[name] = { ...set, confidence: 1 };
      continue;
    }
    const read = sheets.flatMap((s) => s[name] ?? []).filter((t) => t.confidence > 0);
    if (!read.length) continue;
    const certainty = 1 - read.reduce((p, t) => p * (1 - 0.8 * t.confidence), 1);
    if (read[0].colour) {
      const axis = (k: number) => weightedMedian(read.map((t) => [t.colour![k], t.confidence] as const));
      const colour: Lab = [axis(0), axis(1), axis(2)];
      const spread = read.reduce((s, t) => s + Math.hypot(...t.colour!.map((v, k) => v - colour[k])), 0) / read.length;
      out[name] = { colour, confidence: certainty * Math.exp(-spread / 0.12) };
    } else if (read[0].shape) {
      out[name] = { shape: fuseShapes(read.map((t) => t.shape!)), confidence: certainty };
    } else if (read[0].number !== undefined) {
      out[name] = {
        number: weightedMedian(read.map((t) => [t.number!, t.confidence] as const)),
        confidence: certainty,
      };
    } else {
      const votes = new Map<string, number>();
      for (const t of read) votes.set(t.choice!, (votes.get(t.choice!) ?? 0) + t.confidence);
      const [choice, weight] = [...votes].sort((a, b) => b[1] - a[1])[0];
      const all = [...votes.values()].reduce((a, b) => a + b, 0);
      out[name] = { choice, confidence: certainty * (weight / all) };
    }
  }
  for (const [of, name, none] of OF_SOMETHING) if (out[of]?.choice === none && !out[name]?.locked) delete out[name];
  return out;
}
