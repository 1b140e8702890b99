import type { EntityManager as Manager } from '@mikro-orm/core';
import { EntityManager, RequestContext } from '@mikro-orm/core';
import { Injectable, OnModuleInit } from '@nestjs/common';
import { calledInShot, solveStep, type Trial } from '@urbild/core';
import { randomUUID } from 'crypto';
import type { Quality } from '../mixes/mix.entity';
import { MixesService } from '../mixes/mixes.service';
import { SourcesService } from '../mixes/sources.service';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import type { Job } from '../platform/jobs/job.entity';
import { JobsService, type JobHandler } from '../platform/jobs/jobs.service';
import { Problem } from '../platform/problems/problem';
import { arrivalsOf } from '../takes/arrivals';
import { TakeEntity, type Take } from '../takes/take.entity';
import { TakeQueue } from '../takes/takeQueue.service';
import { TakesService } from '../takes/takes.service';
import type { NewSolveDto, SolveDto } from './trial.dto';
import { TrialShotsService } from './trialShots.service';
import { SolveEntity, type Solve } from './trial.entity';
import { untoldIn } from './untold';

const PRIORITY = 1;
/** Milliseconds between looks at a draft that is rendered. */
const LOOK = 60;

/** Searches for the weights that bring a take to its targets; a job of its own, one draft after another. */
@Injectable()
export class SolvesService implements JobHandler, OnModuleInit {
  readonly concurrency = 1;
  readonly waits = true;

  constructor(
    private readonly em: EntityManager,
    private readonly jobs: JobsService,
    private readonly mixes: MixesService,
    private readonly sources: SourcesService,
    private readonly takes: TakesService,
    private readonly queue: TakeQueue,
    private readonly events: EventsService,
    private readonly shots: TrialShotsService,
  ) {}

  onModuleInit(): void {
    this.jobs.register('solve', this);
  }

  async create({ mixId, targets, wordsKept, seriesId, shotIds }: NewSolveDto): Promise<SolveDto> {
    const shots = await this.shots.of(seriesId, shotIds);
    const state = await this.sources.called(await this.mixes.find(mixId), shots?.shots);
    const { influences } = state;
    const missing = targets.filter((t) => !influences.some((i) => i.id === t.influence));
    if (missing.length)
      throw Problem.invalid(missing.map((t) => ({ field: 'targets', message: `${t.influence} is not in the mix` })));
    const asked = new Set(targets.map((t) => t.influence));
    const solve = await together(this.em, async (em) => {
      const made = em.create(SolveEntity, {
        id: randomUUID(),
        mixId,
        state: {
          ...state,
          influences: influences.map((i) => (asked.has(i.id) ? { ...i, on: true } : i)),
        },
        shots,
        targets: { arrivals: Object.fromEntries(targets.map((t) => [t.influence, t.arrival])), wordsKept },
        path: [],
        status: 'running',
        reason: '',
        createdAt: new Date(),
        version: 1,
      });
      await this.jobs.enqueue(em, { kind: 'solve', subject: made.id, priority: PRIORITY });
      return made;
    });
    return this.present(solve);
  }

  async get(id: string): Promise<SolveDto> {
    return this.present(await this.find(id));
  }

  /** The searches of a mix, newest first. */
  async list(mixId: string): Promise<SolveDto[]> {
    const all = await this.em.find(SolveEntity, { mixId }, { orderBy: { createdAt: 'desc' }, limit: 10 });
    return Promise.all(all.map((s) => this.present(s)));
  }

  /** Stops a search; what was found so far stays. */
  async stop(id: string): Promise<SolveDto> {
    const solve = await this.find(id);
    if (solve.status === 'running') {
      solve.status = 'stopped';
      solve.reason = `stopped after ${solve.path.length} drafts`;
      await this.em.flush();
      this.events.publish({ type: 'solve', id });
    }
    return this.present(solve);
  }

