import type { Lab } from '@urbild/core';
import { colourGap, commonColour } from './features';
import { placeOf, type HeadField } from './headField';
import type { HeadParts } from './headParts';

/** Clothes below a head, as they are found in a picture. */
export interface ClothSeen {
  readonly colour: Lab;
  /** The part of what is seen of them that has that colour, 0..1. */
  readonly part: number;
}

/** Where the upper clothes are: below the neck, as far as the shoulders reach, in distances from eyes to chin. */
const UPPER = { from: 1.75, to: 3.5, beside: 1.3 } as const;
/** So many cells at least, and so near to one another, OKLab. */
const LEAST = 40;
const NEAR = 0.06;

/** The colour of the upper clothes: what of the figure below the neck is neither skin nor hair. Undefined where too little is in the picture. */
export function clothSeen(field: HeadField, skin: Lab, { cloth }: HeadParts): ClothSeen | undefined {
  const own = field.lab.flatMap((c, k) => {
    const [a, b] = placeOf(field, k);
    const there = b > UPPER.from && b < UPPER.to && Math.abs(a) < UPPER.beside && cloth[k] > 0.5;
    return there && colourGap(c, skin) > NEAR ? [c] : [];
  });
  if (own.length < LEAST) return undefined;
  const some = own.filter((_, k) => k % Math.ceil(own.length / 240) === 0);
  const colour = commonColour(some);
  return { colour, part: some.filter((c) => colourGap(c, colour) < NEAR).length / some.length };
}
