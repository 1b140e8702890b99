import type { Person } from '../painter/people/person';
import { FACE_NUMBERS, lengthOf, seenStyle, type HairLength, type SeenStyle } from './kinds';

/** What is true of a painted person, in the terms of what can be read. For tests and measuring only. */
export interface TraitTruth {
  readonly style: SeenStyle;
  readonly length: HairLength;
  readonly numbers: Readonly<Record<string, number>>;
  /** The numbers of the mean face that the painter invents. */
  readonly mean: Readonly<Record<string, number>>;
}

/** The numbers of a face in the order of FACE_NUMBERS. */
export const numbersOf = ({ face, eyes, brow, nose, mouth }: Person): number[] => [
  face.width,
  face.jaw,
  eyes.size,
  brow.thickness,
  nose.length,
  mouth.fullness,
];

/** Means over 400 invented people. */
const MEAN = [1.007, 0.484, 0.988, 1.343, 1.002, 0.74];

const named = (values: readonly number[]) => Object.fromEntries(FACE_NUMBERS.map((name, k) => [name, values[k]]));

/** The truth about a painted person. */
export function traitTruth(person: Person): TraitTruth {
  const style = seenStyle(person.hair.style);
  return { style, length: lengthOf(style), numbers: named(numbersOf(person)), mean: named(MEAN) };
}
