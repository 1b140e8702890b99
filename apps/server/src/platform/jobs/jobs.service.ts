import { EntityManager, MikroORM } from '@mikro-orm/core';
import { Injectable, Logger, OnModuleDestroy } from '@nestjs/common';
import { randomUUID } from 'crypto';
import { JobEntity, type Job } from './job.entity';

/** Does the jobs of one kind. Must be idempotent: after a crash the same job is done again. */
export interface JobHandler {
  /** How many jobs of this kind run at once. */
  readonly concurrency: number;
  run(job: Job, em: EntityManager): Promise<void>;
  /** Called once when a job has failed for good. */
  failed?(job: Job, error: Error, em: EntityManager): Promise<void>;
}

/** What is asked of the queue. */
export interface NewJob {
  readonly kind: string;
  readonly subject: string;
  readonly payload?: Record<string, unknown>;
  /** Smaller goes first; 0 is what somebody waits for. */
  readonly priority?: number;
}

const LEASE = 20_000;
const MAX_ATTEMPTS = 3;

/** Thrown by a handler whose job somebody has cancelled. */
export class JobCancelled extends Error {}

/**
 * The queue: jobs lie in the database and are done by this process. A running job holds a lease that is renewed; on
 * start, jobs whose holder is gone are queued again.
 */
@Injectable()
export class JobsService implements OnModuleDestroy {
  private readonly owner = randomUUID();
  private readonly handlers = new Map<string, JobHandler>();
  private readonly running = new Map<string, Promise<void>>();
  private readonly busy = new Map<string, number>();
  private readonly logger = new Logger('jobs');
  private renewal?: NodeJS.Timeout;
  private sequence = Date.now() * 1000;
  private started = false;
  private closed = false;

  constructor(private readonly orm: MikroORM) {}

  register(kind: string, handler: JobHandler): void {
    this.handlers.set(kind, handler);
  }

  /** Takes over what an earlier process left running, and begins to work. */
  async start(): Promise<void> {
    const em = this.orm.em.fork();
    const orphans = await em.nativeUpdate(
      JobEntity,
      { state: 'running' },
      { state: 'queued', leaseOwner: null, leaseUntil: null },
    );
    if (orphans) this.logger.log(`${orphans} jobs go on after a restart`);
    this.started = true;
    this.renewal = setInterval(() => void this.renew(), LEASE / 4);
    void this.pump();
  }

  /** Puts a job in line unless one of the same kind and subject waits or runs already. Flushes. */
  async enqueue(em: EntityManager, { kind, subject, payload = {}, priority = 0 }: NewJob): Promise<void> {
    const same = await em.count(JobEntity, { kind, subject, state: { $in: ['queued', 'held', 'running'] } });
    if (!same) {
      em.create(JobEntity, {
        id: randomUUID(),
        kind,
        subject,
        payload,
        state: 'queued',
        priority,
        sequence: this.sequence++,
        attempts: 0,
        createdAt: new Date(),
      });
    }
    await em.flush();
    void this.pump();
  }

  /** Takes a waiting job out of line; true if it had not begun. */
  async cancelQueued(kind: string, subject: string): Promise<boolean> {
    const changed = await this.orm.em
      .fork()
      .nativeUpdate(
        JobEntity,
        { kind, subject, state: { $in: ['queued', 'held'] } },
        { state: 'cancelled', finishedAt: new Date() },
      );
    return changed > 0;
  }

  /** Lets waiting jobs wait until they are released; those that run go on to their end. */
  async hold(kind: string, subjects: readonly string[]): Promise<void> {
    await this.orm.em
      .fork()
      .nativeUpdate(JobEntity, { kind, subject: { $in: [...subjects] }, state: 'queued' }, { state: 'held' });
  }

  /** Puts held jobs back in line. */
  async release(kind: string, subjects: readonly string[]): Promise<void> {
    await this.orm.em
      .fork()
      .nativeUpdate(JobEntity, { kind, subject: { $in: [...subjects] }, state: 'held' }, { state: 'queued' });
    void this.pump();
  }

  /** Subjects of the jobs in line, in their order; running ones first. */
  async line(kind: string): Promise<string[]> {
    const jobs = await this.orm.em
      .fork()
      .find(
        JobEntity,
        { kind, state: { $in: ['queued', 'running'] } },
        { orderBy: [{ state: 'desc' }, { priority: 'asc' }, { sequence: 'asc' }] },
      );
    return jobs.map((j) => j.subject);
  }

  /** Resolves when nothing waits and nothing runs; for tests and scripts. */
  async idle(): Promise<void> {
    while (!this.closed) {
      await Promise.all([...this.running.values()]);
      const waiting = await this.orm.em.fork().count(JobEntity, { state: { $in: ['queued', 'running'] } });
      if (!waiting) return;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  }

  async onModuleDestroy(): Promise<void> {
    this.closed = true;
    clearInterval(this.renewal);
    await Promise.allSettled([...this.running.values()]);
  }

  private async pump(): Promise<void> {
    if (!this.started || this.closed) return;
    const em = this.orm.em.fork();
    const free = [...this.handlers]
      .filter(([kind, h]) => (this.busy.get(kind) ?? 0) < h.concurrency)
      .map(([kind]) => kind);
    if (!free.length) return;
    const next = await em.findOne(
      JobEntity,
      { state: 'queued', kind: { $in: free } },
      { orderBy: [{ priority: 'asc' }, { sequence: 'asc' }] },
    );
    if (!next || this.closed) return;
    const claimed = await em.nativeUpdate(
      JobEntity,
      { id: next.id, state: 'queued' },
      {
        state: 'running',
        leaseOwner: this.owner,
        leaseUntil: new Date(Date.now() + LEASE),
        attempts: next.attempts + 1,
      },
    );
    if (claimed && !this.closed) {
      this.busy.set(next.kind, (this.busy.get(next.kind) ?? 0) + 1);
      const work = this.perform({ ...next, attempts: next.attempts + 1 } as Job).finally(() => {
        this.running.delete(next.id);
        this.busy.set(next.kind, this.busy.get(next.kind)! - 1);
        void this.pump();
      });
      this.running.set(next.id, work);
    }
    void this.pump();
  }

  private async perform(job: Job): Promise<void> {
    const handler = this.handlers.get(job.kind)!;
    const em = this.orm.em.fork();
    try {
      await handler.run(job, em);
      await this.finish(job, 'done');
    } catch (error) {
      if (this.closed) return; // the lease stays; the next start does the job again
      if (error instanceof JobCancelled) return void (await this.finish(job, 'cancelled'));
      this.logger.warn(`${job.kind} ${job.subject}: ${(error as Error).message}`);
      if (job.attempts < MAX_ATTEMPTS) {
        await this.orm.em
          .fork()
          .nativeUpdate(JobEntity, { id: job.id }, { state: 'queued', leaseOwner: null, leaseUntil: null });
        return;
      }
      await this.finish(job, 'failed', (error as Error).message);
      await handler.failed?.(job, error as Error, this.orm.em.fork());
    }
  }

  private async finish(job: Job, state: Job['state'], error?: string): Promise<void> {
    await this.orm.em
      .fork()
      .nativeUpdate(
        JobEntity,
        { id: job.id },
        { state, error: error ?? null, finishedAt: new Date(), leaseOwner: null, leaseUntil: null },
      );
  }

  private async renew(): Promise<void> {
    if (!this.running.size || this.closed) return;
    await this.orm.em
      .fork()
      .nativeUpdate(
        JobEntity,
        { leaseOwner: this.owner, state: 'running' },
        { leaseUntil: new Date(Date.now() + LEASE) },
      );
  }
}
