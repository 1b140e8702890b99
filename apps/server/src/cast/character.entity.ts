import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { Slot, TraitSheet } from '@urbild/core';

/** One picture of a model sheet. */
export interface SheetItem {
  readonly referenceId: string;
  /** What a person says that it shows; what is seen of it decides when absent. */
  readonly slot?: Slot;
}

/** Clothes of somebody that words call by their name. */
export interface Outfit {
  /** Stays while its name changes. */
  readonly id: string;
  readonly name: string;
  /** What it is, in words; empty where pictures tell it all. */
  readonly wears: string;
  /** References that show it. */
  readonly pictures: readonly string[];
}

/** A named person or creature. */
export const CharacterEntity = defineEntity({
  name: 'Character',
  tableName: 'character',
  properties: {
    id: p.string().primary(),
    name: p.string(),
    species: p.string(),
    description: p.text(),
    items: p.json<SheetItem[]>(),
    /** 0..2 */
    usualWeight: p.double().$type<number>(),
    /** What a person corrected or locked, by the name of the trait. */
    corrected: p.json<TraitSheet>(),
    outfits: p.json<Outfit[]>().default('[]'),
    createdAt: p.datetime(),
    updatedAt: p.datetime().index(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Character = InferEntity<typeof CharacterEntity>;

/** The words that describe somebody: their own, else the kind of creature. */
export const descriptionOf = ({ species, description }: Pick<Character, 'species' | 'description'>): string =>
  description || (species === 'person' ? '' : `a ${species}`);
