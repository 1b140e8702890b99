import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { FrameMove } from '@urbild/engine';
import type { MixState } from '@urbild/core';
import type { Quality } from '../../mixes/mix.entity';
import { belongsToProjects, ofItsSeries } from '../../platform/access/belonging';
import { NAMES_BLOBS_INSIDE } from '../../platform/blobs/blobFields';

/** A short run of frames over one shot: all rendered freely, and once more held by one of them. */
export const SequenceEntity = defineEntity({
  name: 'Sequence',
  tableName: 'sequence',
  filters: belongsToProjects({ table: 'sequence', path: 'sequences', called: 'This sequence', project: ofItsSeries }),
  properties: {
    id: p.string().primary(),
    seriesId: p.string().index(),
    shotId: p.string(),
    name: p.string(),
    /** What the frames are made from: the shot as it was. */
    state: p.json<MixState>().comment(NAMES_BLOBS_INSIDE),
    move: p.json<FrameMove>(),
    quality: p.string().$type<Quality>(),
    /** One take a frame, each rendered by itself. */
    freeIds: p.json<readonly string[]>(),
    /** The frame that holds the others, and its and their takes then. */
    hold: p.integer().nullable(),
    heldIds: p.json<readonly string[]>().nullable(),
    createdAt: p.datetime().index(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Sequence = InferEntity<typeof SequenceEntity>;

/** How many frames a sequence may have. */
export const FEWEST_FRAMES = 8;
export const MOST_FRAMES = 48;