  async run(job: Job, em: Manager): Promise<void> {
    /** What drafts are too small to tell is searched for on proofs. */
    let quality: Quality | undefined;
    for (;;) {
      const solve = await em.fork().findOne(SolveEntity, { id: job.subject });
      if (!solve || solve.status !== 'running') return;
      const start = Object.fromEntries(solve.state.influences.map((i) => [i.id, i.weight]));
      const step = solveStep(start, solve.targets, solve.path);
      if (step.say !== 'try')
        return this.note(em, job.subject, { status: step.say, best: step.best, reason: step.reason });
      const { weights } = step;
      const influences = solve.state.influences.map((i) => (i.id in weights ? { ...i, weight: weights[i.id] } : i));
      const state = { ...solve.state, influences };
      const cast = solve.shots ? await this.sources.cast(em.fork()) : [];
      const states = solve.shots ? solve.shots.shots.map((shot) => calledInShot(state, shot, cast)) : [state];
      const [before] = solve.path;
      quality ??= before ? (await em.fork().findOne(TakeEntity, { id: before.takeId }))?.quality : 'draft';
      const ids: string[] = [];
      for (const one of states) {
        const asked = () => this.queue.ask(one, quality ?? 'draft', { priority: PRIORITY, besideMixId: solve.mixId });
        ids.push((await RequestContext.create(em.fork(), asked)).id);
      }
      const takes: Take[] = [];
      for (const id of ids) {
        const take = await this.finished(em, id, job.subject);
        if (!take) return;
        if (take.status !== 'done')
          return this.note(em, job.subject, { status: 'failed', reason: take.error ?? 'a draft was stopped' });
        takes.push(take);
      }
      const [untold] = before ? [] : untoldIn(takes, solve.targets);
      if (untold && quality === 'draft') {
        quality = 'proof';
        continue;
      }
      const path = [...solve.path, { ...meanTrial(takes, weights), takeId: takes[0].id }];
      if (!untold) await this.note(em, job.subject, { path });
      else
        return this.note(em, job.subject, {
          path,
          status: 'cannot',
          best: 0,
          reason: `it cannot be told here. ${untold.why}`,
        });
    }
  }

  async again(job: Job, em: Manager): Promise<void> {
    await em.nativeUpdate(SolveEntity, { id: job.subject }, { status: 'running', reason: '' });
    this.events.publish({ type: 'solve', id: job.subject });
  }

  async failed(job: Job, error: Error, em: Manager): Promise<void> {
    await this.note(em, job.subject, { status: 'failed', reason: error.message.slice(0, 200) });
  }

  /** Waits for a draft; undefined when the search was stopped meanwhile. */
  private async finished(em: Manager, takeId: string, solveId: string): Promise<Take | undefined> {
    for (;;) {
      const fresh = em.fork();
      const take = await fresh.findOne(TakeEntity, { id: takeId });
      if (!take || (take.status !== 'queued' && take.status !== 'rendering')) return take ?? undefined;
      const solve = await fresh.findOne(SolveEntity, { id: solveId });
      if (solve?.status !== 'running') {
        await RequestContext.create(em.fork(), () => this.takes.cancel(takeId));
        return undefined;
      }
      await new Promise((resolve) => setTimeout(resolve, LOOK));
    }
  }

  private async note(
    em: Manager,
    id: string,
    fields: Partial<Pick<Solve, 'path' | 'status' | 'best' | 'reason'>>,
  ): Promise<void> {
    // only while it runs: a stop that came meanwhile stays
    await em.fork().nativeUpdate(SolveEntity, { id, status: 'running' }, fields);
    this.events.publish({ type: 'solve', id });
  }

  private async find(id: string): Promise<Solve> {
    const solve = await this.em.findOne(SolveEntity, { id });
    if (!solve) throw Problem.notFound('This search');
    return solve;
  }

  private async present(solve: Solve): Promise<SolveDto> {
    const { id, mixId, targets, status, reason, best, path, createdAt } = solve;
    const takes = new Map((await this.takes.byIds(path.map((t) => t.takeId))).map((t) => [t.id, t]));
    return {
      id,
      mixId,
      targets: Object.entries(targets.arrivals).map(([influence, arrival]) => ({ influence, arrival })),
      wordsKept: targets.wordsKept,
      status,
      reason,
      best: best ?? undefined,
      path: path.map((t) => ({
        weights: Object.entries(t.weights).map(([influence, weight]) => ({
          influence,
          weight,
          arrival: t.arrivals[influence] ?? 0,
        })),
        wordsKept: t.wordsKept,
        take: takes.get(t.takeId),
      })),
      createdAt: createdAt.toISOString(),
    };
  }
}

/** What drafts say about their weights, on the mean. A take without references is all words. */
const meanTrial = (takes: readonly Take[], weights: Readonly<Record<string, number>>): Trial => {
  const mean = (of: (take: Take) => number) => takes.reduce((sum, t) => sum + of(t), 0) / takes.length;
  return {
    weights,
    arrivals: Object.fromEntries(Object.keys(weights).map((id) => [id, mean((t) => arrivalsOf(t)[id]?.overall ?? 0)])),
    wordsKept: mean((t) => t.measurements?.wordsKept ?? 1),
  };
};
