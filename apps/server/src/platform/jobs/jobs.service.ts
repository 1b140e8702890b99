import { MikroORM, type EntityManager } from '@mikro-orm/core';
import { Injectable, OnModuleDestroy } from '@nestjs/common';
import { randomUUID } from 'crypto';
import { personAsking } from '../access/asker';
import { together } from '../database/together';
import { JobEntity, type Job, type JobState } from './job.entity';
import { JobRunner, type EndedJob, type JobHandler } from './jobRunner';

export { JobCancelled, type JobHandler } from './jobRunner';

/** What is asked of the queue. */
export interface NewJob {
  readonly kind: string;
  readonly subject: string;
  readonly payload?: Record<string, unknown>;
  /** Smaller goes first; 0 is what somebody waits for. */
  readonly priority?: number;
}

const UNFINISHED: readonly JobState[] = ['queued', 'held', 'running'];

const ADD = `insert or ignore into job
  (id, kind, subject, payload, state, priority, person, sequence, attempts, crashes, created_at)
  values (?, ?, ?, ?, 'queued', ?, ?, ?, 0, 0, ?)`;

/** The queue: jobs lie in the database, and this process does them. */
@Injectable()
export class JobsService implements OnModuleDestroy {
  private readonly handlers = new Map<string, JobHandler>();
  private readonly listeners: ((ended: EndedJob) => void)[] = [];
  private readonly runner: JobRunner;
  private sequence = Date.now() * 1000;

  constructor(private readonly orm: MikroORM) {
    this.runner = new JobRunner(orm, this.handlers, (ended) => this.listeners.forEach((listen) => listen(ended)));
  }

  /** Tells of every job that has ended, and how long it took. */
  whenEnded(listen: (ended: EndedJob) => void): void {
    this.listeners.push(listen);
  }

  register(kind: string, handler: JobHandler): void {
    this.handlers.set(kind, handler);
  }

  /** Begins to work. This process must be the only one on the data folder. */
  start(): Promise<void> {
    return this.runner.start();
  }

  /** True while the queue waits because the disk is full. */
  get waitsForRoom(): boolean {
    return this.runner.waitsForRoom;
  }

  /**
   * Adds jobs as a part of the transaction of `em`, or in one of their own. A job of the same kind and subject that is not finished stays
   * the only one (a unique index sees to it). They are those of whoever asks just now: among jobs of one priority, people take turns.
   */
  async enqueue(em: EntityManager, ...jobs: readonly NewJob[]): Promise<void> {
    const person = personAsking() ?? '';
    await together(em, async (tx) => {
      for (const { kind, subject, payload = {}, priority = 0 } of jobs)
        await tx.execute(
          ADD,
          [randomUUID(), kind, subject, JSON.stringify(payload), priority, person, this.sequence++, Date.now()],
          'run',
        );
    });
    this.runner.wake();
  }

  /** How many jobs of a kind are not finished. */
  unfinished(em: EntityManager, kind: string): Promise<number> {
    return em.count(JobEntity, { kind, state: { $in: [...UNFINISHED] } });
  }

  /** Takes waiting jobs out of the queue; returns how many had not begun. Nothing of them stays. */
  cancelQueued(em: EntityManager, kind: string, subjects: readonly string[]): Promise<number> {
    return em.nativeDelete(JobEntity, { kind, subject: { $in: [...subjects] }, state: { $in: ['queued', 'held'] } });
  }

  /** Of some subjects those whose unfinished job somebody else has asked for. */
  async ofOthers(em: EntityManager, kind: string, subjects: readonly string[]): Promise<ReadonlySet<string>> {
    const jobs = await em.find(JobEntity, {
      kind,
      subject: { $in: [...subjects] },
      state: { $in: [...UNFINISHED] },
      person: { $ne: personAsking() ?? '' },
    });
    return new Set(jobs.map((job) => job.subject));
  }

  /** Lets waiting jobs wait until they are released; those that run go on to their end. */
  async hold(em: EntityManager, kind: string, subjects: readonly string[]): Promise<void> {
    await em.nativeUpdate(JobEntity, { kind, subject: { $in: [...subjects] }, state: 'queued' }, { state: 'held' });
  }

  /** Puts held jobs back into the queue. */
  async release(em: EntityManager, kind: string, subjects: readonly string[]): Promise<void> {
    await em.nativeUpdate(JobEntity, { kind, subject: { $in: [...subjects] }, state: 'held' }, { state: 'queued' });
    this.runner.wake();
  }

  /** Subjects of the jobs in the queue, in their order; running ones first. */
  async queue(kind: string): Promise<string[]> {
    const jobs = await this.orm.em
      .fork()
      .find(
        JobEntity,
        { kind, state: { $in: ['queued', 'running'] } },
        { orderBy: [{ state: 'desc' }, { priority: 'asc' }, { sequence: 'asc' }] },
      );
    return jobs.map((j) => j.subject);
  }

  /** Jobs that ended for good without being done, newest first. */
  troubled(): Promise<Job[]> {
    return this.orm.em
      .fork()
      .find(JobEntity, { state: { $in: ['failed', 'aside'] } }, { orderBy: { finishedAt: 'desc' }, limit: 100 });
  }

  find(id: string): Promise<Job | null> {
    return this.orm.em.fork().findOne(JobEntity, { id });
  }

  /** Tries a failed job, or one that was set aside, again; false when there is none of this id. */
  async retry(id: string): Promise<boolean> {
    const found = await together(this.orm.em.fork(), async (em) => {
      const job = await em.findOne(JobEntity, { id, state: { $in: ['failed', 'aside'] } });
      if (!job) return false;
      const { kind, subject } = job;
      if (await em.count(JobEntity, { kind, subject, state: { $in: [...UNFINISHED] } })) {
        em.remove(job); // somebody asked for the same meanwhile
        return true;
      }
      await this.handlers.get(kind)?.again?.(job, em);
      Object.assign(job, { state: 'queued', attempts: 0, crashes: 0, error: null, finishedAt: null });
      return true;
    });
    this.runner.wake();
    return found;
  }

  /** Resolves when nothing waits and nothing runs; for tests and scripts. */
  idle(): Promise<void> {
    return this.runner.idle();
  }

  onModuleDestroy(): Promise<void> {
    return this.runner.close();
  }
}
