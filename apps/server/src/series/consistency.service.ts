import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { remediesFor, ownDifferences, type JudgedInfluence, type MixInfluence } from '@urbild/core';
import { factsOfRender, toldSheet, type RequestInfluence } from '@urbild/engine';
import { createHash } from 'crypto';
import { SourcesService } from '../mixes/sources.service';
import { BlobStore } from '../platform/blobs/blobStore';
import { CONSISTENCY } from './series.tasks';
import type { ComparedShot, ConsistencyResult, ConsistencyTask } from './tasks/consistency';
import { WorkersService } from '../platform/workers/workers.service';
import { arrivalsOf } from '../takes/arrivals';
import { TakeEntity, type Take } from '../takes/take.entity';
import type { ConsistencyDto, FallsOutDto, RemedyState } from './consistency.dto';
import { ownToDto } from './ownSettings';
import { takeOfRemedy, type TriedRemedy } from './remedyTakes';
import type { Shot } from './series.entity';
import { SeriesPlanService, leadOf, type SeriesPlan } from './seriesPlan.service';
import { SeriesService } from './series.service';

const KEPT = 40;

/** How far a series holds together: what its takes show is compared in a worker thread, and kept as long as nothing changes. */
@Injectable()
export class ConsistencyService {
  private readonly kept = new Map<string, Promise<ConsistencyResult>>();

  constructor(
    private readonly em: EntityManager,
    private readonly series: SeriesService,
    private readonly plans: SeriesPlanService,
    private readonly sources: SourcesService,
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
  ) {}

  /** Compares the takes that stand for the shots, or those of a batch of tries. */
  async of(seriesId: string, batch?: string): Promise<ConsistencyDto> {
    const series = await this.series.find(seriesId);
    const shots = (await this.series.shotsOf(seriesId)).filter((s) => !s.skipped);
    const plan = await this.plans.planOf(series, shots);
    const all = await this.series.takesOf(shots);
    const pairs = shots.flatMap((shot) => {
      const own = all.filter((t) => t.shotId === shot.id);
      const take = batch ? own.find((t) => t.trial?.batch === batch && t.status === 'done') : leadOf(own);
      return take?.descriptorsHash ? [{ shot, take }] : [];
    });
    const takes = await this.whole(pairs.map((p) => p.take.id));
    const controls = await this.series.controlsOf(takes);
    const before = await this.whole(batch ? takes.flatMap((t) => t.fromTakeId ?? []) : []);
    const influences = judged(plan, takes);
    const names = await this.sources.names();
    const takesOf = (compare: readonly ComparedShot[]) => ({
      blobDir: this.blobs.dir,
      takes: compare,
      influences,
      names,
      titles: Object.fromEntries(
        pairs.flatMap(({ shot }) => plan.stateOf(shot).influences.map((i) => [i.id, plan.nameOf(i)] as const)),
      ),
      height: takes[0]?.origin.request.height ?? 0,
    });
    const present = pairs.map(({ shot }, k) => {
      const layoutOf = before.find((b) => b.id === takes[k].fromTakeId)?.descriptorsHash ?? undefined;
      return { ...compared(plan, shot, takes[k], influences), layoutOf };
    });
    const result = await this.compared({
      ...takesOf(present),
      controls: pairs.flatMap(({ shot }, k) => {
        const control = controls.get(takes[k].controlId ?? '');
        return control?.descriptorsHash ? [compared(plan, shot, control, influences)] : [];
      }),
    });
    /** Whether the k-th shot no longer falls out with a take that was made from another plan of it. */
    const bringsBack = async (k: number, { trial, id }: Take): Promise<boolean> => {
      const [take] = await this.whole([id]);
      if (!take?.descriptorsHash) return false;
      const other = compared(plan, { ...pairs[k].shot, ...trial!.plan! }, take, influences);
      const tried = { ...takesOf(present.map((p, n) => (n === k ? other : p))), controls: [] };
      return !(await this.compared(tried)).falls.some((f) => f.shot === k);
    };
    // whom a shot does not call cannot be missed in it
    const falls = result.falls.filter(({ shot, influence }) =>
      plan.stateOf(pairs[shot].shot).influences.some((i) => i.id === influence),
    );
    const subjects = influences.filter((i) => i.subject || result.closer.identity[i.id] !== undefined);
    return {
      shots: pairs.map(({ shot, take }, k) => ({ shotId: shot.id, takeId: take.id, layout: result.layout[k] })),
      closer: {
        look: result.closer.look,
        surface: result.closer.surface,
        colour: result.closer.colour,
        identity: subjects.flatMap((i) => {
          const times = result.closer.identity[i.id];
          return times === undefined ? [] : [{ influenceId: i.id, name: i.name, times }];
        }),
      },
      falls: await Promise.all(
        falls.map(async (fall) => {
          const { shot, take } = pairs[fall.shot];
          const own = all.filter((t) => t.shotId === shot.id);
          const told = this.present(fall, shot, take, plan, influences);
          const remedies = await Promise.all(
            told.remedies.map(async ({ label, plan: as }) => {
              const tried = takeOfRemedy(own, { label, plan: as }, take.id);
              const state = await stateOf(tried, (t) => bringsBack(fall.shot, t));
              return state ? [{ label, plan: { ...as, own: ownToDto(as.own) }, state }] : [];
            }),
          );
          return { ...told, remedies: remedies.flat() };
        }),
      ),
    };
  }

