import { EntityManager } from '@mikro-orm/better-sqlite';
import type { EntityManager as Manager } from '@mikro-orm/core';
import { Inject, Injectable } from '@nestjs/common';
import type { RenderRequest } from '@urbild/engine';
import { randomUUID } from 'crypto';
import type { MixState, Start } from '@urbild/core';
import type { Quality } from '../mixes/mix.entity';
import { ReferenceEntity } from '../library/reference.entity';
import { SourcesService } from '../mixes/sources.service';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { JobsService } from '../platform/jobs/jobs.service';
import { Problem } from '../platform/problems/problem';
import { controlRequest, isControl, requestFor, requestHash } from './renderPlan';
import { ENGINE, type EngineVersion, type TakeEngine } from './takeEngine';
import { takeEvent } from './takeEvent';
import { TakeEntity, type Take, type TakeOrigin, type TakeTrial } from './take.entity';

/** How many takes may wait or be rendered at once. */
export const MOST_WAITING = 400;

/** Smaller goes first. */
const USUAL_PRIORITY: Readonly<Record<Quality, number>> = { draft: 0, proof: 1, print: 2 };

/** What a take belongs to, and how soon it is rendered. */
export interface TakeLinks {
  readonly mixId?: string;
  readonly shotId?: string;
  /** Instead of a mix: the one for which it is tried, among whose takes it is not to stand. */
  readonly besideMixId?: string;
  readonly fromTakeId?: string;
  readonly trial?: TakeTrial;
  /** False for takes that are not measured against their control, as frames of sequences. */
  readonly controlled?: boolean;
  /** Smaller goes first; by quality when absent. */
  readonly priority?: number;
}

/** A take that is asked for, with its whole request. */
export interface TakeOrder extends TakeLinks {
  readonly request: RenderRequest;
  readonly quality: Quality;
  readonly made: Pick<TakeOrigin, 'influences' | 'settings'>;
}

/** Makes the requests of states whose influences were looked up together, without asking the database again. */
export type RequestMaker = (state: MixState, quality: Quality) => RenderRequest;

/** Puts takes into the queue. */
@Injectable()
export class TakeQueue {
  constructor(
    private readonly em: EntityManager,
    private readonly jobs: JobsService,
    private readonly events: EventsService,
    private readonly sources: SourcesService,
    @Inject(ENGINE) private readonly engine: TakeEngine,
  ) {}

  /** The request that a take of these settings would be rendered from. */
  async request(mix: MixState, quality: Quality, prompt?: string, seed?: number): Promise<RenderRequest> {
    const [sources, cast] = [await this.sources.of(mix.influences), await this.sources.names()];
    const start = await this.startOf(mix.settings.start);
    return requestFor(mix, sources, { quality, prompt, seed, start }, cast);
  }

  /** Looks up everything that some states need, once for all of them. Start pictures are looked up for the first state. */
  async requests(states: readonly MixState[]): Promise<RequestMaker> {
    const influences = new Map(states.flatMap((s) => s.influences.map((i) => [i.id, i] as const)));
    const [sources, cast] = [await this.sources.of([...influences.values()]), await this.sources.names()];
    const start = await this.startOf(states[0]?.settings.start);
    return (state, quality) => requestFor(state, sources, { quality, start }, cast);
  }

  /** Hash of the picture that a mix starts from; undefined without one, or where it is gone. */
  private async startOf(start: Start | undefined): Promise<string | undefined> {
    if (!start) return undefined;
    const found =
      start.of === 'take'
        ? await this.em.findOne(TakeEntity, { id: start.id })
        : await this.em.findOne(ReferenceEntity, { id: start.id });
    return found?.pictureHash ?? undefined;
  }

