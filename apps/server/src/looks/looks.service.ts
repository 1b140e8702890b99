import { EntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { blendSwatches, hexOf } from '@urbild/core';
import { randomUUID } from 'crypto';
import { ReferenceEntity } from '../library/reference.entity';
import { BlobStore, blobPath } from '../platform/blobs/blobStore';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import { WorkersService } from '../platform/workers/workers.service';
import { adviceFor } from './advice';
import { toLookDto, type ChangeLookDto, type LookDto, type LookReadingDto, type NewLookDto } from './look.dto';
import { LookEntity, type Look, type LookItem } from './look.entity';
import { COHERENCE } from './looks.tasks';

/** Looks: making, changing, reading how well their pictures belong together. */
@Injectable()
export class LooksService {
  constructor(
    private readonly em: EntityManager,
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
    private readonly events: EventsService,
  ) {}

  async list(): Promise<LookDto[]> {
    return (await this.em.find(LookEntity, { deletedAt: null }, { orderBy: { name: 'asc', id: 'asc' } })).map(
      toLookDto,
    );
  }

  /** Throws a not-found {@link Problem} for an unknown or deleted look. */
  async find(id: string): Promise<Look> {
    const look = await this.em.findOne(LookEntity, { id, deletedAt: null });
    if (!look) throw Problem.notFound('This look');
    return look;
  }

  async create({ name, notes = '', items = [] }: NewLookDto, id: string = randomUUID()): Promise<LookDto> {
    const now = new Date();
    const look = this.em.create(LookEntity, {
      id,
      name,
      notes,
      items: await this.checked(items),
      isDefault: false,
      createdAt: now,
      updatedAt: now,
      version: 1,
    });
    await this.em.flush();
    this.tell(look.id);
    return toLookDto(look);
  }

  async change(id: string, change: ChangeLookDto): Promise<LookDto> {
    const look = await this.find(id);
    requireVersion(look, change.version, toLookDto);
    const { name, notes, items, isDefault } = change;
    await together(this.em, async (em) => {
      if (name !== undefined) look.name = name;
      if (notes !== undefined) look.notes = notes;
      if (items !== undefined) look.items = await this.checked(items);
      if (isDefault) await em.nativeUpdate(LookEntity, { isDefault: true, id: { $ne: id } }, { isDefault: false });
      if (isDefault !== undefined) look.isDefault = isDefault;
      look.updatedAt = new Date();
    });
    this.tell(id);
    return toLookDto(look);
  }

  async duplicate(id: string): Promise<LookDto> {
    const { name, notes, items } = await this.find(id);
    return this.create({ name: `${name}, copy`.slice(0, 120), notes, items });
  }

  async remove(id: string): Promise<void> {
    const look = await this.find(id);
    look.deletedAt = new Date();
    look.isDefault = false;
    await this.em.flush();
    this.tell(id);
  }

  async restore(id: string): Promise<LookDto> {
    const look = await this.em.findOne(LookEntity, { id });
    if (!look) throw Problem.notFound('This look');
    look.deletedAt = null;
    await this.em.flush();
    this.tell(id);
    return toLookDto(look);
  }

  /** How well the pictures of a look belong together, which one is a stranger, and what they have in common. */
  async read(id: string): Promise<LookReadingDto> {
    const look = await this.find(id);
    const references = new Map(
      (await this.em.find(ReferenceEntity, { id: { $in: look.items.map((i) => i.referenceId) } })).map((r) => [
        r.id,
        r,
      ]),
    );
    const items = look.items.flatMap((i) => {
      const reference = references.get(i.referenceId);
      return reference ? [{ ...i, reference }] : [];
    });
    const { figure, off, stranger, map } = await this.workers.run(COHERENCE, {
      pictures: items.map((i) => blobPath(this.blobs.dir, i.reference.pictureHash)),
    });
    const odd = stranger === undefined ? undefined : items[stranger].reference;
    return {
      coherence: figure,
      stranger: odd?.id,
      map: items.map((i, k) => ({ referenceId: i.referenceId, x: map[k][0], y: map[k][1], off: off[k] })),
      swatches: blendSwatches(items.map((i) => ({ swatches: i.reference.swatches, weight: i.weight }))).map((s) => ({
        colour: hexOf(s.lab),
        weight: s.weight,
      })),
      advice: adviceFor({
        count: items.length,
        coherence: figure,
        stranger: odd && { title: odd.title, off: off[stranger!] },
        unfit: items.filter((i) => i.reference.checkState === 'serious').map((i) => i.reference.title),
      }),
    };
  }

  /** Remembers the plate that shows what a look does. */
  async sampled(id: string, takeId: string): Promise<void> {
    const look = await this.find(id);
    look.sampleTakeId = takeId;
    await this.em.flush();
    this.tell(id);
  }

  /** Pictures must exist and occur once. */
  private async checked(items: readonly LookItem[]): Promise<LookItem[]> {
    const ids = [...new Set(items.map((i) => i.referenceId))];
    const known = await this.em.count(ReferenceEntity, { id: { $in: ids } });
    if (known !== ids.length)
      throw Problem.invalid([
        { field: 'items', message: `${ids.length - known} of these pictures are not in the library` },
      ]);
    return ids.map((id) => ({ referenceId: id, weight: items.find((i) => i.referenceId === id)!.weight }));
  }

  private tell(id: string): void {
    this.events.publish({ type: 'look', id });
  }
}
