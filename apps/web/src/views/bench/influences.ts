import {
  lostWords,
  remarkWarnings,
  sameMix,
  TYPED_MAX_WEIGHT,
  warningsOf,
  type Gives,
  type MixWarning,
} from '@urbild/core';
import type { Mix, MixInfluence, Take } from '../../api/client';
import { round } from '../../shared/forms/figures';
import type { Lookup } from '../../shared/mix/lookup';

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

/** All warnings of a mix, with the names of its references. */
export function warningsFor(
  mix: Pick<Mix, 'influences' | 'settings'>,
  lookup: Lookup,
  supported: readonly Gives[] | undefined,
  take?: Pick<Take, 'remarks' | 'influences' | 'words'>,
): MixWarning[] {
  const names = Object.fromEntries(mix.influences.map((i) => [i.id, lookup.name(i)]));
  // a character acts on whom the words call by its name
  const influences = mix.influences.map((i) =>
    i.of === 'character' && i.subject === undefined ? { ...i, subject: lookup.name(i) } : i,
  );
  // what a take found out of an influence holds as long as the influence gives the same
  const found = (take?.remarks ?? []).flatMap(({ influenceId, kind }) => {
    const [now, then] = [influences, take!.influences].map((list) => list.find((i) => i.id === influenceId));
    return now?.on && now.gives === then?.gives ? [{ influence: influenceId, gives: now.gives, kind }] : [];
  });
  return [
    ...lostWords({ influences, balance: mix.settings.balance }, take?.words ?? [], names),
    ...remarkWarnings(found, names),
    ...warningsOf({ influences, balance: mix.settings.balance }, { names, supported }),
  ];
}

/** True if a take shows just the words, settings and influences of a mix. */
export const showsMix = (take: Take, mix: Pick<Mix, 'prompt' | 'avoid' | 'settings' | 'influences'>): boolean =>
  sameMix({ ...take, settings: { ...take.settings, seed: take.seed } }, mix);
