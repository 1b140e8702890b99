import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A list of shots over one mix. */
export const SeriesEntity = defineEntity({
  name: 'Series',
  tableName: 'series',
  properties: {
    id: p.string().primary(),
    name: p.string(),
    mixId: p.string().index(),
    createdAt: p.datetime(),
    updatedAt: p.datetime(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Series = InferEntity<typeof SeriesEntity>;

/** One prompt of a series. */
export const ShotEntity = defineEntity({
  name: 'Shot',
  tableName: 'shot',
  properties: {
    id: p.string().primary(),
    seriesId: p.string().index(),
    position: p.integer(),
    title: p.string(),
    prompt: p.text(),
    seed: p.integer(),
    createdAt: p.datetime(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Shot = InferEntity<typeof ShotEntity>;
