import { dilution } from './dilution';
import { drownedReferences } from './drownedReferences';
import { drownedWords } from './drownedWords';
import { notSupported } from './notSupported';
import { overLiteral } from './overLiteral';
import { spanMisses } from './spanMisses';
import { weightBeyond } from './weightBeyond';
import { wordLookClash } from './wordLookClash';
import type { Weighing } from '../types';
import type { MixWarning, WarnedMix, Warner, WarningContext } from './warning';

export * from './remark';
export * from './remarks';
export * from './lostWords';
export type { MixWarning, WarningContext, WarningKind } from './warning';

/** Every kind, in the order of its gravity. */
const WARNERS: readonly Warner[] = [
  notSupported,
  spanMisses,
  drownedWords,
  overLiteral,
  drownedReferences,
  dilution,
  weightBeyond,
  wordLookClash,
];

/** All warnings that need no pictures, in the order of their gravity. A pure function of mix and context. */
export function warningsOf(mix: Weighing, context: WarningContext = {}): MixWarning[] {
  const warned: WarnedMix = {
    mix,
    acting: mix.influences.filter((i) => i.on && i.weight > 0),
    context,
    name: (id) => context.names?.[id] ?? id,
  };
  return WARNERS.flatMap((warner) => warner(warned));
}
