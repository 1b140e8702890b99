import { clamp } from '../maths/scalar';
import type { Box } from '../mask/salience';
import type { TextSpan } from '../prompt/brief';

/** Somebody, something, a colour, a weather or a time of the words, looked for in a finished picture. */
export interface FoundWord extends TextSpan {
  /** The axis and value, e.g. "creature: heron". */
  readonly means: string;
  /** How well it can be found again: 0 not at all .. 1 as well as without references. */
  readonly found: number;
  /** Where it stands, with a little of what is around it: parts of width and height. */
  readonly box?: Box;
}

/** Below this nobody finds it who does not know that it should be there. */
export const LOST_BELOW = 0.4;

/** True for a word of which nothing is left that anybody would find. */
export const isLost = ({ found }: Pick<FoundWord, 'found'>): boolean => found < LOST_BELOW;

/** True for a word that names a colour of somebody or something, or the light of a time: a look may well take them. */
const isOfColour = ({ means }: Pick<FoundWord, 'means'>): boolean => /^((hair )?colour|time): /.test(means);

/**
 * How much of who and what the words name can still be found in a picture, 0..1: the mean over them. Undefined where the words name
 * nobody and nothing that could be looked for. Without references it is 1. Colours and times are told one by one: a look may well take them.
 */
export function wordsKept(words: readonly FoundWord[]): number | undefined {
  const who = words.filter((word) => !isOfColour(word));
  if (!who.length) return undefined;
  return clamp(who.reduce((sum, { found }) => sum + found, 0) / who.length);
}
