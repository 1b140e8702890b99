import type { InfluenceSettings } from './influence';
import type { MixSettings } from './settings';

/** What can be an influence. */
export const SOURCE_KINDS = ['reference', 'look', 'character'] as const;
export type SourceKind = (typeof SOURCE_KINDS)[number];

/** The most influences of one mix. */
export const MAX_INFLUENCES = 24;

/** One reference, look or character in a mix. */
export interface MixInfluence extends InfluenceSettings {
  readonly id: string;
  /** What stands behind it; a reference when absent. */
  readonly of?: SourceKind;
  /** The id of the reference, look or character. */
  readonly referenceId: string;
}

/** What of a mix makes a picture. */
export interface MixState {
  readonly prompt: string;
  readonly avoid: string;
  readonly settings: MixSettings;
  readonly influences: readonly MixInfluence[];
}
