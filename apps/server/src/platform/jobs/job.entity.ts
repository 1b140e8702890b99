import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A held job waits until it is released. */
export type JobState = 'queued' | 'held' | 'running' | 'done' | 'failed' | 'cancelled';

/** A piece of work that survives a restart. */
export const JobEntity = defineEntity({
  name: 'Job',
  tableName: 'job',
  properties: {
    id: p.string().primary(),
    kind: p.string(),
    /** What it is about: unique among jobs of one kind that are not finished. */
    subject: p.string().index(),
    payload: p.json<Record<string, unknown>>(),
    state: p.string().$type<JobState>().index(),
    /** Smaller goes first. */
    priority: p.integer(),
    sequence: p.integer(),
    attempts: p.integer(),
    leaseOwner: p.string().nullable(),
    leaseUntil: p.datetime().nullable(),
    error: p.text().nullable(),
    createdAt: p.datetime(),
    finishedAt: p.datetime().nullable(),
  },
});
export type Job = InferEntity<typeof JobEntity>;
