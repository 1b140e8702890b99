import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** Pictures that somebody put together: by hand and in an order, or by a search that is asked anew each time. */
export const CollectionEntity = defineEntity({
  name: 'Collection',
  tableName: 'collection',
  properties: {
    id: p.string().primary(),
    name: p.string(),
    /** Ids of references in their order; empty for a search. */
    items: p.json<string[]>(),
    /** The query string of a search; null for what is put together by hand. */
    search: p.text().nullable(),
    createdAt: p.datetime(),
    updatedAt: p.datetime(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Collection = InferEntity<typeof CollectionEntity>;
