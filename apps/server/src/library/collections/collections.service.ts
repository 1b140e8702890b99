import { EntityManager, type SqlEntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { arrange } from '@urbild/core';
import { randomUUID } from 'crypto';
import { together } from '../../platform/database/together';
import { EventsService } from '../../platform/events/events.service';
import { Problem } from '../../platform/problems/problem';
import { requireVersion } from '../../platform/versions';
import { ReferenceEntity } from '../reference.entity';
import {
  MOST_ITEMS,
  toCollectionDto,
  type ArrangedDto,
  type ArrangementDto,
  type ChangeCollectionDto,
  type CollectionDto,
  type NewCollectionDto,
} from './collection.dto';
import { CollectionEntity, type Collection } from './collection.entity';

/** Collections that a studio may have. */
const MOST = 500;

/** Collections: making them, naming them, arranging their pictures. */
@Injectable()
export class CollectionsService {
  constructor(
    private readonly em: EntityManager,
    private readonly events: EventsService,
  ) {}

  async list(): Promise<CollectionDto[]> {
    const all = await this.em.find(CollectionEntity, { deletedAt: null }, { orderBy: { name: 'asc', id: 'asc' } });
    return all.map(toCollectionDto);
  }

  async get(id: string): Promise<CollectionDto> {
    return toCollectionDto(await find(this.em, id));
  }

  async create({ name, items = [], search }: NewCollectionDto): Promise<CollectionDto> {
    if (search !== undefined && items.length)
      throw Problem.invalid([{ field: 'search', message: 'A collection is a search or is put together by hand' }]);
    const made = await together(this.em, async (em) => {
      if ((await em.count(CollectionEntity, { deletedAt: null })) >= MOST)
        throw Problem.busy(`There are ${MOST} collections already. Delete one first.`);
      const now = new Date();
      const ids = [...new Set(items)];
      await requireKnown(em, ids);
      return em.create(CollectionEntity, {
        id: randomUUID(),
        name,
        items: ids,
        search: search ?? null,
        createdAt: now,
        updatedAt: now,
        version: 1,
      });
    });
    return this.told(made);
  }

  async change(id: string, { version, name, search }: ChangeCollectionDto): Promise<CollectionDto> {
    const changed = await together(this.em, async (em) => {
      const collection = await find(em, id);
      requireVersion(collection, version, toCollectionDto);
      if (search !== undefined && collection.search === null)
        throw Problem.conflict('This collection is put together by hand: it has no search.');
      if (name !== undefined) collection.name = name;
      if (search !== undefined) collection.search = search;
      collection.updatedAt = new Date();
      return collection;
    });
    return this.told(changed);
  }

  /** Takes pictures out, puts some in, moves some: by their neighbours, so that two people can do so at the same time. */
  async arrange(id: string, arrangement: ArrangementDto): Promise<ArrangedDto> {
    const { changed, back } = await together(this.em, async (em) => {
      const changed = await find(em, id);
      if (changed.search !== null)
        throw Problem.conflict('This collection is a search: its pictures are those that the search finds.');
      await requireKnown(em, new Set((arrangement.place ?? []).map((p) => p.id)));
      const { items, back } = arrange(changed.items, arrangement);
      if (items.length > MOST_ITEMS)
        throw Problem.invalid([{ field: 'place', message: `place: a collection has at most ${MOST_ITEMS} pictures` }]);
      changed.items = [...items];
      changed.updatedAt = new Date();
      return { changed, back: back as ArrangementDto };
    });
    return { collection: this.told(changed), back };
  }

  async remove(id: string): Promise<void> {
    const removed = await together(this.em, async (em) => {
      const collection = await find(em, id);
      collection.deletedAt = new Date();
      return collection;
    });
    this.told(removed);
  }

  async restore(id: string): Promise<CollectionDto> {
    const restored = await together(this.em, async (em) => {
      const collection = await em.findOne(CollectionEntity, { id });
      if (!collection) throw Problem.notFound('This collection');
      collection.deletedAt = null;
      return collection;
    });
    return this.told(restored);
  }

  private told(collection: Collection): CollectionDto {
    this.events.publish({ type: 'collection', id: collection.id });
    return toCollectionDto(collection);
  }
}

/** Throws a not-found {@link Problem} for an unknown or deleted collection. */
async function find(em: SqlEntityManager, id: string): Promise<Collection> {
  const collection = await em.findOne(CollectionEntity, { id, deletedAt: null });
  if (!collection) throw Problem.notFound('This collection');
  return collection;
}

/** Throws a {@link Problem} unless all of these are references of the library, archived ones too. */
async function requireKnown(em: SqlEntityManager, ids: Iterable<string>): Promise<void> {
  const wanted = [...ids];
  const known = await em.count(ReferenceEntity, { id: { $in: wanted } });
  if (known !== wanted.length)
    throw Problem.invalid([
      { field: 'place', message: `${wanted.length - known} of these pictures are not in the library` },
    ]);
}
