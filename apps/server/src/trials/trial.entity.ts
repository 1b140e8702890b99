import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { Axis, MixInfluence, MixState, ShotPlan, Targets, Trial } from '@urbild/core';
import type { Quality } from '../mixes/mix.entity';
import { belongsToProjects, ofItsMix } from '../platform/access/belonging';
import { NAMES_BLOBS_INSIDE } from '../platform/blobs/blobFields';

/** A shot over which something is tried, as it was then. */
export interface TrialShot extends ShotPlan<MixInfluence> {
  readonly id: string;
  readonly title: string;
}

/** Shots of a series over which something is tried. */
export interface TrialShots {
  readonly seriesId: string;
  readonly shots: readonly TrialShot[];
}

/** Takes over the values of one or two settings. */
export const StripEntity = defineEntity({
  name: 'Strip',
  tableName: 'strip',
  filters: belongsToProjects({ table: 'strip', path: 'strips', called: 'This strip', project: ofItsMix }),
  properties: {
    id: p.string().primary(),
    mixId: p.string().index(),
    name: p.string(),
    /** The mix as it was when the strip was made. */
    state: p.json<MixState>().comment(NAMES_BLOBS_INSIDE),
    axes: p.json<readonly Axis[]>().comment(NAMES_BLOBS_INSIDE),
    quality: p.string().$type<Quality>(),
    /** Of a strip over a series: each cell is these shots. */
    shots: p.json<TrialShots>().nullable().comment(NAMES_BLOBS_INSIDE),
    /** One take per cell (and shot), row by row; a proof takes the place of its draft. */
    takeIds: p.json<readonly string[]>(),
    createdAt: p.datetime().index(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Strip = InferEntity<typeof StripEntity>;

export const SOLVE_STATES = ['running', 'met', 'cannot', 'stopped', 'failed'] as const;
export type SolveState = (typeof SOLVE_STATES)[number];

/** A draft of a search, with its take. */
export interface SolveTrial extends Trial {
  readonly takeId: string;
}

/** A search for the weights that bring a take to its targets. */
export const SolveEntity = defineEntity({
  name: 'Solve',
  tableName: 'solve',
  filters: belongsToProjects({ table: 'solve', path: 'solves', called: 'This search', project: ofItsMix }),
  properties: {
    id: p.string().primary(),
    mixId: p.string().index(),
    state: p.json<MixState>().comment(NAMES_BLOBS_INSIDE),
    /** Of a search over a series: the arrivals are means over these shots. */
    shots: p.json<TrialShots>().nullable().comment(NAMES_BLOBS_INSIDE),
    targets: p.json<Targets>(),
    path: p.json<readonly SolveTrial[]>(),
    status: p.string().$type<SolveState>(),
    best: p.integer().nullable(),
    reason: p.string(),
    createdAt: p.datetime().index(),
    version: p.integer().version(),
  },
});
export type Solve = InferEntity<typeof SolveEntity>;
