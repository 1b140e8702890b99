import { EntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { agreementOf, areaOf, fuseTraits, mainFace, rowOf, type TraitSheet, viewOf } from '@urbild/core';
import { randomUUID } from 'crypto';
import { copyFile } from 'fs/promises';
import { LibraryService } from '../library/library.service';
import { facesOf, slotSeen } from '../library/reference.dto';
import { blobUrl } from '../platform/blobs/blobUrl';
import { ReferenceEntity, type Reference } from '../library/reference.entity';
import { BlobStore, blobPath } from '../platform/blobs/blobStore';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import { WorkersService } from '../platform/workers/workers.service';
import { adviceFor } from './advice';
import {
  sheetOf,
  toCharacterDto,
  traitList,
  type CandidateDto,
  type ChangeCharacterDto,
  type CharacterDto,
  type CharacterReadingDto,
  type NewCharacterDto,
  type PickDto,
} from './character.dto';
import { CharacterEntity, type Character, type Outfit, type SheetItem } from './character.entity';
import { PAINT } from './cast.tasks';

const CANDIDATES = 4;

/** The cast: characters with their model sheets, and what is read of them. */
@Injectable()
export class CastService {
  constructor(
    private readonly em: EntityManager,
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
    private readonly library: LibraryService,
    private readonly events: EventsService,
  ) {}

  async list(): Promise<CharacterDto[]> {
    const all = await this.em.find(CharacterEntity, { deletedAt: null }, { orderBy: { name: 'asc', id: 'asc' } });
    return all.map(toCharacterDto);
  }

  /** Throws a not-found {@link Problem} for an unknown or deleted character. */
  async find(id: string): Promise<Character> {
    const character = await this.em.findOne(CharacterEntity, { id, deletedAt: null });
    if (!character) throw Problem.notFound('This character');
    return character;
  }

  async create(fields: NewCharacterDto, id: string = randomUUID()): Promise<CharacterDto> {
    await this.free(fields.name);
    const now = new Date();
    const character = this.em.create(CharacterEntity, {
      id,
      name: fields.name,
      species: fields.species ?? 'person',
      description: fields.description ?? '',
      items: await this.checked(fields.items ?? []),
      usualWeight: fields.usualWeight ?? 0.8,
      corrected: sheetOf(fields.corrected ?? []),
      outfits: await this.dressed(fields.outfits ?? []),
      createdAt: now,
      updatedAt: now,
      version: 1,
    });
    await this.em.flush();
    this.tell(id);
    return toCharacterDto(character);
  }

  async change(id: string, change: ChangeCharacterDto): Promise<CharacterDto> {
    const character = await this.find(id);
    requireVersion(character, change.version, toCharacterDto);
    if (change.name !== undefined && change.name !== character.name) {
      await this.free(change.name);
      character.name = change.name;
    }
    if (change.species !== undefined) character.species = change.species;
    if (change.description !== undefined) character.description = change.description;
    if (change.items !== undefined) character.items = await this.checked(change.items);
    if (change.usualWeight !== undefined) character.usualWeight = change.usualWeight;
    if (change.corrected !== undefined) character.corrected = sheetOf(change.corrected);
    if (change.outfits !== undefined) character.outfits = await this.dressed(change.outfits);
    character.updatedAt = new Date();
    await this.em.flush();
    this.tell(id);
    return toCharacterDto(character);
  }

  async remove(id: string): Promise<void> {
    const character = await this.find(id);
    character.deletedAt = new Date();
    await this.em.flush();
    this.tell(id);
  }

  async restore(id: string): Promise<CharacterDto> {
    const character = await this.em.findOne(CharacterEntity, { id });
    if (!character) throw Problem.notFound('This character');
    await this.free(character.name);
    character.deletedAt = null;
    await this.em.flush();
    this.tell(id);
    return toCharacterDto(character);
  }

  /** What all pictures of a character say together, how well they agree, and what to do about it. */
  async read(id: string): Promise<CharacterReadingDto> {
    const character = await this.find(id);
    const references = new Map(
      (await this.em.find(ReferenceEntity, { id: { $in: character.items.map((i) => i.referenceId) } })).map((r) => [
        r.id,
        r,
      ]),
    );
    const items = character.items.flatMap((i) => {
      const reference = references.get(i.referenceId);
      return reference ? [{ ...i, reference }] : [];
    });
    const seen = items.filter((i) => i.reference.vision?.traits);
    const sheets = seen.map((i) => i.reference.vision!.traits!);
    const { agreement, odd } = agreementOf(sheets);
    const stranger = odd && seen[odd.index].reference;
    const traits = fuseTraits(sheets, character.corrected);
    const form = traits['face shape']?.shape;
    return {
      traits: traitList(traits),
      face: form && rowOf(form).map((v) => Math.round(v * 1000) / 1000),
      pictures: seen.map((i, k) => ({ referenceId: i.referenceId, traits: traitList(sheets[k]) })),
      agreement,
      odd: stranger?.id,
      advice: adviceFor({
        pictures: items.map((i) => ({
          title: i.reference.title,
          slot: i.slot ?? slotSeen(i.reference),
          ...faceFacts(i.reference),
        })),
        agreement,
        odd: stranger?.title,
        person: character.species === 'person',
      }),
      waiting: items.filter((i) => i.reference.visionState === 'waiting').length,
    };
  }

  /** What is known of a character: what its pictures say together, and what a person set right. */
  async sheet({ items, corrected }: Character): Promise<TraitSheet> {
    const references = await this.em.find(ReferenceEntity, { id: { $in: items.map((i) => i.referenceId) } });
    return fuseTraits(
      references.flatMap((r) => r.vision?.traits ?? []),
      corrected,
    );
  }

  /** Paints some people from a description, to pick one of. */
  async candidates(description: string): Promise<CandidateDto[]> {
    const out: CandidateDto[] = [];
    for (let k = 0; k < CANDIDATES; k++) {
      const { png } = await this.workers.run(PAINT, {
        prompt: `half figure of ${description}, front, meadow at noon`,
        medium: 'gouache',
        width: 480,
        height: 600,
        seed: 101 + 37 * k,
        variant: 1 + k,
      });
      const hash = await this.blobs.put(png);
      out.push({ hash, pictureUrl: blobUrl(hash) });
    }
    return out;
  }

  /** Makes a character of a painted candidate. */
  async pick({ hash, name, description }: PickDto): Promise<CharacterDto> {
    if (!(await this.blobs.has(hash))) throw Problem.notFound('This candidate');
    await this.free(name);
    const file = this.blobs.temporaryPath();
    await copyFile(blobPath(this.blobs.dir, hash), file);
    const { reference } = await this.library.bringIn(file, {
      kind: 'character',
      title: `${name}, front`,
      tags: [name],
    });
    return this.create({ name, description, items: [{ referenceId: reference.id, slot: 'front' }] });
  }

  private async free(name: string): Promise<void> {
    const all = await this.em.find(CharacterEntity, { deletedAt: null }, { fields: ['name'] });
    if (all.some((c) => c.name.toLowerCase() === name.toLowerCase()))
      throw Problem.conflict(`There is a character called ${name} already; prompts could not tell them apart.`);
  }

  private async checked(items: readonly SheetItem[]): Promise<SheetItem[]> {
    const ids = await this.inLibrary(
      'items',
      items.map((i) => i.referenceId),
    );
    return ids.map((id) => {
      const slot = items.find((i) => i.referenceId === id)?.slot;
      return { referenceId: id, ...(slot ? { slot } : {}) };
    });
  }

  private async dressed(outfits: readonly Outfit[]): Promise<Outfit[]> {
    const ids = new Set(
      await this.inLibrary(
        'outfits',
        outfits.flatMap((o) => o.pictures),
      ),
    );
    return outfits.map(({ id, name, wears, pictures }) => ({
      id,
      name: name.trim(),
      wears: wears.trim(),
      pictures: [...new Set(pictures)].filter((id) => ids.has(id)),
    }));
  }

  /** Each of these references once; a {@link Problem} where some are not in the library. */
  private async inLibrary(field: string, all: readonly string[]): Promise<string[]> {
    const ids = [...new Set(all)];
    const known = ids.length ? await this.em.count(ReferenceEntity, { id: { $in: ids } }) : 0;
    if (known !== ids.length)
      throw Problem.invalid([{ field, message: `${ids.length - known} of these pictures are not in the library` }]);
    return ids;
  }

  private tell(id: string): void {
    this.events.publish({ type: 'character', id });
  }
}

function faceFacts(r: Pick<Reference, 'corrections' | 'vision'>) {
  const face = mainFace(facesOf(r) ?? []);
  return face ? { face: areaOf(face.box), view: face.yaw === undefined ? undefined : viewOf(face.yaw) } : {};
}
