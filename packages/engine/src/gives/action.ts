import type { Picture, SceneBrief, TraitSheet } from '@urbild/core';
import type { Environment } from '../painter/light/environment';
import type { Stage } from '../painter/paint';
import type { RenderRequest, RequestInfluence, RequestPicture } from '../contract/request';
import type { InfluenceRemark } from '../contract/result';
import type { AreasWish } from './areas';
import type { FoundHorizon } from '../understand/horizon';
import type { FoundSubject } from '../understand/subject';

/** One picture of an influence as it was loaded. */
export interface LoadedPicture {
  readonly influence: number;
  /** Its part of the influence's weight; the parts of one influence sum to 1. */
  readonly part: number;
  readonly told: RequestPicture;
  readonly picture: Picture;
}

/** A painted stage that references are about to change. */
export interface ChangedStage {
  readonly request: RenderRequest;
  /** What every pixel shows; changed where something is set. */
  readonly labels: Uint8Array;
  /** The labels as they were painted, and as a map of areas leaves them. */
  readonly mapped: { readonly labels: Uint8Array; readonly shown: Uint8Array };
  readonly figures: Stage['figures'];
  readonly depth: () => Uint8Array;
  readonly checkpoint: () => void;
}

/** A picture with its share of the channel that its give acts on, 0..1, which is noted as applied in the moment it is asked for. */
export interface Pull extends LoadedPicture {
  readonly share: () => number;
  readonly by: RequestInfluence;
}

/** Does the same to any picture of the stage's size. */
export type StageChange = (picture: Picture) => Picture;

/**
 * How a give acts before anything is laid over the stage. What is absent it does not do: a look and a palette act in the
 * synthesis alone, by their shares.
 */
export interface GiveAction {
  /** The horizon that a picture of it asks for. */
  readonly horizon?: (told: RequestPicture, picture: Picture) => FoundHorizon | undefined;
  /** Where a picture of it wants the main subject. */
  readonly subject?: (told: RequestPicture, picture: Picture) => FoundSubject | undefined;
  /** How the areas of a picture lay out the place at a pull on the layout, 0..2; nothing for one that is a map. */
  readonly areas?: (told: RequestPicture, pull: number) => AreasWish | undefined;
  /** The light that a picture of it asks for. */
  readonly light?: (picture: Picture, brief: SceneBrief) => Environment;
  /** True where none of an influence's pictures has anything of it; `sheet` for gives that carry somebody. */
  readonly nothingIn?: (pictures: readonly LoadedPicture[], sheet: TraitSheet | undefined) => boolean;
  /** Whether it has nothing to give without a pose. */
  readonly needsPose?: true;
  /** What is wrong with a picture for this use, at the size of the request. */
  readonly remarks?: (picture: Picture, width: number, height: number) => InfluenceRemark['kind'][];
  /** Another give that a picture serves better. */
  readonly servesAs?: (picture: Picture) => 'layout' | undefined;
  /** The channel whose share decides how far the stage is changed. */
  readonly changesBy?: 'layout' | 'identity';
  /** What its pictures change of a painted stage, in the order in which it is done. */
  readonly changes?: (pulls: readonly Pull[], stage: ChangedStage) => StageChange[];
}
