import type { Picture } from '@urbild/core';
import type { MatchHelper } from './tiles';
import type { Subject } from './holdSubject';
import type { PatchKernel } from './kernel';
import type { SynthesisPlan } from './plan';
import type { StageMedium } from './stageMedium';

/** A picture of an influence, with its part of the influence's weight (parts of one influence sum to 1). */
export interface ReferenceInput {
  readonly influence: number;
  readonly part: number;
  /** SHA-256 or another name of the content, for the caches. */
  readonly content: string;
  readonly picture: Picture;
  /** How large its marks and motifs come out, .5..1.5; 1 as they are against the whole of it. */
  readonly motif?: number;
  /** Where a person put the horizon, 0..1. */
  readonly horizon?: number;
}

/** What synthesis starts from. */
export interface SynthesisInput {
  readonly stage: Picture;
  /** Draws the same stage in another medium; without it the stage's own medium serves every look. */
  readonly stageIn?: (medium: StageMedium) => Picture;
  readonly labels?: Uint8Array;
  /** Everybody who must be seen, whatever lies over them; made when they are needed. */
  readonly subjects?: () => readonly Subject[];
  /** Names the stage in the caches. */
  readonly stageKey: string;
  readonly references: readonly ReferenceInput[];
  readonly plan: SynthesisPlan;
  /** How strictly the forms that the words asked for hold, 0..1; .5 usual. */
  readonly strictness?: number;
  readonly seed: number;
  readonly kernel?: PatchKernel;
  /** Matches half of large pictures meanwhile. */
  readonly helper?: MatchHelper;
  /** Called often; throws to stop. */
  readonly checkpoint: () => void;
  /** Called at every step with a picture of the state, at any size. */
  readonly onStep: (name: string, fraction: number, picture: Picture) => void;
}
