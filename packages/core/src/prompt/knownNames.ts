import {
  CAST_NAMES,
  LONGEST_OUTFIT_WORDS,
  MAX_PROMPT_LENGTH,
  wearing,
  type KnownName,
  type KnownOutfit,
} from './brief';
import type { EntityDraft } from './draft';
import { Outfits, type ReadOutfit } from './outfits';
import { Reader } from './reader';

/** What the descriptions of known people and creatures say, by name; the cast's own names are known anyway. */
export function draftsOf(names: readonly KnownName[]): Map<string, Partial<EntityDraft>> {
  const drafts = new Map<string, Partial<EntityDraft>>();
  for (const { name, description } of names) {
    if (!name.trim() || CAST_NAMES.some((c) => c === name)) continue;
    const reader = new Reader();
    reader.read((description ?? '').slice(0, MAX_PROMPT_LENGTH));
    const first = reader.entities.find((e) => e.kind !== 'thing');
    drafts.set(name, first ? { ...first, count: 1, relation: undefined } : {});
  }
  return drafts;
}

/** The outfits of everybody who has some, as words call them. */
export function outfitsOf(names: readonly KnownName[]): Outfits | undefined {
  const owned = names.filter(({ outfits }) => outfits?.length);
  if (!owned.length) return undefined;
  return new Outfits(new Map(owned.map(({ name, outfits }) => [name, outfits!.map(readOutfit)])));
}

function readOutfit(known: KnownOutfit): ReadOutfit {
  const reader = new Reader();
  if (known.wears) reader.read(wearing(known.wears.slice(0, LONGEST_OUTFIT_WORDS)));
  const { garments = [], clothes, bare = [] } = reader.entities[0] ?? {};
  return { known, garments, clothes, bare };
}
