import type { EntityManager, MikroORM } from '@mikro-orm/core';
import { Logger } from '@nestjs/common';
import { AsyncLocalStorage } from 'async_hooks';
import { randomUUID } from 'crypto';
import { onBehalfOf } from '../access/asker';
import { together } from '../database/together';
import { isNoRoom } from '../room';
import { JobEntity, type Job, type JobState } from './job.entity';

/** Does the jobs of one kind. Must be idempotent: after a crash the same job is done again. */
export interface JobHandler {
  /** How many jobs of this kind run at once. */
  readonly concurrency: number;
  /** While all of these places are taken by what nobody waits for, one job of priority 0 runs besides. */
  readonly quick?: boolean;
  /** Its jobs wait for other jobs: they never have to run alone, and are never blamed for the end of a process. */
  readonly waits?: boolean;
  /** Finished jobs stay in the table, for those who count them. */
  readonly keepsRecord?: boolean;
  run(job: Job, em: EntityManager): Promise<void>;
  /** Called once when a job has failed for good, or was set aside. */
  failed?(job: Job, error: Error, em: EntityManager): Promise<void>;
  /** Called before a failed job, or one that was set aside, is tried again. */
  again?(job: Job, em: EntityManager): Promise<void>;
}

/** Milliseconds that a process is believed to be alive after its last sign. */
const LEASE = 20_000;
const MAX_ATTEMPTS = 3;
/** A job that was running at the end of so many processes is set aside. */
const MAX_CRASHES = 3;
/** People whose turns are remembered. */
const MOST_TURNS = 100;
/** Milliseconds between looks at a full disk: the first, and the longest. */
const ROOM_LOOK = { first: 1_000, longest: 20_000 };
const ASIDE = `The studio ended ${MAX_CRASHES} times while this was being done, so it was set aside. Everything else goes on; try it again when you like.`;

/** How a job ended; one that is tried again has ended too. */
export interface EndedJob {
  readonly kind: string;
  readonly outcome: 'done' | 'failed' | 'cancelled';
  readonly milliseconds: number;
}

/** Thrown by a handler whose job somebody has cancelled. */
export class JobCancelled extends Error {}

/**
 * Does what lies in the queue. A running job holds a lease that is renewed; one whose holder gave no sign for a whole lease, or is gone
 * at the start, is taken over. What failed is tried again twice; what took the process with it is tried again alone, and set aside the
 * third time. Among jobs of one priority people take turns. While the disk is full nothing begins, and what ended for want of room begins anew when there is some.
 */
export class JobRunner {
  private readonly owner = randomUUID();
  /** Whose jobs began, the latest last. */
  private readonly turns = new Set<string>();
  private readonly running = new Map<string, { readonly job: Job; readonly work: Promise<void> }>();
  private readonly logger = new Logger('jobs');
  private upkeep?: NodeJS.Timeout;
  private started = false;
  private closed = false;
  private pumping?: Promise<void>;
  private again = false;
  /** Work begins outside of the transaction and the request in which somebody asked for it. */
  private readonly outside = AsyncLocalStorage.snapshot();
  /** The next look, while the queue waits because the disk is full or the database does not answer. */
  private pause?: NodeJS.Timeout;
  private wait = ROOM_LOOK.first;
  private full = false;

  constructor(
    private readonly orm: MikroORM,
    private readonly handlers: ReadonlyMap<string, JobHandler>,
    private readonly tell: (ended: EndedJob) => void = () => undefined,
  ) {}

  /** True while the queue waits because the disk is full. */
  get waitsForRoom(): boolean {
    return this.full;
  }

  /** Takes over what an earlier process left running, and begins to work. */
  async start(): Promise<void> {
    await this.takeOver({ state: 'running' });
    this.started = true;
    this.upkeep = setInterval(() => void this.renew().catch((e) => this.trouble(e)), LEASE / 4);
    this.wake();
  }

  /** Resolves when nothing waits and nothing runs, or when it is closed. */
  async idle(): Promise<void> {
    while (!this.closed) {
      await Promise.all([...this.running.values()].map((r) => r.work));
      const waiting = await this.orm.em.fork().count(JobEntity, { state: { $in: ['queued', 'running'] } });
      if (!waiting) return;
      await sleep(50);
    }
  }

