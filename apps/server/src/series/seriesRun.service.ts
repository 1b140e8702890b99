import { EntityManager } from '@mikro-orm/core';
import { Inject, Injectable } from '@nestjs/common';
import { CONFIG, type Config } from '../platform/config';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { JobsService } from '../platform/jobs/jobs.service';
import type { Quality } from '../mixes/mix.entity';
import { timeLeft } from '../takes/usualTime';
import type { Take } from '../takes/take.entity';
import { TakeQueue, type TakeOrder } from '../takes/takeQueue.service';
import { TakesService } from '../takes/takes.service';
import type { SeriesQueueDto } from './series.dto';
import type { Series, Shot } from './series.entity';
import { SeriesPlanService, countsFor } from './seriesPlan.service';

/** What of a series shall be rendered. */
export interface RunWish {
  readonly quality: Quality;
  /** Takes for each shot, 1..5; the further ones have seeds of their own. */
  readonly takes?: number;
  /** Later than everything that somebody asked for. */
  readonly background?: boolean;
}

const unfinished = ({ status }: Take) => status === 'queued' || status === 'rendering';
const idsOf = (own: readonly Take[]) => own.filter(unfinished).map((t) => t.id);

/** Renders series: puts takes into the queue, holds them, lets them go on. */
@Injectable()
export class SeriesRunService {
  constructor(
    private readonly em: EntityManager,
    @Inject(CONFIG) private readonly config: Config,
    private readonly plans: SeriesPlanService,
    private readonly queue: TakeQueue,
    private readonly takes: TakesService,
    private readonly jobs: JobsService,
    private readonly events: EventsService,
  ) {}

  /**
   * Puts a take into the queue for every shot that has none of just its present words, seed, mix and size; returns how many. All of
   * them or none: throws a {@link Problem} when too many would wait. A paused series goes on with it.
   */
  async render(series: Series, shots: readonly Shot[], own: readonly Take[], wish: RunWish): Promise<number> {
    const plan = await this.plans.planOf(series, shots);
    const priority = wish.background ? 8 : wish.quality === 'draft' ? 2 : 3;
    const orders: TakeOrder[] = [];
    // first takes of all shots before second takes of any
    for (let nth = 0; nth < (wish.takes ?? 1); nth++)
      for (const shot of shots) {
        if (shot.skipped) continue;
        const state = plan.stateOf(shot);
        const seeded = { ...state, settings: { ...state.settings, seed: (shot.seed + 7919 * nth) % 0x100000000 } };
        const there = own.filter((t) => t.shotId === shot.id && countsFor(t) && t.quality === wish.quality);
        if (there.some((t) => this.plans.isOf(plan, seeded, t))) continue;
        const request = plan.request(seeded, wish.quality);
        const { quality } = wish;
        orders.push({ request, quality, made: seeded, mixId: series.mixId, shotId: shot.id, priority });
      }
    await together(this.em, async () => {
      await this.queue.put(orders);
      if (series.paused) await this.resume(series, own);
    });
    this.events.publish({ type: 'series', id: series.id });
    return orders.length;
  }

  /** Lets what waits of a series wait on; what is rendered just now goes on to its end. */
  async pause(series: Series, own: readonly Take[]): Promise<void> {
    await together(this.em, async (em) => {
      await this.jobs.hold(em, 'take', idsOf(own));
      await this.setPaused(series, true);
    });
  }

  async resume(series: Series, own: readonly Take[]): Promise<void> {
    await together(this.em, async (em) => {
      await this.setPaused(series, false);
      await this.jobs.release(em, 'take', idsOf(own));
    });
  }

  /** Stops everything that waits or is rendered of a series; finished takes stay. */
  async stop(own: readonly Take[], series?: Series): Promise<void> {
    await together(this.em, async () => {
      await this.takes.stop(own);
      if (series) await this.setPaused(series, false);
    });
  }

  private async setPaused(series: Series, paused: boolean): Promise<void> {
    series.paused = paused;
    await this.em.flush();
    this.events.publish({ type: 'series', id: series.id });
  }

  /** How far a series is, from the time that takes of each size took lately. */
  async queueOf(own: readonly Take[]): Promise<SeriesQueueDto> {
    const open = own.filter(unfinished);
    const rendering = open.filter((t) => t.status === 'rendering').length;
    const waiting = open.length - rendering;
    return { waiting, rendering, left: await timeLeft(this.em, open, this.config.renderThreads) };
  }
}
