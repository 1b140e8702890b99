import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { randomUUID } from 'crypto';
import { plainInfluence, SOURCE_KINDS, type MixInfluence, type SourceKind } from '@urbild/core';
import { CharacterEntity } from '../cast/character.entity';
import { ReferenceEntity } from '../library/reference.entity';
import { LookEntity } from '../looks/look.entity';
import { BlobStore } from '../platform/blobs/blobStore';
import { EventsService } from '../platform/events/events.service';
import { Problem, type FieldError } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import { ProjectsService, type ProjectUsual } from '../projects/projects.service';
import { toMixDto, type ChangeMixDto, type MixDto, type NewMixDto } from './mix.dto';
import { MixEntity, type Mix } from './mix.entity';

/** Mixes: making, changing, putting away. */
@Injectable()
export class MixesService {
  constructor(
    private readonly em: EntityManager,
    private readonly events: EventsService,
    private readonly blobs: BlobStore,
    private readonly projects: ProjectsService,
  ) {}

  async list(): Promise<MixDto[]> {
    return (await this.em.find(MixEntity, { deletedAt: null }, { orderBy: { updatedAt: 'desc' } })).map(toMixDto);
  }

  async get(id: string): Promise<MixDto> {
    return toMixDto(await this.find(id));
  }

  /** Throws a not-found {@link Problem} for an unknown or deleted mix. */
  async find(id: string): Promise<Mix> {
    const mix = await this.em.findOne(MixEntity, { id, deletedAt: null });
    if (!mix) throw Problem.notFound('This mix');
    return mix;
  }

  async create(fields: NewMixDto, id: string = randomUUID()): Promise<MixDto> {
    await this.check(fields.influences);
    const usual = await this.projects.usual(fields.projectId);
    const now = new Date();
    const mix = this.em.create(MixEntity, {
      id,
      name: fields.name ?? 'New mix',
      projectId: usual.projectId,
      prompt: fields.prompt ?? '',
      avoid: fields.avoid ?? '',
      settings: { ...(fields.settings ?? { aspect: '3:2', seed: 1, balance: 1, ...usual.settings }) },
      influences: plainInfluences(fields.influences ?? (await this.usualInfluences(usual))),
      archived: false,
      createdAt: now,
      updatedAt: now,
      version: 1,
    });
    await this.em.flush();
    this.events.publish({ type: 'mix', id: mix.id });
    return toMixDto(mix);
  }

  async change(id: string, change: ChangeMixDto): Promise<MixDto> {
    const mix = await this.find(id);
    requireVersion(mix, change.version, toMixDto);
    await this.check(change.influences);
    if (change.projectId !== undefined) mix.projectId = (await this.projects.usual(change.projectId)).projectId;
    if (change.name !== undefined) mix.name = change.name;
    if (change.prompt !== undefined) mix.prompt = change.prompt;
    if (change.avoid !== undefined) mix.avoid = change.avoid;
    if (change.settings !== undefined) mix.settings = { ...change.settings };
    if (change.influences !== undefined) mix.influences = plainInfluences(change.influences);
    if (change.archived !== undefined) mix.archived = change.archived;
    mix.updatedAt = new Date();
    await this.em.flush();
    this.events.publish({ type: 'mix', id });
    return toMixDto(mix);
  }

  async remove(id: string): Promise<void> {
    const mix = await this.find(id);
    mix.deletedAt = new Date();
    await this.em.flush();
    this.events.publish({ type: 'mix', id });
  }

  /** What a new mix begins with: the default look of its project, else that of the studio, if there is one. */
  private async usualInfluences({ lookId }: ProjectUsual): Promise<MixInfluence[]> {
    const own = lookId ? await this.em.findOne(LookEntity, { id: lookId, deletedAt: null }) : null;
    const look = own ?? (await this.em.findOne(LookEntity, { isDefault: true, deletedAt: null }));
    return look
      ? [
          {
            id: 'look',
            of: 'look',
            referenceId: look.id,
            gives: 'look',
            weight: 0.8,
            from: 0,
            to: 1,
            reading: 'normal',
            on: true,
          },
        ]
      : [];
  }

  /** The influences of a list whose reference, look or character is still there. */
  async present(influences: readonly MixInfluence[]): Promise<MixInfluence[]> {
    const there = new Set<string>();
    for (const of of SOURCE_KINDS)
      for (const id of await this.known(
        of,
        influences.filter((i) => (i.of ?? 'reference') === of).map((i) => i.referenceId),
      ))
        there.add(id);
    return influences.filter((i) => there.has(i.referenceId));
  }

  private async known(of: SourceKind, ids: readonly string[]): Promise<string[]> {
    const entity = { reference: ReferenceEntity, look: LookEntity, character: CharacterEntity }[
      of
    ] as typeof ReferenceEntity;
    return (await this.em.find(entity, { id: { $in: [...ids] } }, { fields: ['id'] })).map((r) => r.id);
  }

  /** Spans must run forwards, ids be unique, and references exist; throws a {@link Problem} otherwise. */
  async check(influences: readonly MixInfluence[] | undefined): Promise<void> {
    if (!influences) return;
    const errors: FieldError[] = await this.faultsOf(influences);
    influences.forEach((i, k) => {
      const field = `influences.${k}`;
      if (i.to < i.from)
        errors.push({ field, message: `influence ${k + 1}: its end (${i.to}) lies before its start (${i.from})` });
      if (influences.findIndex((other) => other.id === i.id) !== k)
        errors.push({ field, message: `influence ${k + 1}: its id occurs twice` });
    });
    if (errors.length) throw Problem.invalid(errors);
  }

  /** What of some influences is not in the studio. */
  async faultsOf(influences: readonly MixInfluence[]): Promise<FieldError[]> {
    const errors: FieldError[] = [];
    for (const of of SOURCE_KINDS) {
      const ids = [...new Set(influences.filter((i) => (i.of ?? 'reference') === of).map((i) => i.referenceId))];
      const known = new Set(await this.known(of, ids));
      ids
        .filter((id) => !known.has(id))
        .forEach((id) => errors.push({ field: 'influences', message: `${of} ${id} is not in the studio` }));
    }
    const masks = influences.flatMap((i) => i.region?.content ?? []);
    for (const mask of new Set(masks))
      if (!(await this.blobs.has(mask)))
        errors.push({ field: 'influences', message: 'the mask of a region is not in the studio; paint it again' });
    return errors;
  }
}

/** Influences as they are kept: only known fields, nothing that says what is usual anyway. */
export const plainInfluences = (influences: readonly MixInfluence[]): MixInfluence[] => influences.map(plainInfluence);
