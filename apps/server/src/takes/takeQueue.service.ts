import { EntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { BuiltInEngine, type RenderRequest } from '@urbild/engine';
import { randomUUID } from 'crypto';
import type { MixState, Quality } from '../mixes/mix.entity';
import { SourcesService } from '../mixes/sources.service';
import { EventsService } from '../platform/events/events.service';
import { JobsService } from '../platform/jobs/jobs.service';
import { Problem } from '../platform/problems/problem';
import { controlRequest, isControl, requestFor, requestHash } from './renderPlan';
import { TakeEntity, type Take, type TakeOrigin, type TakeTrial } from './take.entity';

/** The engine that takes are rendered by. */
export const ENGINE = new BuiltInEngine().capabilities();

/** How many takes may wait at once. */
const LINE_LIMIT = 400;

/** What a take belongs to, and how soon it is rendered. */
export interface TakeLinks {
  readonly mixId?: string;
  readonly shotId?: string;
  readonly fromTakeId?: string;
  readonly trial?: TakeTrial;
  /** False for takes that are not measured against their control, as frames of sequences. */
  readonly controlled?: boolean;
  /** Smaller goes first; by quality when absent. */
  readonly priority?: number;
}

/** Makes the requests of states whose influences were looked up together, without asking the database again. */
export type RequestMaker = (state: MixState, quality: Quality) => RenderRequest;

/** Puts takes in line. */
@Injectable()
export class TakeQueue {
  constructor(
    private readonly em: EntityManager,
    private readonly jobs: JobsService,
    private readonly events: EventsService,
    private readonly sources: SourcesService,
  ) {}

  /** The request that a take of these settings would be rendered from. */
  async request(mix: MixState, quality: Quality, prompt?: string, seed?: number): Promise<RenderRequest> {
    const [sources, cast] = [await this.sources.of(mix.influences), await this.sources.names()];
    const start = await this.sources.startOf(mix.settings.start);
    return requestFor(mix, sources, { quality, prompt, seed, start }, cast);
  }

  /** Looks up everything that some states need, once for all of them. Start pictures are looked up for the first state. */
  async requests(states: readonly MixState[]): Promise<RequestMaker> {
    const influences = new Map(states.flatMap((s) => s.influences.map((i) => [i.id, i] as const)));
    const [sources, cast] = [await this.sources.of([...influences.values()]), await this.sources.names()];
    const start = await this.sources.startOf(states[0]?.settings.start);
    return (state, quality) => requestFor(state, sources, { quality, start }, cast);
  }

  /** Puts a take of a mix in line, or of settings that belong to none. */
  async ask(
    mix: MixState & { readonly id?: string },
    quality: Quality,
    { prompt, seed, ...links }: TakeLinks & { readonly prompt?: string; readonly seed?: number } = {},
  ): Promise<Take> {
    const request = await this.request(mix, quality, prompt, seed);
    return this.put(request, quality, mix, { mixId: mix.id, ...links });
  }

  /** Puts a take of a whole request in line. Throws a {@link Problem} when too many wait. */
  async put(
    request: RenderRequest,
    quality: Quality,
    made: Pick<TakeOrigin, 'influences' | 'settings'>,
    { priority, controlled = true, ...links }: TakeLinks,
  ): Promise<Take> {
    const waiting = await this.em.count(TakeEntity, { status: 'queued', deletedAt: null });
    if (waiting >= LINE_LIMIT) throw Problem.busy(`${waiting} takes wait already. Let some finish, or cancel them.`);
    const control = isControl(request) || !controlled ? undefined : await this.controlOf(request, quality);
    const take = this.em.create(TakeEntity, {
      ...fields(request, quality, made),
      mixId: links.mixId ?? null,
      shotId: links.shotId ?? null,
      fromTakeId: links.fromTakeId ?? null,
      trial: links.trial ?? null,
      controlId: control?.id ?? null,
    });
    await this.jobs.enqueue(this.em, {
      kind: 'take',
      subject: take.id,
      priority: priority ?? (quality === 'draft' ? 0 : quality === 'proof' ? 1 : 2),
    });
    this.events.publish({ type: 'take', id: take.id, status: 'queued' });
    return take;
  }

  /** The control of a request: one for all takes with the same words, seed and size. */
  private async controlOf(request: RenderRequest, quality: Quality): Promise<Take> {
    const plain = controlRequest(request);
    const known = await this.em.findOne(TakeEntity, {
      isControl: true,
      requestHash: requestHash(plain, ENGINE),
      deletedAt: null,
    });
    return known ?? this.em.create(TakeEntity, { ...fields(plain, quality, { influences: [] }), isControl: true });
  }
}

function fields(
  request: RenderRequest,
  quality: Quality,
  { influences, settings }: Pick<TakeOrigin, 'influences' | 'settings'>,
) {
  return {
    id: randomUUID(),
    mixId: null,
    shotId: null,
    controlId: null,
    fromTakeId: null,
    isControl: false,
    quality,
    status: 'queued' as const,
    requestHash: requestHash(request, ENGINE),
    origin: { request, engine: { name: ENGINE.name, version: ENGINE.version }, influences, settings },
    keeper: false,
    rating: 0,
    rejected: false,
    note: '',
    createdAt: new Date(),
    version: 1,
  };
}
