import { smoothstep } from '@urbild/core';
import type { HairSeen } from './hairSeen';
import { HAIR_LENGTHS, lengthOf, type HairLength, type SeenStyle } from './kinds';

/** How hair is worn, each with how sure that is, 0..1. */
export interface WornHair {
  readonly style: SeenStyle;
  readonly styleSure: number;
  readonly length: HairLength;
  readonly lengthSure: number;
}

/** Hair below the chin, in squares of the distance from eyes to chin: up to the first it hangs nowhere, from the second on it is long. */
const HANGS = [0.03, 0.45] as const;
/** Who has more hair than this, in the same measure, is hardly bald. */
const SOME = 0.35;
/** How much what is found counts beside what was learnt, where it stands out clearly. */
const FOUND = 0.6;

/**
 * How hair is worn: what was learnt (odds of the styles) and, where the hair was found in the picture, how much of it hangs below the chin.
 * The style is the likeliest of those of that length.
 */
export function wornHair(styles: readonly SeenStyle[], odds: ArrayLike<number>, hair?: HairSeen): WornHair {
  const learnt = Object.fromEntries(HAIR_LENGTHS.map((l) => [l, 0])) as Record<HairLength, number>;
  styles.forEach((style, k) => (learnt[lengthOf(style)] += odds[k]));
  const part = hair ? FOUND * hair.clear : 0;
  const long = hair ? smoothstep(...HANGS, hair.below) : 0;
  const none = learnt.none * (hair && hair.above + hair.beside > SOME ? 0.5 : 1);
  const some = 1 - learnt.none;
  const chances: Record<HairLength, number> = {
    none,
    short: (1 - part) * learnt.short + part * some * (1 - long),
    long: (1 - part) * learnt.long + part * some * long,
  };
  const all = chances.none + chances.short + chances.long || 1;
  const length = HAIR_LENGTHS.reduce((best, l) => (chances[l] > chances[best] ? l : best));
  const own = styles.flatMap((style, k) => (lengthOf(style) === length ? [k] : []));
  const k = own.reduce((best, n) => (odds[n] > odds[best] ? n : best), own[0]);
  const lengthSure = chances[length] / all;
  return { style: styles[k], styleSure: (lengthSure * odds[k]) / (learnt[length] || 1), length, lengthSure };
}
