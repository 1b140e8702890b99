import type { Gives } from '../../mix/gives';
import type { Fix } from '../applyFix';
import type { Influence, Weighing } from '../types';
import type { RemarkKind } from './remark';

export type WarningKind =
  | 'drowned-words'
  | 'lost-words'
  | 'drowned-reference'
  | 'dilution'
  | 'over-literal'
  | 'span-misses'
  | 'weight-beyond'
  | 'not-supported'
  | 'word-look-clash'
  | RemarkKind;

/** Something about a mix that a person should know before time is spent. */
export interface MixWarning {
  readonly kind: WarningKind;
  /** The influences it is about; empty when it is about the whole mix. */
  readonly influences: readonly string[];
  /** The cause, as a sentence. */
  readonly cause: string;
  readonly fix?: Fix;
}

/** What is known of a mix besides its numbers. */
export interface WarningContext {
  /** Names to speak of influences by; their id otherwise. */
  readonly names?: Readonly<Record<string, string>>;
  /** What the engine can draw from; all when absent. */
  readonly supported?: readonly Gives[];
  /** The medium that the words ask for, if any. */
  readonly wordMedium?: string;
  /** The medium of a look, by influence id, where it is known. */
  readonly mediumOf?: Readonly<Record<string, string>>;
}

/** What every kind of warning looks at. */
export interface WarnedMix {
  readonly mix: Weighing;
  /** The influences that are on and weigh something. */
  readonly acting: readonly Influence[];
  readonly context: WarningContext;
  /** What an influence is called, by its id. */
  readonly name: (id: string) => string;
}

/** One kind of warning: what it finds, in the order of the influences. */
export type Warner = (warned: WarnedMix) => MixWarning[];

/** A share as a person reads it. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;
/** A weight to two digits, as it is set. */
export const toHundredths = (x: number): number => Math.round(x * 100) / 100;
