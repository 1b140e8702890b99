import type { Lch } from '@urbild/core';
import type { Kit } from '../scene/kit';

/** A kind of thing: its foot on (0, 0), 1 unit tall. */
export interface ThingDrawing {
  /** Heads of a grown person (who is five heads tall). */
  readonly height: number;
  /** Width against the height. */
  readonly width: number;
  /** Where it belongs; on the ground if absent. */
  readonly stands?: 'water' | 'air' | 'wall' | 'table';
  /** Size in a hand against the usual. */
  readonly inHand?: number;
  /** Heads from the hand down to its foot, where it is held upright. */
  readonly gripAt?: number;
  /** Height of a surface to sit or stand on, 0..1. */
  readonly top?: number;
  /** Where on it somebody sits, against its height, from its middle. */
  readonly seatAt?: number;
  paint(kit: Kit, colour?: Lch): void;
}

export const WOOD: Lch = [0.5, 0.065, 60];
export const DARK_WOOD: Lch = [0.36, 0.045, 52];
export const IRON: Lch = [0.33, 0.015, 260];
export const BRASS: Lch = [0.72, 0.11, 82];
export const PAPER: Lch = [0.95, 0.022, 88];
export const STONE: Lch = [0.6, 0.02, 250];
export const FLAME: Lch = [0.93, 0.13, 85];
export const GLOW: Lch = [0.84, 0.13, 72];
export const LEAF: Lch = [0.52, 0.11, 140];
