import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/**
 * A held job waits until it is released. One that was set aside took the process with it too often: it waits until a person tries it
 * again.
 */
export const JOB_STATES = ['queued', 'held', 'running', 'aside', 'done', 'failed', 'cancelled'] as const;
export type JobState = (typeof JOB_STATES)[number];

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
    /** Who asked for it; empty for whoever works alone, and for what the studio does by itself. */
    person: p.string().default(''),
    sequence: p.integer(),
    /** How often it failed. Restarts do not count. */
    attempts: p.integer(),
    /** How often the process ended without saying goodbye while this was running. */
    crashes: p.integer(),
    /** The process that does it, and until when it is believed to be alive. */
    leaseOwner: p.string().nullable(),
    leaseUntil: p.datetime().nullable(),
    error: p.text().nullable(),
    createdAt: p.datetime(),
    finishedAt: p.datetime().nullable(),
  },
});
export type Job = InferEntity<typeof JobEntity>;
