import type { Lab } from '@urbild/core';

/** One look at a picture of somebody: what is measured, and what is true. */
export interface TraitSample {
  /** The family of the picture, or "painter". */
  readonly family: string;
  readonly who: number;
  readonly truth: {
    /** One of SEEN_STYLES, of SEEN_HATS, yes or no, yes or no. */
    readonly style: string;
    readonly headwear: string;
    readonly beard: string;
    readonly glasses: string;
    /** One of SEEN_PATTERNS; unknown when absent. */
    readonly pattern?: string;
    readonly hair?: Lab;
    readonly skin?: Lab;
    readonly upper?: Lab;
    /** Numbers of the face in the order of FACE_NUMBERS; of painted people only. */
    readonly numbers?: readonly number[];
  };
  /** Colours as they look, by what they are of; absent where nothing of it is seen. */
  readonly seen: {
    readonly skin: Lab;
    readonly background: Lab;
    readonly hair?: Lab;
    /** Hair beside and below, as under a hat. */
    readonly underHat?: Lab;
    readonly upper?: Lab;
  };
  /** How the picture is lit: see lightStats. */
  readonly light: readonly number[];
  /** What the rules say of the hair: how far down it reaches (-1 where none hangs), its areas above, beside and below. */
  readonly hair: readonly number[];
  readonly map: readonly number[];
  readonly face: readonly number[];
  /** What is measured of the cloth; absent where too little of it is seen. */
  readonly cloth?: readonly number[];
}