  private present(
    fall: ConsistencyResult['falls'][number],
    shot: Shot,
    take: Take,
    plan: SeriesPlan,
    influences: readonly JudgedInfluence[],
  ): Omit<FallsOutDto, 'remedies'> & { remedies: readonly TriedRemedy[] } {
    const of = influences.find((i) => i.id === fall.influence)!;
    const nameOf = (id: string) => {
      const found = plan.stateOf(shot).influences.find((i) => i.id === id);
      return found ? plan.nameOf(found) : id;
    };
    const { prompt, seed, own } = shot;
    const remedies = remediesFor<MixInfluence>({ prompt, seed, own }, plan.state, fall, of, nameOf);
    return {
      shotId: shot.id,
      takeId: take.id,
      aspect: fall.aspect,
      influenceId: fall.influence,
      name: of.name,
      arrival: fall.arrival,
      others: fall.others && { low: fall.others.low, high: fall.others.high },
      cause: fall.cause,
      sentence: fall.sentence,
      remedies,
    };
  }

  /** Takes with everything that was measured of them, in the order of their ids. */
  private async whole(ids: readonly string[]): Promise<Take[]> {
    const found = await this.em.fork().find(TakeEntity, { id: { $in: [...ids] } });
    const byId = new Map(found.map((t) => [t.id, t]));
    return ids.flatMap((id) => byId.get(id) ?? []);
  }

  private compared(task: Omit<ConsistencyTask, 'kind'>): Promise<ConsistencyResult> {
    const key = createHash('sha256').update(JSON.stringify(task)).digest('hex');
    let result = this.kept.get(key);
    if (!result) {
      result = this.workers.run(CONSISTENCY, task);
      this.kept.set(key, result);
      result.catch(() => this.kept.delete(key));
      if (this.kept.size > KEPT) this.kept.delete(this.kept.keys().next().value!);
    }
    return result;
  }
}

/** What is known of a remedy from the take in which it was tried; undefined where that take failed, which says nothing of it. */
async function stateOf(
  take: Take | undefined,
  helps: (take: Take) => Promise<boolean>,
): Promise<RemedyState | undefined> {
  if (!take) return 'untried';
  if (take.status === 'queued' || take.status === 'rendering') return 'trying';
  if (take.status !== 'done') return undefined;
  return (await helps(take)) ? 'helps' : 'fails';
}

/** The influences of the mix as they are judged: with what is known of whoever they show. */
function judged(plan: SeriesPlan, takes: readonly Take[]): JudgedInfluence[] {
  const asked = (id: string): RequestInfluence | undefined =>
    takes.map((t) => t.origin.request.influences.find((i) => i.id === id)).find((i) => i !== undefined);
  return plan.state.influences
    .filter((i) => i.on)
    .map((i) => {
      const request = asked(i.id);
      return {
        id: i.id,
        name: plan.nameOf(i),
        gives: i.gives,
        weight: i.weight,
        subject: request?.subject ?? i.subject,
        sheet: request && toldSheet(request),
      };
    });
}

/** One take as it is compared with the others. */
function compared(
  plan: SeriesPlan,
  { prompt, seed, own }: Shot,
  take: Take,
  influences: readonly JudgedInfluence[],
): ComparedShot {
  const facts = factsOfRender(
    {
      influences: take.origin.request.influences,
      shares: take.shares ?? [],
      figures: take.measurements?.figures ?? [],
    },
    influences,
  );
  return {
    prompt,
    seed,
    own,
    differs: ownDifferences(plan.state, own),
    arrivals: Object.fromEntries(Object.entries(arrivalsOf(take)).map(([id, a]) => [id, a.overall])),
    descriptors: take.descriptorsHash!,
    ...facts,
  };
}
