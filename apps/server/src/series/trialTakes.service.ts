import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { type MixInfluence, type MixState, type ShotPlan, type SourceKind } from '@urbild/core';
import { randomUUID } from 'crypto';
import { MixEntity, type Quality } from '../mixes/mix.entity';
import { SourcesService } from '../mixes/sources.service';
import { MixesService } from '../mixes/mixes.service';
import { MixVersionsService } from '../mixes/mixVersions.service';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { requireOpen } from '../takes/approved';
import { TakeEntity, type Take, type TakeTrial } from '../takes/take.entity';
import { TakeQueue, type TakeOrder } from '../takes/takeQueue.service';
import { TakesService } from '../takes/takes.service';
import type { SeriesDto } from './series.dto';
import type { Series, Shot } from './series.entity';
import { takeOfRemedy, type TriedRemedy } from './remedyTakes';
import { SeriesPlanService, leadOf } from './seriesPlan.service';
import { SeriesService } from './series.service';
import { ShotsService } from './shots.service';

/** What an influence of the mix would come from instead. */
export interface SwapWish {
  readonly influence: string;
  readonly of: SourceKind;
  readonly referenceId: string;
}

const PRIORITY = 1;

/** Tries beside the takes of a series: remedies of one shot, swaps over all shots. Nothing changes until they are kept. */
@Injectable()
export class TrialTakesService {
  constructor(
    private readonly em: EntityManager,
    private readonly series: SeriesService,
    private readonly shots: ShotsService,
    private readonly plans: SeriesPlanService,
    private readonly queue: TakeQueue,
    private readonly takes: TakesService,
    private readonly mixes: MixesService,
    private readonly versions: MixVersionsService,
    private readonly sources: SourcesService,
    private readonly events: EventsService,
  ) {}

  /**
   * Renders a shot as it would be after a remedy, as large as the take that stands for it. What was tried already to find out whether it
   * helps is shown now, and not rendered again.
   */
  async tryRemedy(shotId: string, label: string, plan: ShotPlan<MixInfluence>): Promise<SeriesDto> {
    const { series, shot, own, lead, stateFor } = await this.shotOf(shotId);
    await this.mixes.check(plan.own.added);
    const there = lead && takeOfRemedy(own, { label, plan }, lead.id);
    if (there?.trial?.quiet) {
      const { quiet: _, ...trial } = there.trial;
      there.trial = trial;
      return this.series.touched(series);
    }
    const trial: TakeTrial = { kind: 'remedy', batch: randomUUID(), label, plan };
    return this.put(series, [await this.order(stateFor(plan), lead?.quality ?? 'proof', series, shot, lead, trial)]);
  }

  /** Tries remedies of a shot out of sight, to find out which of them help; what was tried for an earlier take of it goes. */
  async tryOut(shotId: string, remedies: readonly TriedRemedy[]): Promise<void> {
    // looked up and put in line together: two windows that ask at once have each remedy tried once
    await together(this.em, async () => {
      const { series, shot, own, lead, stateFor } = await this.shotOf(shotId);
      if (!lead) return;
      const outdated = own.filter((t) => t.trial?.quiet && t.fromTakeId !== lead.id);
      await this.takes.stop(outdated, true);
      const orders: TakeOrder[] = [];
      for (const { label, plan } of remedies.filter((r) => !takeOfRemedy(own, r, lead.id))) {
        const trial: TakeTrial = { kind: 'remedy', batch: randomUUID(), label, plan, quiet: true };
        orders.push(await this.order(stateFor(plan), lead.quality, series, shot, lead, trial));
      }
      await this.queue.put(orders);
    });
  }

  /** A shot with its series, its takes, the one that stands for it, and the mix. */
  private async shotOf(shotId: string) {
    const shot = await this.shots.find(shotId);
    const series = await this.series.find(shot.seriesId);
    const own = await this.series.takesOf([shot]);
    const { stateFor } = await this.plans.planOf(series, [shot]);
    return { shot, series, own, lead: leadOf(own), stateFor };
  }

  /** Renders every shot with one influence of the mix coming from something else; words, seeds and all else are held. */
  async trySwap(seriesId: string, swap: SwapWish, quality: Quality): Promise<SeriesDto> {
    const series = await this.series.find(seriesId);
    const shots = (await this.series.shotsOf(seriesId)).filter((s) => !s.skipped);
    const own = await this.series.takesOf(shots);
    const plan = await this.plans.planOf(series, shots);
    const present = plan.state.influences.find((i) => i.id === swap.influence);
    if (!present) throw Problem.invalid([{ field: 'influence', message: 'This is not in the mix of the series.' }]);
    const { of, referenceId } = swap;
    const faults = await this.mixes.faultsOf([{ ...present, of, referenceId }]);
    if (faults.length) throw Problem.invalid(faults);
    const label = (await this.sources.titles([{ of, referenceId }])).get(referenceId) ?? '';
    const trial: TakeTrial = { kind: 'swap', batch: randomUUID(), label, swap };
    const orders: TakeOrder[] = [];
    for (const shot of shots) {
      const lead = leadOf(own.filter((t) => t.shotId === shot.id));
      orders.push(await this.order(swapped(plan.stateOf(shot), swap), quality, series, shot, lead, trial));
    }
    return this.put(series, orders);
  }

  /** Puts tries into the queue, all of them or none. */
  private async put(series: Series, orders: readonly TakeOrder[]): Promise<SeriesDto> {
    await this.queue.put(orders);
    return this.series.touched(series);
  }

  private async order(
    state: MixState,
    quality: Quality,
    series: Series,
    shot: Shot,
    lead: Take | undefined,
    trial: TakeTrial,
  ): Promise<TakeOrder> {
    const request = (await this.queue.requests([state]))(state, quality);
    const links = { mixId: series.mixId, shotId: shot.id, fromTakeId: lead?.id, trial, priority: PRIORITY };
    return { request, quality, made: state, ...links };
  }

