import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { MixInfluence, OwnSettings } from '@urbild/core';
import { belongsToProjects, ofItsMix, ofItsSeries } from '../platform/access/belonging';
import { NAMES_BLOBS_INSIDE } from '../platform/blobs/blobFields';

/** What a shot says differently from the mix that it shares. */
export type ShotOwn = OwnSettings<MixInfluence>;

/** A list of shots over one mix. */
export const SeriesEntity = defineEntity({
  name: 'Series',
  tableName: 'series',
  filters: belongsToProjects({ table: 'series', path: 'series', called: 'This series', project: ofItsMix }),
  properties: {
    id: p.string().primary(),
    name: p.string(),
    mixId: p.string().index(),
    /** The version of the mix that is used; its newest state when absent. */
    mixVersion: p.integer().nullable(),
    /** Its takes wait until somebody lets them go on. */
    paused: p.boolean(),
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
  filters: belongsToProjects({ table: 'shot', path: 'shots', called: 'This shot', project: ofItsSeries }),
  properties: {
    id: p.string().primary(),
    seriesId: p.string().index(),
    position: p.integer(),
    title: p.string(),
    prompt: p.text(),
    notes: p.text(),
    seed: p.integer(),
    /** Left out of renders, measures and exports. */
    skipped: p.boolean(),
    own: p.json<ShotOwn>().comment(NAMES_BLOBS_INSIDE),
    createdAt: p.datetime(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Shot = InferEntity<typeof ShotEntity>;
