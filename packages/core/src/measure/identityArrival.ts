import { clamp } from '../maths/scalar';
import { distancesToPeople, traitDistance } from '../traits/apart';
import { STRANGERS } from '../traits/strangers';
import type { TraitName, TraitSheet } from '../traits/types';

/** Nearer than all others by so much, nobody else can be meant; and from the first distance up to the second somebody is like themselves. */
const AHEAD = 0.08;
const UNLIKE = 0.72;
const LIKE = 0.46;

/** Sheets that are nearer to each other than this are of one person. */
const DOUBLE = 0.06;

/** How well somebody is told from everybody else in a picture. */
export interface IdentityArrival {
  /** 0 somebody else, or anybody .. 1 nobody else can be meant. */
  readonly value: number;
  /** Place among all people that are known, 1 the nearest. */
  readonly rank: number;
  /** Of so many. */
  readonly of: number;
}

/** A stranger as well known as somebody is: no better, or who is known little would never be told from a crowd that is known well. */
const knownAs = (stranger: TraitSheet, own: TraitSheet): TraitSheet =>
  Object.fromEntries(
    Object.entries(stranger).flatMap(([name, trait]) => {
      const known = own[name as TraitName];
      return known ? [[name, { ...trait, confidence: known.confidence }]] : [];
    }),
  );

/**
 * Whether what is seen of somebody is the person of a sheet: by how much that person is nearer to it than everybody else, and how near at
 * all. `others` are other people who could be meant; a crowd of strangers always is among them. Undefined where too little is seen.
 */
export function identityArrival(
  seen: TraitSheet,
  own: TraitSheet,
  others: readonly TraitSheet[] = [],
): IdentityArrival | undefined {
  // who is in the cast twice is nobody else
  const rivals = others.filter((other) => (traitDistance(other, own) ?? Infinity) > DOUBLE);
  const everybody = [own, ...rivals, ...STRANGERS.map((stranger) => knownAs(stranger, own))];
  const distances = distancesToPeople(seen, everybody, STRANGERS);
  if (!distances) return undefined;
  const [distance, ...rest] = distances;
  const ahead = clamp((Math.min(...rest) - distance) / AHEAD);
  const like = clamp((UNLIKE - distance) / (UNLIKE - LIKE));
  return { value: ahead * like, rank: 1 + rest.filter((d) => d < distance).length, of: everybody.length };
}
