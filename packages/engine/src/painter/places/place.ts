import { clamp, lerp } from '@urbild/core';
import type { Scene } from '../stage/scene';

/** Where people, boats and things go in a painted place; lengths in px. */
export interface Staging {
  /** Ground under the subject's feet. */
  readonly x: number;
  readonly y: number;
  /** Height of a head there. */
  readonly head: number;
  readonly depth: number;
  /** The horizon. */
  readonly horizon: number;
  /** Where a boat floats, if there is water for one. */
  readonly boat?: { readonly x: number; readonly y: number };
}

/** What of a layout overrules a place's own: parts of the height, 0..1. */
export interface LayoutHints {
  readonly horizon?: {
    readonly at: number;
    /** How far it overrules the place, 0..1. */
    readonly share: number;
  };
}

/** Paints sky, land and buildings and says where the subjects go. */
export type Place = (scene: Scene, hints: LayoutHints) => Staging;

/** The horizon of a place in px: its own part of the height unless the layout says otherwise. */
export const horizonOf = (scene: Scene, hints: LayoutHints, usual: number): number =>
  scene.height * lerp(usual, clamp(hints.horizon?.at ?? usual, 0.3, 0.68), hints.horizon?.share ?? 0);