  /** Keeps what was tried: the shot, or the mix, becomes what the tries were made from, and the tries become its takes. */
  async keep(seriesId: string, batch: string): Promise<SeriesDto> {
    return this.touch(seriesId, () => this.keepAll(seriesId, batch));
  }

  /** Does something to a series in one transaction, and answers the series. */
  private async touch(seriesId: string, act: () => Promise<void>): Promise<SeriesDto> {
    await together(this.em, act);
    return this.series.touched(await this.series.find(seriesId));
  }

  private async keepAll(seriesId: string, batch: string): Promise<void> {
    const series = await this.series.find(seriesId);
    const tries = await this.triesOf(seriesId, batch);
    const { swap } = tries[0].trial!;
    const was = swap && (await this.layOnMix(series, swap));
    for (const take of tries) {
      const trial = take.trial!;
      const shot = await this.shots.find(take.shotId!);
      const keeper = (await this.series.takesOf([shot])).find((t) => t.keeper && t.id !== take.id);
      take.trial = {
        ...trial,
        kept: { keeper: keeper?.id, ...(swap ? { swap: was } : { plan: planOf(shot) }) },
      };
      if (trial.plan) Object.assign(shot, { prompt: trial.plan.prompt, seed: trial.plan.seed, own: trial.plan.own });
      await this.takes.stop(await this.quietOf(shot), true);
      // what stood for the shot gives way to what replaces it
      if (keeper) {
        requireOpen(keeper);
        keeper.keeper = false;
      }
      if (keeper || trial.kind === 'remedy') take.keeper = true;
    }
  }

  /** Takes back what was kept: shot, mix and keepers become what they were. */
  async takeBack(seriesId: string, batch: string): Promise<SeriesDto> {
    return this.touch(seriesId, () => this.takeAllBack(seriesId, batch));
  }

  private async takeAllBack(seriesId: string, batch: string): Promise<void> {
    const series = await this.series.find(seriesId);
    const tries = await this.triesOf(seriesId, batch);
    const { swap, kept } = tries[0].trial!;
    if (swap && kept?.swap) await this.layOnMix(series, { influence: swap.influence, ...kept.swap });
    for (const take of tries) {
      const { kept: before, ...trial } = take.trial!;
      if (!before) continue;
      if (before.plan) Object.assign(await this.shots.find(take.shotId!), plainPlan(before.plan));
      const keeper = before.keeper && (await this.em.findOne(TakeEntity, { id: before.keeper }));
      if (keeper) keeper.keeper = true;
      requireOpen(take);
      take.keeper = false;
      take.trial = trial;
    }
  }

  /** Throws tries away; a finished try of a remedy is only put out of sight, so that what is known of it stays known. */
  async drop(seriesId: string, batch: string): Promise<SeriesDto> {
    return this.touch(seriesId, async () => {
      const tries = (await this.triesOf(seriesId, batch)).filter((t) => !t.trial!.kept);
      const known = (t: Take) => t.trial!.kind === 'remedy' && t.status === 'done';
      for (const take of tries.filter(known)) take.trial = { ...take.trial!, quiet: true };
      await this.takes.stop(
        tries.filter((t) => !known(t)),
        true,
      );
    });
  }

  /** What was tried for a shot out of sight. */
  private async quietOf(shot: Shot): Promise<Take[]> {
    return (await this.series.takesOf([shot])).filter((t) => t.trial?.quiet);
  }

  private async triesOf(seriesId: string, batch: string): Promise<Take[]> {
    const own = await this.series.takesOf(await this.series.shotsOf(seriesId));
    const tries = own.filter((t) => t.trial?.batch === batch);
    if (!tries.length) throw Problem.notFound('This try');
    return tries;
  }

  /** Changes the source of an influence of the series' mix; answers what it was. */
  private async layOnMix(series: Series, swap: SwapWish): Promise<{ of: SourceKind; referenceId: string }> {
    const mix = await this.em.findOneOrFail(MixEntity, { id: series.mixId });
    // a pinned series goes on from its own version
    const { state } = await this.plans.planOf(series, await this.series.shotsOf(series.id));
    const present = state.influences.find((i) => i.id === swap.influence);
    if (!present) throw Problem.conflict('The mix has changed: this influence is not in it any more.');
    const { of = 'reference', referenceId } = present;
    // whoever was called by the words is in the mix from now on
    const own = mix.influences.some((i) => i.id === present.id) ? mix.influences : [...mix.influences, present];
    mix.influences = swapped(series.mixVersion ? state : { ...mix, influences: own }, swap).influences.map((i) => ({
      ...i,
    }));
    mix.updatedAt = new Date();
    await this.versions.note(mix);
    series.mixVersion = null;
    await this.em.flush();
    this.events.publish({ type: 'mix', id: mix.id });
    return { of, referenceId };
  }
}

/** A state with one influence coming from something else. Names and left-out pictures belong to the old source. */
const swapped = (
  { prompt, avoid, settings, influences }: MixState,
  { influence, of, referenceId }: SwapWish,
): MixState => ({
  prompt,
  avoid,
  settings,
  influences: influences.map((i) => {
    if (i.id !== influence) return i;
    const { except: _, of: __, ...rest } = i;
    return { ...rest, ...(of === 'reference' ? {} : { of }), referenceId };
  }),
});

const planOf = ({ prompt, seed, own }: Shot): ShotPlan<MixInfluence> => ({ prompt, seed, own });
const plainPlan = ({ prompt, seed, own }: ShotPlan<MixInfluence>) => ({ prompt, seed, own });
