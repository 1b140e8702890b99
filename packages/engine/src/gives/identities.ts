import {
  fuseTraits,
  IDENTITY_PARTS,
  meanShares,
  nameOf,
  partsOf,
  traitsOfParts,
  type Entity,
  type IdentityPart,
  type Picture,
  type SceneBrief,
  type Shares,
  type ThingBrief,
  type TraitSheet,
} from '@urbild/core';
import { namedTraits, type TraitPulls } from '../painter/people/fromTraits';
import type { RequestInfluence } from '../contract/request';
import type { ShareRecord } from '../contract/result';
import { imaginedColours } from './imagined';
import { readTraits } from '../traits/readTraits';

/** The pulls on every person and creature of a brief, by the index of the entity, and the shares behind them. */
export interface Identities {
  readonly of: ReadonlyMap<number, TraitPulls>;
  readonly log: readonly ShareRecord[];
  /** Ids of influences whose subject the words do not name, or that found nobody to act on. */
  readonly idle: readonly string[];
}

/** The entities that an identity can be given to. */
const bodies = (brief: SceneBrief): { entity: Exclude<Entity, ThingBrief>; index: number }[] =>
  brief.entities.flatMap((entity, index) => (entity.kind === 'thing' ? [] : [{ entity, index }]));

/**
 * Decides who takes which identity. An influence that is bound to a subject acts on the one whom the words call so; where they
 * call nobody so, on the first whom no other subject claims. One without a subject acts on everybody.
 */
export function decideIdentities(
  brief: SceneBrief,
  mix: { readonly influences: readonly RequestInfluence[]; readonly balance: number; readonly strictness?: number },
  sheets: ReadonlyMap<string, TraitSheet>,
): Identities {
  const of = new Map<number, TraitPulls>();
  const log: ShareRecord[] = [];
  const all = bodies(brief);
  const carriers = mix.influences.filter((i) => i.on && i.weight > 0 && partsOf(i).length > 0);
  const subjects = [...new Set(carriers.flatMap((i) => i.subject ?? []))];
  const claimed = new Map<number, string>();
  for (const subject of subjects) {
    const found = all.find(({ entity }) => nameOf(entity) === subject);
    if (found) claimed.set(found.index, subject);
  }
  for (const subject of subjects) {
    if ([...claimed.values()].includes(subject)) continue;
    const free =
      all.find(({ index, entity }) => !claimed.has(index) && !nameOf(entity)) ?? all.find((b) => !claimed.has(b.index));
    if (free) claimed.set(free.index, subject);
  }
  const idle = carriers.filter((i) =>
    i.subject === undefined ? !all.length : ![...claimed.values()].includes(i.subject),
  );
  for (const { index, entity } of all) {
    // nobody's name: only what is bound to no subject acts
    const subject = claimed.get(index) ?? '';
    const { outfit } = entity;
    const parts = Object.fromEntries(
      IDENTITY_PARTS.map((part) => {
        // an outfit that is called by its name is worn instead of what somebody's own pictures show
        const acting = outfit && part === 'clothes' ? mix.influences.filter((i) => i.gives === 'outfit') : undefined;
        return [part, meanShares(acting ? onlyOf(mix, acting) : mix, 'identity', 0, 1, { subject, part })];
      }),
    ) as Record<IdentityPart, Shares>;
    const sources: TraitPulls['sources'][number][] = mix.influences.flatMap((influence, k) => {
      const sheet = sheets.get(influence.id);
      if (!sheet || !IDENTITY_PARTS.some((p) => parts[p].influences[k] > 0)) return [];
      // a hint of somebody is half of them
      const by = influence.reading === 'hint' ? 0.5 : 1;
      const shares = Object.fromEntries(IDENTITY_PARTS.map((p) => [p, parts[p].influences[k] * by]));
      const imagined = imaginedColours(influence, sheet);
      return [{ sheet, imagined, shares: shares as Record<IdentityPart, number> }];
    });
    if (outfit?.traits) sources.push(wornSource(entity, outfit.traits, parts.clothes));
    if (!sources.length) continue;
    IDENTITY_PARTS.forEach((part) => log.push({ channel: 'identity', subject, part, from: 0, to: 1, ...parts[part] }));
    const over = Object.fromEntries(IDENTITY_PARTS.map((p) => [p, parts[p].over])) as Record<IdentityPart, number>;
    of.set(index, { sources, over, words: 2 * (mix.strictness ?? 0.5) });
  }
  return { of, log, idle: idle.map((i) => i.id) };
}

/** A mix in which only some influences act; the others keep their places. */
const onlyOf = <M extends Parameters<typeof meanShares>[0]>(mix: M, acting: M['influences']): M => ({
  ...mix,
  influences: mix.influences.map((i) => (acting.includes(i) ? i : { ...i, on: false })),
});

/** What the pictures of an outfit show: it has all of the clothes that references and words leave. */
function wornSource(entity: Entity, traits: TraitSheet, clothes: Shares): TraitPulls['sources'][number] {
  const said: ReadonlySet<string> = entity.kind === 'person' ? namedTraits(entity) : new Set();
  const left = Object.entries(traitsOfParts(traits, ['clothes'])).filter(([name]) => !said.has(name));
  return { sheet: Object.fromEntries(left), shares: { face: 0, hair: 0, build: 0, clothes: clothes.words } };
}

/** What is known of whoever an influence shows: told by the request, or read from its pictures and fused. */
export function sheetOf(influence: RequestInfluence, pictures: ReadonlyMap<string, Picture>): TraitSheet {
  if (influence.traits) return influence.traits;
  return fuseTraits(
    influence.pictures.flatMap((p) => {
      const picture = pictures.get(p.content);
      if (!picture) return [];
      return [p.traits ?? readTraits(picture, p.face).traits];
    }),
  );
}