  /** Ends the work: what runs is waited for, or thrown out by its own end, and goes on at the next start without being blamed. */
  async close(): Promise<void> {
    this.closed = true;
    clearInterval(this.upkeep);
    clearTimeout(this.pause);
    await Promise.allSettled([...this.running.values()].map((r) => r.work));
    await this.pumping?.catch(() => undefined);
    await this.giveBack({ leaseOwner: this.owner }).catch((e: Error) => this.logger.warn(e.message));
  }

  /** Looks for work soon. */
  wake(): void {
    if (!this.started || this.closed) return;
    this.again = true;
    this.pumping ??= this.outside(() => this.pump())
      .catch((error) => this.trouble(error))
      .finally(() => {
        this.pumping = undefined;
        if (this.again && !this.pause) this.wake();
      });
  }

  private async pump(): Promise<void> {
    while (this.again && !this.closed && !this.pause) {
      this.again = false;
      while (!this.closed && !this.pause && (await this.claim()));
    }
  }

  /** What may begin now: jobs of kinds with a free place, and what somebody waits for where a quick one is. Undefined when nothing may. */
  private startable(): { state: 'queued'; $or: object[] } | undefined {
    const busy = (kind: string) => [...this.running.values()].filter(({ job }) => job.kind === kind);
    const free: string[] = [];
    const quick: string[] = [];
    for (const [kind, handler] of this.handlers) {
      const here = busy(kind);
      if (here.length < handler.concurrency) free.push(kind);
      else if (handler.quick && here.every(({ job }) => job.priority > 0)) quick.push(kind);
    }
    if (!free.length && !quick.length) return undefined;
    return { state: 'queued', $or: [{ kind: { $in: free } }, { kind: { $in: quick }, priority: 0 }] };
  }

  /** The next job: of the most urgent ones, the first of whoever has waited longest for a turn. */
  private async next(em: EntityManager): Promise<Job | null> {
    const startable = this.startable();
    if (!startable) return null;
    const first = await em.findOne(JobEntity, startable, { orderBy: [{ priority: 'asc' }, { sequence: 'asc' }] });
    if (!first) return null;
    const alike = { ...startable, priority: first.priority };
    const served = [...this.turns];
    for (const person of [{ $nin: served }, ...served]) {
      const job = await em.findOne(JobEntity, { ...alike, person }, { orderBy: { sequence: 'asc' } });
      if (job) return job;
    }
    return first;
  }

  private served(person: string): void {
    this.turns.delete(person);
    this.turns.add(person);
    if (this.turns.size > MOST_TURNS) this.turns.delete(this.turns.values().next().value!);
  }

  /** Begins the next job; false when nothing can begin now. */
  private async claim(): Promise<boolean> {
    const others = [...this.running.values()].filter((r) => !this.handlers.get(r.job.kind)!.waits);
    // what may take the process with it runs alone, so that nobody else is blamed
    if (others.some((r) => r.job.crashes > 0)) return false;
    const em = this.orm.em.fork();
    const job = await this.next(em);
    if (!job || this.closed || (job.crashes > 0 && others.length)) return false;
    const lease = { state: 'running' as const, leaseOwner: this.owner, leaseUntil: new Date(Date.now() + LEASE) };
    if (!(await em.nativeUpdate(JobEntity, { id: job.id, state: 'queued' }, lease))) return true;
    if (this.closed) return false;
    this.served(job.person);
    const work = this.perform(job)
      .catch((error) => this.trouble(error))
      .finally(() => {
        this.running.delete(job.id);
        this.wake();
      });
    this.running.set(job.id, { job, work });
    return true;
  }

  private async perform(job: Job): Promise<void> {
    const handler = this.handlers.get(job.kind)!;
    const since = performance.now();
    const told = (outcome: EndedJob['outcome']) =>
      this.tell({ kind: job.kind, outcome, milliseconds: performance.now() - since });
    try {
      await onBehalfOf(job.person || undefined, () => handler.run(job, this.orm.em.fork()));
    } catch (error) {
      told(error instanceof JobCancelled ? 'cancelled' : 'failed');
      return this.ended(job, handler, error as Error);
    }
    told('done');
    await this.stubbornly(() => this.finish(job, handler, 'done'));
    this.wait = ROOM_LOOK.first;
  }

