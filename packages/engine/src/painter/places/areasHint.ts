import type { Lch, SeenKind } from '@urbild/core';
import type { Path } from '../geometry/point';

/** An area of a reference that becomes a part of the place; lengths are parts of the width and height, 0..1. */
export interface AreaHint {
  readonly kind: SeenKind;
  /** Its outline, and those of its holes. */
  readonly outlines: readonly Path[];
  /** Part of the picture. */
  readonly share: number;
  /** How light it is against others of its kind, in L: what it keeps of its own tone. */
  readonly tone: number;
  /** A gable of a building; a door or window within one; the crown or the stem of a tree. */
  readonly part?: 'roof' | 'opening' | 'crown' | 'stem';
  /** Which building or tree it belongs to: parts of one are painted alike. */
  readonly group: number;
  /** Its number among all of its kind, the largest first: 0 .. */
  readonly nth: number;
  /** Its own colour, at its top and at its foot. */
  readonly colours: readonly [top: Lch, foot: Lch];
  /** Strokes that follow its forms in its local colours; the width of a stroke is a part of the width of the picture. */
  readonly strokes: readonly { readonly path: Path; readonly width: number; readonly colour: Lch }[];
}

/** A place that is laid out by the areas of a reference. */
export interface AreasHint {
  readonly areas: readonly AreaHint[];
  /** How far they have taken the place over, 0..1: large ones come first. */
  readonly share: number;
  /** How far they keep their own colours, 0..1; for the rest they take those that the place has for their kind. */
  readonly ownColours: number;
  /** Nobody and nothing of the words stands in it: the reference itself is drawn. */
  readonly alone: boolean;
  /** Drawn lines in their own ink; those of somebody are told apart. */
  readonly lines: readonly {
    readonly path: Path;
    readonly width: number;
    readonly colour: Lch;
    readonly of?: 'person';
  }[];
  /** The horizon, if it was seen. */
  readonly horizon?: number;
}
