import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { MixInfluence, MixSettings, MixState } from '@urbild/core';
import { belongsToProjects, ofItsMix } from '../platform/access/belonging';
import { NAMES_BLOBS_INSIDE } from '../platform/blobs/blobFields';
import { FIRST_PROJECT } from '../projects/project.entity';

/** How large a take is rendered. */
export const QUALITIES = ['draft', 'proof', 'print'] as const;
export type Quality = (typeof QUALITIES)[number];

/** Prompt, settings and influences, saved under a name. */
export const MixEntity = defineEntity({
  name: 'Mix',
  tableName: 'mix',
  filters: belongsToProjects({
    table: 'mix',
    path: 'mixes',
    called: 'This mix',
    project: (mix) => `${mix}.project_id`,
  }),
  properties: {
    id: p.string().primary(),
    name: p.string(),
    projectId: p.string().default(FIRST_PROJECT).index(),
    prompt: p.text(),
    avoid: p.text(),
    settings: p.json<MixSettings>().comment(NAMES_BLOBS_INSIDE),
    influences: p.json<MixInfluence[]>().comment(NAMES_BLOBS_INSIDE),
    /** Done with: in no list of what is worked on. */
    archived: p.boolean().default(false),
    createdAt: p.datetime(),
    updatedAt: p.datetime().index(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Mix = InferEntity<typeof MixEntity>;

/** A state of a mix as it was when a take was asked of it. */
export const MixVersionEntity = defineEntity({
  name: 'MixVersion',
  tableName: 'mix_version',
  filters: belongsToProjects({ table: 'mix_version', path: 'mix-versions', called: 'This version', project: ofItsMix }),
  properties: {
    id: p.string().primary(),
    mixId: p.string().index(),
    number: p.integer(),
    state: p.json<MixState>().comment(NAMES_BLOBS_INSIDE),
    createdAt: p.datetime(),
  },
});
export type MixVersion = InferEntity<typeof MixVersionEntity>;
