import { clamp, lerp } from '@urbild/core';
import type { PoseHint } from '../people/personPlace';
import type { Scene } from '../scene/scene';
import type { AreasHint } from './areasHint';

/** Where people, boats and things go in a painted place; lengths in px. */
export interface Staging {
  /** Ground under the subject's feet. */
  readonly x: number;
  readonly y: number;
  /** Height of a grown person's head there. */
  readonly head: number;
  readonly depth: number;
  /** The horizon. */
  readonly horizon: number;
  /** How far the ground reaches to both sides; the whole width when absent. */
  readonly left?: number;
  readonly right?: number;
  /** Where the place has something that must not be covered, px across. */
  readonly keepOut?: readonly number[];
  /** Where a boat floats, if there is water for one. */
  readonly boat?: { readonly x: number; readonly y: number };
  /** The ground ends at the subject's feet: who sits there lets the legs hang. */
  readonly edge?: boolean;
  /** In a room: where the wall meets the floor. */
  readonly wall?: number;
  /** The sill of a window. */
  readonly sill?: { readonly x: number; readonly y: number };
  /** A surface for small things: a table of the place's own. */
  readonly table?: { readonly x: number; readonly y: number };
}

/** What of a layout overrules a place's own: parts of the width and height, 0..1. */
export interface LayoutHints {
  readonly horizon?: {
    readonly at: number;
    /** How far it overrules the place, 0..1. */
    readonly share: number;
  };
  /** Middle of the subject's feet and its height, and how far they overrule the place. */
  readonly subject?: { readonly x: number; readonly y: number; readonly height: number; readonly share: number };
  /** Areas of a reference that the place is laid out by. */
  readonly areas?: AreasHint;
  /** How the first person is held. */
  readonly pose?: PoseHint;
  /** How far the first person has gone from its place, in parts of the width, and where in its stride it is, 0..1. */
  readonly stride?: { readonly dx: number; readonly phase: number; readonly left: boolean };
}

/** What a place has to know of the picture. */
export interface Setting {
  readonly hints: LayoutHints;
  /** Somebody stands there: decks and jetties are needed. */
  readonly onFoot: boolean;
  /** Things that the words name: the place leaves out its own. */
  readonly named: ReadonlySet<string>;
}

/** Paints sky, land and buildings and says where the subjects go. */
export type Place = (scene: Scene, setting: Setting) => Staging;

/** The horizon of a place in px: its own part of the height unless the layout says otherwise. */
export const horizonOf = (scene: Scene, { hints }: Setting, usual: number): number =>
  scene.height * lerp(usual, clamp(hints.horizon?.at ?? usual, 0.3, 0.68), hints.horizon?.share ?? 0);
