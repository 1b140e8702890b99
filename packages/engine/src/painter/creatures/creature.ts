import type { Action, Lch } from '@urbild/core';
import type { Kit } from '../scene/kit';

/** How a creature is drawn: colours, what it does. */
export interface CreatureLook {
  /** The colour that the words name. */
  readonly colour?: Lch;
  readonly action?: Action;
  /** A scarf about the neck. */
  readonly scarf?: Lch;
}

/** A kind of creature: facing right, feet on (0, 0), 1 unit tall. */
export interface CreatureDrawing {
  /** Heads of a grown person. */
  readonly height: number;
  /** Width against the height. */
  readonly width: number;
  readonly lives: 'ground' | 'water' | 'air';
  paint(kit: Kit, look: CreatureLook): void;
}

export const EYE: Lch = [0.16, 0.02, 40];
