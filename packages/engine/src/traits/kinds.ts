import { FACE_NUMBER_TRAITS } from '@urbild/core';
import type { HairStyle } from '../painter/people/person';

/** Ways to wear the hair that can be told apart in a picture: what is tied behind the head looks the same from the front. */
export const SEEN_STYLES = [
  'bald',
  'short',
  'tousled',
  'bowl',
  'curly',
  'tied',
  'long',
  'plait',
  'two plaits',
] as const;
export type SeenStyle = (typeof SEEN_STYLES)[number];

const SEEN: Readonly<Record<HairStyle, SeenStyle>> = {
  bald: 'bald',
  short: 'short',
  tousled: 'tousled',
  bowl: 'bowl',
  curly: 'curly',
  bun: 'tied',
  ponytail: 'tied',
  long: 'long',
  wavy: 'long',
  plait: 'plait',
  'two plaits': 'two plaits',
};

/** What a style of the painter looks like in a picture. */
export const seenStyle = (style: HairStyle): SeenStyle => SEEN[style];

/** How far the hair hangs down. */
export const HAIR_LENGTHS = ['none', 'short', 'long'] as const;
export type HairLength = (typeof HAIR_LENGTHS)[number];

const HANGING: readonly SeenStyle[] = ['long', 'plait', 'two plaits'];

/** The length of a style: none, up to the chin or tied up, or hanging to the shoulders and lower. */
export const lengthOf = (style: SeenStyle): HairLength =>
  style === 'bald' ? 'none' : HANGING.includes(style) ? 'long' : 'short';

/** Headwear that is told apart. */
export const SEEN_HATS = ['none', 'straw hat', 'beret', 'knit cap', 'flat cap', 'hat'] as const;

/** Patterns of cloth that are told apart. */
export const SEEN_PATTERNS = ['plain', 'stripes', 'checks', 'dots'] as const;

/** The numbers of a face that can be read, in the order in which they are learnt. */
export const FACE_NUMBERS = FACE_NUMBER_TRAITS;

/** Means and spreads of those numbers over the people whom the painter invents. */
const MEANS = [1.008, 0.453, 1.005, 1.311, 0.998, 0.771];
const SPREADS = [0.034, 0.231, 0.13, 0.316, 0.177, 0.224];

/** How far a reading of a face is believed: what is uncertain stays nearer to the mean face. */
export const CAUTION = 0.75;

/** Numbers of a face in spreads from their means. */
export const inSpreads = (numbers: ArrayLike<number>): number[] =>
  MEANS.map((mean, k) => (numbers[k] - mean) / SPREADS[k]);

/** The inverse of {@link inSpreads}. */
export const fromSpreads = (spreads: ArrayLike<number>): number[] =>
  MEANS.map((mean, k) => mean + spreads[k] * SPREADS[k]);
