import type { Lab } from '../colour/oklab';
import { CHOICE_TRAITS, COLOUR_TRAITS, NUMBER_TRAITS, type Trait, type TraitName, type TraitSheet } from './types';

const ALL: readonly TraitName[] = [...COLOUR_TRAITS, ...NUMBER_TRAITS, ...CHOICE_TRAITS];

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

/**
 * The traits of one character from several pictures: colours and numbers by medians weighted with their confidence, choices
 * by vote. Agreement raises the confidence, contradiction lowers it. What a person locked goes before everything.
 */
export function fuseTraits(sheets: readonly TraitSheet[], corrected: TraitSheet = {}): TraitSheet {
  const out: Partial<Record<TraitName, Trait>> = {};
  for (const name of ALL) {
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
  return out;
}

/**
 * How much each trait counts when two sheets are compared: by how reliably it is read. Colours are sure; the style of hair is
 * right in three of four; the numbers of a drawn face are hardly better than guesses (bench/src/traits.ts), and what is worn
 * below is seldom in sight.
 */
const WEIGHT: Readonly<Partial<Record<TraitName, number>>> = {
  ...Object.fromEntries(NUMBER_TRAITS.map((name) => [name, 0.08])),
  hair: 1.6,
  skin: 1.6,
  upper: 0.9,
  'hair style': 0.4,
  'hair length': 0.4,
  lower: 0.1,
  beard: 0.8,
  headwear: 0.4,
  eyes: 0.4,
};

/** Large differences of single traits count for more than small ones of all: the exponent of the mean. */
const EXPONENT = 1.5;

/** Colours that are quite different are somebody else's; still farther ones count a little more, so that coming nearer shows. */
const farApart = (d: number): number => (d < 1 ? d : Math.min(1.5, 1 + 0.25 * (d - 1)));

/**
 * How far apart two trait sheets are: 0 the same person .. about 1 somebody else. Only traits that both have count, by their
 * confidence; undefined when there are none.
 */
export function traitDistance(a: TraitSheet, b: TraitSheet): number | undefined {
  let sum = 0;
  let weight = 0;
  for (const name of ALL) {
    const [s, t] = [a[name], b[name]];
    if (!s || !t) continue;
    const w = (WEIGHT[name] ?? 0.3) * Math.sqrt(s.confidence * t.confidence);
    const d =
      s.colour && t.colour
        ? farApart(Math.hypot(...s.colour.map((v, k) => (v - t.colour![k]) * (k ? 1.5 : 0.8))) / 0.25)
        : s.number !== undefined && t.number !== undefined
          ? Math.min(1, Math.abs(s.number - t.number) / 0.5)
          : s.choice === t.choice
            ? 0
            : // a plait that was hardly seen contradicts nobody
              Math.min(1, 1.25 * Math.min(s.confidence, t.confidence));
    sum += w * d ** EXPONENT;
    weight += w;
  }
  return weight > 0 ? (sum / weight) ** (1 / EXPONENT) : undefined;
}

/** How much two sheets tell of each other: what the traits that both have count together; 1.6 for hair or skin that both are sure of. */
export function tellingOf(a: TraitSheet, b: TraitSheet): number {
  let weight = 0;
  for (const name of ALL) {
    const [s, t] = [a[name], b[name]];
    if (s && t) weight += (WEIGHT[name] ?? 0.3) * Math.sqrt(s.confidence * t.confidence);
  }
  return weight;
}

/** How well the pictures of a character agree. */
export interface Agreement {
  /** 0..1 */
  readonly agreement: number;
  /** Index of the picture that falls out, and how far off it is against the others' usual distance. */
  readonly odd?: { readonly index: number; readonly times: number };
}

/** Whether pictures show one character, by their trait sheets; the odd one is named when it is far off. */
export function agreementOf(sheets: readonly TraitSheet[]): Agreement {
  const n = sheets.length;
  if (n < 2) return { agreement: 1 };
  const off = sheets.map((s, i) => {
    const distances = sheets.flatMap((t, j) => (i === j ? [] : (traitDistance(s, t) ?? [])));
    return distances.length ? distances.sort((a, b) => a - b)[distances.length >> 1] : 0;
  });
  const mean = off.reduce((a, b) => a + b, 0) / n;
  // a picture that could hardly be read (a profile, a small face) is no witness against itself
  const sureness = sheets.map((s) => {
    const all = Object.values(s).map((t) => t.confidence);
    return all.reduce((a, b) => a + b, 0) / Math.max(1, all.length);
  });
  const surest = Math.max(...sureness) || 1;
  sureness.forEach((s, i) => (off[i] *= s / surest));
  const index = off.indexOf(Math.max(...off));
  const others = off.filter((_, i) => i !== index);
  const usual = others.reduce((a, b) => a + b, 0) / Math.max(1, others.length);
  const times = off[index] / Math.max(usual, 0.06);
  return {
    agreement: Math.max(0, 1 - 1.6 * mean),
    ...(n > 2 && times > 1.6 && off[index] > 0.3 ? { odd: { index, times } } : {}),
  };
}
