import { PATTERNS, type Lab } from '@urbild/core';
import { secondOf } from './clothes/patterns';
import type { Cloth } from './person';
import { isRuled, mixedColour, ruling, type Pull } from './pull';

/** What references say of one cloth. */
export interface ClothPulls {
  readonly colour: readonly Pull<Lab>[];
  /** "plain", or one of PATTERNS. */
  readonly pattern: readonly Pull<string>[];
  /** The second colour of a pattern. */
  readonly second: readonly Pull<Lab>[];
}

/** A cloth as references pull on it; one whose colour they rule is plain unless they tell a pattern. */
export function pulledCloth<C extends Cloth>(own: C, { colour, pattern, second }: ClothPulls): C {
  const dyed = { ...own, colour: mixedColour(own.colour, colour) };
  if (!pattern.length && !isRuled(colour)) return dyed;
  const plain = { ...dyed, pattern: undefined, second: undefined };
  const told = pattern.length ? ruling(own.pattern ?? 'plain', pattern) : 'plain';
  const known = PATTERNS.find((p) => p === told);
  if (!known) return plain;
  return { ...plain, pattern: known, second: mixedColour(own.second ?? secondOf(plain), second) };
}
