import { warningsOf, type Gives, type MixWarning } from '@urbild/core';
import type { Mix, MixInfluence, Reference, Take } from '../../api/client';
import type { Hue } from '../../theme/kinds';

/** What a reference gives at first, by its kind, with the weight and span that people found to work. */
const FIRST: Readonly<Record<Reference['kind'], Pick<MixInfluence, 'gives' | 'weight' | 'from' | 'to'>>> = {
  style: { gives: 'look', weight: 0.8, from: 0, to: 1 },
  image: { gives: 'everything', weight: 0.4, from: 0, to: 0.5 },
  character: { gives: 'palette', weight: 0.4, from: 0, to: 0.6 },
  face: { gives: 'palette', weight: 0.3, from: 0, to: 0.6 },
};

/** A new influence for a reference. */
export const newInfluence = (reference: Reference): MixInfluence => ({
  id: crypto.randomUUID().slice(0, 8),
  referenceId: reference.id,
  reading: 'normal',
  on: true,
  ...FIRST[reference.kind],
});

/** The spans that one key sets. */
export const READY_SPANS = [
  { key: 'w', name: 'whole', from: 0, to: 1 },
  { key: 'e', name: 'early', from: 0, to: 0.25 },
  { key: 'l', name: 'late', from: 0.5, to: 1 },
] as const;

export const round = (x: number, digits = 2): number => Math.round(x * 10 ** digits) / 10 ** digits;
export const percent = (x: number): string => `${Math.round(x * 100)} %`;

/** Kinds and titles of the references of a mix, by influence id. */
export interface Lookup {
  readonly reference: (influence: MixInfluence) => Reference | undefined;
  readonly name: (influence: MixInfluence) => string;
  readonly hue: (influence: MixInfluence) => Hue;
}

export function lookupIn(references: readonly Reference[]): Lookup {
  const byId = new Map(references.map((r) => [r.id, r]));
  return {
    reference: (i) => byId.get(i.referenceId),
    name: (i) => byId.get(i.referenceId)?.title ?? 'A reference that was put away',
    hue: (i) => byId.get(i.referenceId)?.kind ?? 'image',
  };
}

/** All warnings of a mix, with the names of its references. */
export function warningsFor(
  mix: Pick<Mix, 'influences' | 'settings'>,
  lookup: Lookup,
  supported: readonly Gives[] | undefined,
): MixWarning[] {
  const names = Object.fromEntries(mix.influences.map((i) => [i.id, lookup.name(i)]));
  return warningsOf({ influences: mix.influences, balance: mix.settings.balance }, { names, supported });
}

const FIELDS = ['id', 'referenceId', 'gives', 'weight', 'from', 'to', 'reading', 'on'] as const;

/** True if two lists of influences are the same, field by field. */
const sameInfluences = (a: readonly MixInfluence[], b: readonly MixInfluence[]): boolean =>
  a.length === b.length && a.every((x, i) => FIELDS.every((f) => x[f] === b[i][f]));

/** True if a take shows just the words, settings and influences of a mix. */
export const showsMix = (take: Take, mix: Pick<Mix, 'prompt' | 'settings' | 'influences'>): boolean =>
  take.prompt === mix.prompt && take.seed === mix.settings.seed && sameInfluences(take.influences, mix.influences);