  /** What becomes of a job that threw. */
  private async ended(job: Job, handler: JobHandler, error: Error): Promise<void> {
    if (this.closed) return; // it is given back when all have ended
    if (error instanceof JobCancelled) return this.stubbornly(() => this.finish(job, handler, 'cancelled'));
    if (isNoRoom(error)) {
      this.trouble(error);
      return this.stubbornly(() => this.giveBack({ id: job.id }));
    }
    this.logger.warn(`${job.kind} ${job.subject}: ${error.message}`);
    const attempts = job.attempts + 1;
    if (attempts < MAX_ATTEMPTS)
      return this.stubbornly(async () => {
        await this.orm.em.fork().nativeUpdate(JobEntity, { id: job.id }, { attempts });
        await this.giveBack({ id: job.id });
      });
    await this.stubbornly(() => this.giveUp(job, handler, 'failed', error, attempts));
  }

  private async giveUp(job: Job, handler: JobHandler, state: JobState, error: Error, attempts: number): Promise<void> {
    await together(this.orm.em.fork(), async (em) => {
      await handler.failed?.(job, error, em);
      await em.nativeUpdate(
        JobEntity,
        { id: job.id },
        { state, attempts, error: error.message, finishedAt: new Date(), leaseOwner: null, leaseUntil: null },
      );
    });
  }

  private async finish(job: Job, handler: JobHandler, state: JobState): Promise<void> {
    const em = this.orm.em.fork();
    if (!handler.keepsRecord) return void (await em.nativeDelete(JobEntity, { id: job.id }));
    const ended = { state, error: null, finishedAt: new Date(), leaseOwner: null, leaseUntil: null };
    await em.nativeUpdate(JobEntity, { id: job.id }, ended);
  }

  /** Puts running jobs back into the queue as if they had not begun. */
  private async giveBack(where: { id?: string; leaseOwner?: string }): Promise<void> {
    const back = { state: 'queued' as const, leaseOwner: null, leaseUntil: null };
    await this.orm.em.fork().nativeUpdate(JobEntity, { ...where, state: 'running' }, back);
  }

  /** Puts jobs back into the queue whose process is gone; those that were there too often are set aside. */
  private async takeOver(where: object): Promise<void> {
    const orphans = await this.orm.em.fork().find(JobEntity, where);
    for (const job of orphans) {
      const handler = this.handlers.get(job.kind);
      const crashes = job.crashes + (handler?.waits ? 0 : 1);
      await this.orm.em.fork().nativeUpdate(JobEntity, { id: job.id }, { crashes });
      if (handler && crashes >= MAX_CRASHES)
        await this.giveUp({ ...job, crashes } as Job, handler, 'aside', new Error(ASIDE), job.attempts);
      else await this.giveBack({ id: job.id });
    }
    if (orphans.length) this.logger.log(`${orphans.length} jobs go on after a restart`);
  }

  private async renew(): Promise<void> {
    if (this.closed) return;
    const own = [...this.running.keys()];
    const until = new Date(Date.now() + LEASE);
    if (own.length)
      await this.orm.em.fork().nativeUpdate(JobEntity, { id: { $in: own }, state: 'running' }, { leaseUntil: until });
    await this.takeOver({ state: 'running', id: { $nin: own }, leaseUntil: { $lt: new Date() } });
    this.wake();
  }

  /** Does a write that must not be lost: as long as the disk is full it is tried again. */
  private async stubbornly(write: () => Promise<void>): Promise<void> {
    for (;;)
      try {
        return await write();
      } catch (error) {
        if (!isNoRoom(error) || this.closed) throw error;
        this.trouble(error);
        await sleep(this.wait);
      }
  }

  /** Something of the queue itself went wrong: it waits and looks again, each time a little later. */
  private trouble(error: unknown): void {
    if (this.closed) return;
    const full = isNoRoom(error);
    if (!full) this.logger.error(error);
    else if (!this.full) this.logger.warn('The disk is full: the queue waits and goes on when there is room.');
    this.full ||= full;
    if (this.pause) return;
    this.pause = setTimeout(() => {
      this.pause = undefined;
      this.full = false;
      this.wake();
    }, this.wait);
    this.wait = Math.min(ROOM_LOOK.longest, 2 * this.wait);
  }
}

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
