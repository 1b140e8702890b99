import { EntityManager, type EntityManager as Manager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import {
  calledByShots,
  fuseTraits,
  traitsOfParts,
  withCalled,
  type CastMember,
  type KnownName,
  type KnownOutfit,
  type MixInfluence,
  type MixState,
  type ShotPlan,
  type TraitSheet,
} from '@urbild/core';
import { CharacterEntity, descriptionOf, type Character, type Outfit } from '../cast/character.entity';
import { ReferenceEntity, type Reference } from '../library/reference.entity';
import { LookEntity } from '../looks/look.entity';
import { factsOf, type PictureFacts } from './pictureFacts';

/** A picture that stands behind an influence. */
export interface SourcePicture {
  readonly referenceId: string;
  /** Its part of the influence's weight. */
  readonly weight: number;
  readonly pictureHash: string;
  readonly descriptorsHash: string;
  /** What is known of it beyond its pixels. */
  readonly facts?: PictureFacts;
}

/** What stands behind an influence. */
export interface Source {
  readonly pictures: readonly SourcePicture[];
  /** Of a character: its name and what its pictures and people say of it together. */
  readonly subject?: string;
  readonly traits?: TraitSheet;
}

/** What stands behind every influence, by the id of the influence; influences without any picture are left out. */
export type Sources = ReadonlyMap<string, Source>;

/** So many of the cast are told from one another at the most. */
const MOST_PEOPLE = 200;

/** Finds the pictures behind influences: a reference's own, those of a look with their weights, those of a character. */
@Injectable()
export class SourcesService {
  constructor(private readonly em: EntityManager) {}

  async of(influences: readonly MixInfluence[], em: Manager = this.em): Promise<Sources> {
    const ids = (of: NonNullable<MixInfluence['of']>) =>
      influences.filter((i) => (i.of ?? 'reference') === of).map((i) => i.referenceId);
    const parts = new Map<string, { referenceId: string; weight: number }[]>();
    for (const id of ids('reference')) parts.set(id, [{ referenceId: id, weight: 1 }]);
    for (const look of await em.find(LookEntity, { id: { $in: ids('look') } })) parts.set(look.id, look.items);
    const cast = new Map((await em.find(CharacterEntity, { id: { $in: ids('character') } })).map((c) => [c.id, c]));
    for (const c of cast.values())
      parts.set(
        c.id,
        c.items.map(({ referenceId }) => ({ referenceId, weight: 1 })),
      );
    const wanted = [...new Set([...parts.values()].flat().map((p) => p.referenceId))];
    const references = new Map(
      (await em.find(ReferenceEntity, { id: { $in: wanted } })).map((r) => [r.id, r] as const),
    );
    const out = new Map<string, Source>();
    for (const i of influences) {
      const found = (parts.get(i.referenceId) ?? []).flatMap(({ referenceId, weight }) => {
        const r = references.get(referenceId);
        return r && weight > 0 && !i.except?.includes(r.id) ? [{ r, weight }] : [];
      });
      if (!found.length) continue;
      const pictures = found.map(({ r, weight }) => ({
        referenceId: r.id,
        weight,
        pictureHash: r.pictureHash,
        descriptorsHash: r.descriptorsHash,
        facts: factsOf(r),
      }));
      const character = i.of === 'character' ? cast.get(i.referenceId) : undefined;
      out.set(i.id, character ? { pictures, subject: character.name, ...knownOf(character, found) } : { pictures });
    }
    return out;
  }

  /** Names of what stands behind influences, by the id of the reference, look or character. */
  async titles(influences: readonly Pick<MixInfluence, 'of' | 'referenceId'>[]): Promise<Map<string, string>> {
    const ids = (of: NonNullable<MixInfluence['of']>) =>
      influences.filter((i) => (i.of ?? 'reference') === of).map((i) => i.referenceId);
    const out = new Map<string, string>();
    const references = { id: { $in: ids('reference') } };
    for (const r of await this.em.find(ReferenceEntity, references, { fields: ['id', 'title'] }))
      out.set(r.id, r.title);
    for (const l of await this.em.find(LookEntity, { id: { $in: ids('look') } })) out.set(l.id, l.name);
    for (const c of await this.em.find(CharacterEntity, { id: { $in: ids('character') } })) out.set(c.id, c.name);
    return out;
  }

  /** The cast as its names call it into mixes. */
  async cast(em: Manager = this.em): Promise<CastMember[]> {
    const all = await em.find(CharacterEntity, { deletedAt: null }, { orderBy: { name: 'asc' } });
    return all.map(({ id, name, usualWeight, items }) => ({ id, name, usualWeight, pictures: items.length }));
  }

  /** What is known of everybody of the cast whom none of these influences shows, and who could be taken for who is shown. */
  async people(influences: readonly MixInfluence[], em: Manager = this.em): Promise<Map<string, TraitSheet[]>> {
    const all = await em.find(CharacterEntity, { deletedAt: null }, { limit: MOST_PEOPLE, orderBy: { id: 'asc' } });
    const ids = [...new Set(all.flatMap((c) => c.items.map((item) => item.referenceId)))];
    const references = new Map((await em.find(ReferenceEntity, { id: { $in: ids } })).map((r) => [r.id, r] as const));
    const known = all.flatMap((character) => {
      const found = character.items.flatMap(({ referenceId }) => references.get(referenceId) ?? []);
      const { traits } = knownOf(
        character,
        found.map((r) => ({ r })),
      );
      return traits ? [{ shownBy: new Set([character.id, ...found.map((r) => r.id)]), traits }] : [];
    });
    return new Map(
      influences.map((i) => [
        i.id,
        known.filter(({ shownBy }) => !shownBy.has(i.referenceId)).map(({ traits }) => traits),
      ]),
    );
  }

  /** What is rendered of a mix: with everybody whom its words call, or those of the shots that share it. */
  async called({ prompt, avoid, settings, influences }: MixState, shots?: readonly ShotPlan[]): Promise<MixState> {
    const [mix, cast] = [{ prompt, avoid, settings, influences }, await this.cast()];
    return shots ? calledByShots(mix, shots, cast) : withCalled(mix, cast);
  }

  /** Names of the whole cast with their descriptions, for reading prompts. */
  async names(): Promise<KnownName[]> {
    const cast = await this.em.find(CharacterEntity, { deletedAt: null }, { orderBy: { name: 'asc' } });
    const ids = [...new Set(cast.flatMap(({ outfits }) => outfits.flatMap((o) => o.pictures)))];
    const references = ids.length ? await this.em.find(ReferenceEntity, { id: { $in: ids } }) : [];
    const read = new Map(references.map((r) => [r.id, r.vision?.traits] as const));
    return cast.map((c) => ({
      name: c.name,
      description: descriptionOf(c),
      ...(c.outfits.length ? { outfits: c.outfits.map((o) => outfitOf(o, read)) } : {}),
    }));
  }
}

/** An outfit as prompts call it: its words, and the clothes that its pictures show. */
function outfitOf({ name, wears, pictures }: Outfit, read: ReadonlyMap<string, TraitSheet | undefined>): KnownOutfit {
  const clothes = traitsOfParts(fuseTraits(pictures.flatMap((id) => read.get(id) ?? [])), ['clothes']);
  return { name, ...(wears ? { wears } : {}), ...(Object.keys(clothes).length ? { traits: clothes } : {}) };
}

/** What all pictures of a character say together with what people set right; nothing while nobody has looked at them. */
function knownOf(character: Character, found: readonly { readonly r: Reference }[]): { traits?: TraitSheet } {
  const sheets = found.flatMap(({ r }) => r.vision?.traits ?? []);
  const traits = fuseTraits(sheets, character.corrected);
  return Object.keys(traits).length ? { traits } : {};
}
