import { AXES } from './english/axes';
import { COLOUR_WORDS, PATTERN_WORDS, SHADE_WORDS } from './english/colours';
import { CREATURE_WORDS } from './english/creatures';
import { GARMENT_WORDS } from './english/clothes';
import { COUNT_WORDS, DISTANCE_WORDS, RELATION_WORDS, SIDE_WORDS } from './english/grammar';
import {
  ACTION_WORDS,
  CAST_WORDS,
  EXPRESSION_WORDS,
  FEATURE_WORDS,
  HAIR_COLOUR_WORDS,
  IRREGULAR_PLURALS,
  PERSON_WORDS,
  TRAIT_WORDS,
  VIEW_WORDS,
  WORD_COUNTS,
} from './english/people';
import { PLACE_WORDS } from './english/places';
import { HAND_WORDS, THING_WORDS } from './english/things';
import type { Lines } from './english/words';
import { plainForms, type Token } from './tokens';

/** All words that are understood: axis -> value -> words. */
export const VOCABULARY = {
  ...AXES,
  place: PLACE_WORDS,
  cast: CAST_WORDS,
  person: PERSON_WORDS,
  ...TRAIT_WORDS,
  feature: FEATURE_WORDS,
  'hair colour': HAIR_COLOUR_WORDS,
  garment: GARMENT_WORDS,
  // a studio's own words, in outfits.ts
  outfit: {},
  expression: EXPRESSION_WORDS,
  action: ACTION_WORDS,
  view: VIEW_WORDS,
  creature: CREATURE_WORDS,
  thing: THING_WORDS,
  hand: { hand: HAND_WORDS },
  colour: COLOUR_WORDS,
  shade: SHADE_WORDS,
  pattern: PATTERN_WORDS,
  relation: RELATION_WORDS,
  side: SIDE_WORDS,
  distance: DISTANCE_WORDS,
  count: COUNT_WORDS,
} satisfies Record<string, Lines>;

export type Axis = keyof typeof VOCABULARY;

/** What a word stands for. */
export interface Meaning {
  readonly axis: Axis;
  readonly value: string;
}

/** A phrase found at a place in the text. */
export interface Found {
  /** Number of tokens. */
  readonly count: number;
  readonly meanings: readonly Meaning[];
  readonly plural: boolean;
  /** How many the word means by itself: a couple, a family. */
  readonly number?: number;
  /** The word is a verb form in -ing. */
  readonly doing: boolean;
}

const PHRASES = new Map<string, Meaning[]>();
let longest = 1;
for (const [axis, lines] of Object.entries(VOCABULARY) as [Axis, Lines][])
  for (const [value, words] of Object.entries(lines))
    for (const word of words) {
      const key = word.replace(/-/g, ' ').replace(/'s\b/g, ' s');
      PHRASES.set(key, [...(PHRASES.get(key) ?? []), { axis, value }]);
      longest = Math.max(longest, key.split(' ').length);
    }

const PLURALS: ReadonlySet<string> = new Set(IRREGULAR_PLURALS);

/** Number of different words and phrases that are understood. */
export const VOCABULARY_SIZE = PHRASES.size;

/** Whether a word is the plural of a plain form that it was found by: boats, fishermen. */
const isPlural = (word: string, form: string): boolean =>
  (/s$/.test(word) && !/ss$/.test(word)) || (/men$/.test(word) && /man$/.test(form));

/** The longest phrase of the vocabulary that starts at token `at`, if any. */
export function lookUp(tokens: readonly Token[], at: number): Found | undefined {
  for (let count = Math.min(longest, tokens.length - at); count >= 1; count--) {
    const slice = tokens.slice(at, at + count);
    if (slice.some((t) => t.mark)) continue;
    const words = slice.map((t) => t.word);
    const last = words[count - 1];
    const variants: [key: string, form: string][] = [[words.join(' '), last]];
    for (const form of plainForms(last)) variants.push([[...words.slice(0, -1), form].join(' '), form]);
    if (count > 1) for (const form of plainForms(words[0])) variants.push([[form, ...words.slice(1)].join(' '), last]);
    for (const [key, form] of variants) {
      const meanings = PHRASES.get(key);
      if (meanings) {
        const plural = PLURALS.has(key) || (form !== last && isPlural(last, form));
        return {
          count,
          meanings,
          plural,
          number: WORD_COUNTS[last] ?? WORD_COUNTS[form],
          doing: last.endsWith('ing') && form !== last,
        };
      }
    }
  }
  return undefined;
}

/** The meaning of a phrase on an axis. */
export const on = (found: Found, axis: Axis): string | undefined => found.meanings.find((m) => m.axis === axis)?.value;