  /** Puts a take of a mix into the queue, or of settings that belong to none. */
  async ask(
    mix: MixState & { readonly id?: string },
    quality: Quality,
    { prompt, seed, ...links }: TakeLinks & { readonly prompt?: string; readonly seed?: number } = {},
  ): Promise<Take> {
    const request = await this.request(mix, quality, prompt, seed);
    return (await this.put([{ request, quality, made: mix, mixId: mix.id, ...links }]))[0];
  }

  /** Puts takes into the queue, all of them or none. Throws a {@link Problem} when too many would wait. */
  async put(orders: readonly TakeOrder[]): Promise<Take[]> {
    const takes = await together(this.em, async (em) => {
      await this.makeRoom(em, orders.length);
      const controls = new Map<string, Take>();
      const made: Take[] = [];
      for (const order of orders) made.push(await this.take(em, order, controls));
      await this.jobs.enqueue(
        em,
        ...made.map((take, k) => ({
          kind: 'take',
          subject: take.id,
          priority: orders[k].priority ?? USUAL_PRIORITY[take.quality],
        })),
      );
      return made;
    });
    for (const take of takes) this.events.publish(takeEvent(take));
    return takes;
  }

  /** Gives a take its control anew, when it is to be tried again. */
  async controlFor(em: Manager, take: Take): Promise<void> {
    const { request } = take.origin;
    if (!take.controlId && !isControl(request) && take.controlled)
      take.controlId = (await this.controlOf(em, request, take.quality, new Map())).id;
  }

  private async makeRoom(em: Manager, wanted: number): Promise<void> {
    const waiting = await this.jobs.unfinished(em, 'take');
    if (waiting + wanted <= MOST_WAITING) return;
    const asked = wanted === 1 ? 'One more' : `${wanted} more`;
    throw Problem.busy(
      `${waiting} takes are in the queue already, and at most ${MOST_WAITING} may be. ${asked} would be too many, so nothing was started. Let some finish, or stop them.`,
    );
  }

  private async take(em: Manager, order: TakeOrder, controls: Map<string, Take>): Promise<Take> {
    const { request, quality, made, mixId, shotId, besideMixId, fromTakeId, trial, controlled = true } = order;
    const control =
      isControl(request) || !controlled ? undefined : await this.controlOf(em, request, quality, controls);
    return em.create(TakeEntity, {
      ...fields(request, quality, made, this.engine.capabilities),
      mixId: mixId ?? null,
      shotId: shotId ?? null,
      besideMixId: besideMixId ?? null,
      fromTakeId: fromTakeId ?? null,
      trial: trial ?? null,
      controlId: control?.id ?? null,
      controlled,
    });
  }

  /** The control of a request: one for all takes with the same words, seed and size; `made` are those that are not written yet. */
  private async controlOf(
    em: Manager,
    request: RenderRequest,
    quality: Quality,
    made: Map<string, Take>,
  ): Promise<Take> {
    const plain = controlRequest(request);
    const engine = this.engine.capabilities;
    const hash = requestHash(plain, engine);
    const known =
      made.get(hash) ?? (await em.findOne(TakeEntity, { isControl: true, requestHash: hash, deletedAt: null }));
    const control =
      known ?? em.create(TakeEntity, { ...fields(plain, quality, { influences: [] }, engine), isControl: true });
    made.set(hash, control);
    return control;
  }
}

/** What every new take begins with. */
function fields(
  request: RenderRequest,
  quality: Quality,
  { influences, settings }: Pick<TakeOrigin, 'influences' | 'settings'>,
  engine: EngineVersion,
) {
  return {
    id: randomUUID(),
    mixId: null,
    shotId: null,
    besideMixId: null,
    controlId: null,
    fromTakeId: null,
    isControl: false,
    controlled: true,
    quality,
    status: 'queued' as const,
    requestHash: requestHash(request, engine),
    origin: { request, engine: { name: engine.name, version: engine.version }, influences, settings },
    keeper: false,
    approvedAt: null,
    approvedBy: null,
    rating: 0,
    rejected: false,
    note: '',
    createdAt: new Date(),
    version: 1,
  };
}
