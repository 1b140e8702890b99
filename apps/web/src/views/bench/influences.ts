import { remarkWarnings, TYPED_MAX_WEIGHT, warningsOf, type Gives, type MixWarning } from '@urbild/core';
import type { Mix, MixInfluence, Reference, Take } from '../../api/client';
import type { Hue } from '../../theme/kinds';

/** What a reference gives at first, by its kind, with the weight and span that people found to work. */
const FIRST: Readonly<Record<Reference['kind'], Pick<MixInfluence, 'gives' | 'weight' | 'from' | 'to'>>> = {
  style: { gives: 'look', weight: 0.8, from: 0, to: 1 },
  image: { gives: 'everything', weight: 0.4, from: 0, to: 0.5 },
  character: { gives: 'character', weight: 0.8, from: 0, to: 1 },
  face: { gives: 'face', weight: 0.8, from: 0, to: 1 },
};
/** What a character gives where the engine cannot take characters. */
const COLOURS_ONLY = { gives: 'palette', weight: 0.4, from: 0, to: 0.6 } as const;

const newId = () => crypto.randomUUID().slice(0, 8);

/** A new influence for a reference. */
export const newInfluence = (reference: Reference): MixInfluence => ({
  id: newId(),
  referenceId: reference.id,
  reading: 'normal',
  on: true,
  ...FIRST[reference.kind],
});

/** A new influence for a look: its surface and colours, a little less than full weight. */
export const lookInfluence = (lookId: string): MixInfluence => ({
  id: newId(),
  of: 'look',
  referenceId: lookId,
  reading: 'normal',
  on: true,
  ...FIRST.style,
});

/** A new influence for a character at its usual weight; it gives what the engine can take of a character. */
export const characterInfluence = (characterId: string, weight: number, able: readonly Gives[]): MixInfluence => ({
  id: newId(),
  of: 'character',
  referenceId: characterId,
  reading: 'normal',
  on: true,
  ...(able.includes('character') ? { gives: 'character' as const, weight, from: 0, to: 1 } : COLOURS_ONLY),
});

/**
 * A list with fields of one influence changed. Where it is one of several that are `chosen` and its weight changes, the others'
 * weights change in the same proportion.
 */
export function changed(
  list: readonly MixInfluence[],
  id: string,
  fields: Partial<MixInfluence>,
  chosen: ReadonlySet<string> = new Set(),
): MixInfluence[] {
  const before = list.find((i) => i.id === id)?.weight ?? 0;
  const together = fields.weight !== undefined && chosen.has(id) && chosen.size > 1;
  const scaled = (weight: number) =>
    before > 0 ? (weight * fields.weight!) / before : Math.max(weight, fields.weight!);
  return list.map((i) => {
    if (i.id === id) return { ...i, ...fields };
    return together && chosen.has(i.id) ? { ...i, weight: round(Math.min(TYPED_MAX_WEIGHT, scaled(i.weight)), 3) } : i;
  });
}

/** A list with one influence moved by some places, or to the place of another. */
export function moved(list: readonly MixInfluence[], id: string, to: number | string): MixInfluence[] {
  const from = list.findIndex((i) => i.id === id);
  const at = typeof to === 'number' ? from + to : list.findIndex((i) => i.id === to);
  if (from < 0 || at < 0 || at >= list.length) return [...list];
  const rest = list.filter((i) => i.id !== id);
  return [...rest.slice(0, at), list[from], ...rest.slice(at)];
}

/** One influence alone: the others off; where it is alone already, all on again. */
export function alone(list: readonly MixInfluence[], id: string): MixInfluence[] {
  const is = list.every((i) => i.on === (i.id === id));
  return list.map((i) => ({ ...i, on: is || i.id === id }));
}

/** The spans that one key sets. */
export const READY_SPANS = [
  { key: 'w', name: 'whole', from: 0, to: 1 },
  { key: 'e', name: 'early', from: 0, to: 0.25 },
  { key: 'l', name: 'late', from: 0.5, to: 1 },
] as const;

export const round = (x: number, digits = 2): number => Math.round(x * 10 ** digits) / 10 ** digits;
export const percent = (x: number): string => `${Math.round(x * 100)} %`;

/** What stands behind an influence, as it is shown. */
export interface Source {
  readonly name: string;
  readonly hue: Hue;
  readonly thumbnailUrl?: string;
}

/** Kinds and titles of the references of a mix, by influence id. */
export interface Lookup {
  readonly source: (influence: MixInfluence) => Source | undefined;
  readonly name: (influence: MixInfluence) => string;
  readonly hue: (influence: MixInfluence) => Hue;
}

/** A lookup over sources by their id. */
export const lookupIn = (sources: ReadonlyMap<string, Source>): Lookup => ({
  source: (i) => sources.get(i.referenceId),
  name: (i) => sources.get(i.referenceId)?.name ?? 'A reference that was put away',
  hue: (i) => sources.get(i.referenceId)?.hue ?? 'image',
});

/** All warnings of a mix, with the names of its references. */
export function warningsFor(
  mix: Pick<Mix, 'influences' | 'settings'>,
  lookup: Lookup,
  supported: readonly Gives[] | undefined,
  take?: Pick<Take, 'remarks' | 'influences'>,
): MixWarning[] {
  const names = Object.fromEntries(mix.influences.map((i) => [i.id, lookup.name(i)]));
  const { influences } = mix;
  // what a take found out of an influence holds as long as the influence gives the same
  const found = (take?.remarks ?? []).flatMap(({ influenceId, kind }) => {
    const [now, then] = [influences, take!.influences].map((list) => list.find((i) => i.id === influenceId));
    return now?.on && now.gives === then?.gives ? [{ influence: influenceId, gives: now.gives, kind }] : [];
  });
  return [
    ...remarkWarnings(found, names),
    ...warningsOf({ influences, balance: mix.settings.balance }, { names, supported }),
  ];
}

const FIELDS = [
  'id',
  'of',
  'referenceId',
  'gives',
  'weight',
  'from',
  'to',
  'reading',
  'on',
  'subject',
  'fill',
  'motif',
] as const;
const sameParts = (a: MixInfluence, b: MixInfluence) =>
  (a.parts ?? []).join() === (b.parts ?? []).join() &&
  (a.except ?? []).join() === (b.except ?? []).join() &&
  JSON.stringify(a.region) === JSON.stringify(b.region);

/** True if two lists of influences are the same, field by field. */
const sameInfluences = (a: readonly MixInfluence[], b: readonly MixInfluence[]): boolean =>
  a.length === b.length && a.every((x, i) => FIELDS.every((f) => x[f] === b[i][f]) && sameParts(x, b[i]));

/** The settings that a picture shows besides seed and balance; what is not set is as usual. */
const shown = (s: Mix['settings']): string =>
  JSON.stringify([
    s.start,
    s.mask,
    s.medium,
    s.spread ?? 1,
    s.strictness ?? 0.5,
    s.ornateness ?? 0.5,
    (s.emphases ?? []).filter((e) => e.weight !== 1),
  ]);

/** True if a take shows just the words, settings and influences of a mix. */
export const showsMix = (take: Take, mix: Pick<Mix, 'prompt' | 'settings' | 'influences'>): boolean =>
  take.prompt === mix.prompt &&
  take.seed === mix.settings.seed &&
  take.settings.balance === mix.settings.balance &&
  shown(take.settings) === shown(mix.settings) &&
  sameInfluences(take.influences, mix.influences);
