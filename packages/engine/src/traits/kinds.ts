import type { HairStyle } from '../painter/figures/person';

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

/** The numbers of a face that can be read, in the order in which they are learnt. */
export const FACE_NUMBERS = [
  'face width',
  'jaw',
  'eye size',
  'brow thickness',
  'nose length',
  'mouth fullness',
] as const;
