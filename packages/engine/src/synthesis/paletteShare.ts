import type { PreparedReference } from './reference';

/** A reference and its share of the palette, 0..1. */
export interface PaletteShare {
  readonly reference: PreparedReference;
  readonly share: number;
}
