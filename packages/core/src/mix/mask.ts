/** A painted mask: grey, white where something acts. */
export interface Mask {
  /** SHA-256 of its picture, which was sent before, in hexadecimal digits. */
  readonly content: string;
  readonly invert: boolean;
  /** Width of the soft edge in parts of the longer side, 0..0.1. */
  readonly feather: number;
}

/** A mask with the fields that it has, and no others. */
export const plainMask = ({ content, invert, feather }: Mask): Mask => ({ content, invert, feather });

/** The widest soft edge of a mask, in parts of the longer side. */
export const WIDEST_FEATHER = 0.1;
/** The soft edge of a mask where none is said. */
export const USUAL_FEATHER = 0.008;
