import { shapeDistance } from './faceShape';
import { ALL_TRAITS, FACE_NUMBER_TRAITS, type Trait, type TraitName, type TraitSheet } from './types';

/**
 * How much each trait counts when two sheets are compared: by how reliably it is read. Colours are sure; the style of hair is
 * right in three of four; the numbers of a drawn face are hardly better than guesses (bench/src/traits.ts), and what is worn
 * below is seldom in sight.
 */
const WEIGHT: Readonly<Partial<Record<TraitName, number>>> = {
  ...Object.fromEntries(FACE_NUMBER_TRAITS.map((name) => [name, 0.08])),
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

/** How much a trait counts, about 0.1 to 1.6. */
export const weightOf = (name: TraitName): number => WEIGHT[name] ?? 0.3;

/** Large differences of single traits count for more than small ones of all: the exponent of the mean. */
const EXPONENT = 1.5;

/** Colours that are quite different are somebody else's; still farther ones count a little more, so that coming nearer shows. */
const farApart = (d: number): number => (d < 1 ? d : Math.min(1.5, 1 + 0.25 * (d - 1)));

/** Faces whose contours are so far apart are not one, in distances between the eyes. */
const OTHER_FACE = 0.2;

/** How far apart two values of one trait are: 0 the same .. 1 quite different, colours up to 1.5. */
export function traitApart(s: Trait, t: Trait): number {
  if (s.colour && t.colour)
    return farApart(Math.hypot(...s.colour.map((v, k) => (v - t.colour![k]) * (k ? 1.5 : 0.8))) / 0.25);
  if (s.shape && t.shape) return Math.min(1, shapeDistance(s.shape, t.shape) / OTHER_FACE);
  if (s.number !== undefined && t.number !== undefined) return Math.min(1, Math.abs(s.number - t.number) / 0.5);
  // a plait that was hardly seen contradicts nobody
  return s.choice === t.choice ? 0 : Math.min(1, 1.25 * Math.min(s.confidence, t.confidence));
}

/**
 * How far apart two trait sheets are: 0 the same person .. about 1 somebody else. Only traits that both have count, by their
 * confidence; undefined when there are none.
 */
export function traitDistance(a: TraitSheet, b: TraitSheet): number | undefined {
  let sum = 0;
  let weight = 0;
  for (const name of ALL_TRAITS) {
    const [s, t] = [a[name], b[name]];
    if (!s || !t) continue;
    const w = weightOf(name) * Math.sqrt(s.confidence * t.confidence);
    sum += w * traitApart(s, t) ** EXPONENT;
    weight += w;
  }
  return weight > 0 ? (sum / weight) ** (1 / EXPONENT) : undefined;
}

/** How much two sheets tell of each other: what the traits that both have count together; 1.6 for hair or skin that both are sure of. */
export function tellingOf(a: TraitSheet, b: TraitSheet): number {
  let weight = 0;
  for (const name of ALL_TRAITS) {
    const [s, t] = [a[name], b[name]];
    if (s && t) weight += weightOf(name) * Math.sqrt(s.confidence * t.confidence);
  }
  return weight;
}

/** What a trait costs that nobody of a crowd tells. */
const UNTOLD = 0.5;

/**
 * How far what is seen of somebody is from what is known of several people, each of whom may be known little: 0 the same .. about 1
 * somebody else. All are compared by all that is seen; what is not known of one of them, or not surely, counts as far as it is from
 * the crowd on the average, so that who is known least is nearest to nobody. Undefined where nothing is seen.
 */
export function distancesToPeople(
  seen: TraitSheet,
  people: readonly TraitSheet[],
  crowd: readonly TraitSheet[],
): number[] | undefined {
  const names = ALL_TRAITS.filter((name) => (seen[name]?.confidence ?? 0) > 0);
  const weights = names.map((name) => weightOf(name) * Math.sqrt(seen[name]!.confidence));
  const weight = weights.reduce((a, b) => a + b, 0);
  if (!(weight > 0)) return undefined;
  const usual = names.map((name) => {
    const costs = crowd.flatMap((one) => (one[name] ? [traitApart(seen[name]!, one[name]) ** EXPONENT] : []));
    return costs.length ? costs.reduce((a, b) => a + b, 0) / costs.length : UNTOLD;
  });
  return people.map((one) => {
    const cost = names.reduce((sum, name, k) => {
      const known = one[name];
      const own = known ? traitApart(seen[name]!, known) ** EXPONENT : usual[k];
      const sure = known?.confidence ?? 0;
      return sum + weights[k] * (sure * own + (1 - sure) * usual[k]);
    }, 0);
    return (cost / weight) ** (1 / EXPONENT);
  });
}
