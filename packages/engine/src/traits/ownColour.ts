import type { Lab } from '@urbild/core';

/** The colours whose own value is learnt, apart from the light that they are seen in. */
export const COLOUR_READERS = ['skin', 'upper'] as const;
export type ColourReader = (typeof COLOUR_READERS)[number];

/** What else is seen in the same light. */
export interface SeenBeside {
  readonly skin: Lab;
  readonly background: Lab;
}

/** What a reader of a colour looks at: how it looks, what is beside it, and how the picture is lit (lightStats). */
export const colourInput = (seen: Lab, { skin, background }: SeenBeside, light: readonly number[]): Float32Array =>
  Float32Array.from([...seen, ...skin, ...background, ...light]);
