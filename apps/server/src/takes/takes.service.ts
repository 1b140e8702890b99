import { EntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { BuiltInEngine, type RenderRequest } from '@urbild/engine';
import { randomUUID } from 'crypto';
import { SourcesService } from '../mixes/sources.service';
import { MixEntity, type Mix, type MixInfluence, type Quality } from '../mixes/mix.entity';
import { EventsService } from '../platform/events/events.service';
import { JobsService } from '../platform/jobs/jobs.service';
import { Problem } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import { controlRequest, isControl, requestFor, requestHash } from './renderPlan';
import { toTakeDto, type ChangeTakeDto, type NewTakeDto, type TakeDto } from './take.dto';
import { TakeEntity, type Take } from './take.entity';
import { TakeRenderer } from './takeRenderer';

/** The engine that takes are rendered by. */
export const ENGINE = new BuiltInEngine().capabilities();

/** How many takes may wait at once. */
const LINE_LIMIT = 200;

/** What a take is made from when it belongs to a shot. */
export interface ShotChoices {
  readonly shotId: string;
  readonly prompt: string;
  readonly seed: number;
}

/** Takes: asking for them, stopping them, keeping them. */
@Injectable()
export class TakesService {
  constructor(
    private readonly em: EntityManager,
    private readonly jobs: JobsService,
    private readonly renderer: TakeRenderer,
    private readonly events: EventsService,
    private readonly sources: SourcesService,
  ) {}

  /** Finished takes that a reference, look or character had a part in, newest first. */
  async madeWith(id: string): Promise<TakeDto[]> {
    const rows = await this.em.getConnection().execute<{ id: string }[]>(
      `select t.id from take t, json_each(t.origin, '$.influences') e
       where t.deleted_at is null and t.status = 'done' and t.quality <> 'draft' and e.value->>'referenceId' = ?
       group by t.id order by max(t.created_at) desc limit 60`,
      [id],
    );
    const takes = await this.em.find(
      TakeEntity,
      { id: { $in: rows.map((r) => r.id) } },
      { orderBy: { createdAt: 'desc' } },
    );
    return this.present(takes);
  }

  /** All takes that were kept, newest first. */
  async keepers(): Promise<TakeDto[]> {
    const takes = await this.em.find(
      TakeEntity,
      { keeper: true, deletedAt: null, status: 'done' },
      { orderBy: { createdAt: 'desc', id: 'asc' }, limit: 500 },
    );
    return this.present(takes);
  }

  async list(filter: { mixId?: string; shotIds?: string[] }): Promise<TakeDto[]> {
    const takes = await this.em.find(
      TakeEntity,
      {
        isControl: false,
        deletedAt: null,
        ...(filter.mixId ? { mixId: filter.mixId, shotId: null } : {}),
        ...(filter.shotIds ? { shotId: { $in: filter.shotIds } } : {}),
      },
      { orderBy: { createdAt: 'desc', id: 'asc' }, limit: 300 },
    );
    return this.present(takes);
  }

  async get(id: string): Promise<TakeDto> {
    return (await this.present([await this.find(id)]))[0];
  }

  /** Throws a not-found {@link Problem} for an unknown take. */
  async find(id: string): Promise<Take> {
    const take = await this.em.findOne(TakeEntity, { id, deletedAt: null });
    if (!take) throw Problem.notFound('This take');
    return take;
  }

  /** Asks for a take of a mix. A new draft replaces the drafts of the same mix that are not finished. */
  async ask(wish: NewTakeDto): Promise<TakeDto> {
    const mix = await this.em.findOne(MixEntity, { id: wish.mixId, deletedAt: null });
    if (!mix) throw Problem.notFound('This mix');
    const quality = wish.quality ?? 'proof';
    if (quality === 'draft') await this.dropDrafts(mix.id);
    const used = wish.without ? mix.influences.filter((i) => i.id !== wish.without) : mix.influences;
    const take = await this.queue({ ...mix, influences: used }, quality, wish.prompt, wish.seed);
    return (await this.present([take]))[0];
  }

  /** Asks for a take of settings that belong to no mix. */
  async askFor(mix: Pick<Mix, 'prompt' | 'avoid' | 'settings' | 'influences'>, quality: Quality): Promise<TakeDto> {
    return (await this.present([await this.queue(mix, quality)]))[0];
  }

  /** Asks for the take of a shot unless the newest one shows just that; returns the take that will be it. */
  async askForShot(mix: Mix, quality: Quality, shot: ShotChoices): Promise<{ take: Take; fresh: boolean }> {
    const request = await this.request(mix, quality, shot.prompt, shot.seed);
    const newest = await this.em.findOne(
      TakeEntity,
      { shotId: shot.shotId, deletedAt: null, status: { $in: ['queued', 'rendering', 'done'] } },
      { orderBy: { createdAt: 'desc' } },
    );
    if (newest && newest.requestHash === requestHash(request, ENGINE)) return { take: newest, fresh: false };
    return { take: await this.queue(mix, quality, shot.prompt, shot.seed, shot.shotId), fresh: true };
  }

  /** True if the newest finished take of a shot was made from just these settings. */
  async isCurrent(mix: Mix, quality: Quality, shot: ShotChoices, take: Pick<Take, 'requestHash'>): Promise<boolean> {
    return take.requestHash === requestHash(await this.request(mix, quality, shot.prompt, shot.seed), ENGINE);
  }

  async cancel(id: string): Promise<TakeDto> {
    const take = await this.find(id);
    await this.stop(take);
    return (await this.present([take]))[0];
  }

  async change(id: string, change: ChangeTakeDto): Promise<TakeDto> {
    const take = await this.find(id);
    requireVersion(take, change.version, (t) => toTakeDto(t, undefined));
    take.keeper = change.keeper;
    await this.em.flush();
    this.events.publish({ type: 'take', id, status: take.status });
    return (await this.present([take]))[0];
  }

  async remove(id: string): Promise<void> {
    const take = await this.find(id);
    await this.stop(take);
    take.deletedAt = new Date();
    await this.em.flush();
    this.events.publish({ type: 'take', id, status: take.status });
  }

  private async stop(take: Take): Promise<void> {
    if (take.status !== 'queued' && take.status !== 'rendering') return;
    await this.jobs.cancelQueued('take', take.id);
    this.renderer.stop(take.id);
    take.status = 'cancelled';
    await this.em.flush();
    this.events.publish({ type: 'take', id: take.id, status: 'cancelled' });
  }

  private async dropDrafts(mixId: string): Promise<void> {
    const old = await this.em.find(TakeEntity, {
      mixId,
      quality: 'draft',
      status: { $in: ['queued', 'rendering'] },
      deletedAt: null,
    });
    for (const take of old) {
      await this.stop(take);
      take.deletedAt = new Date();
    }
    await this.em.flush();
  }

  private async request(
    mix: Pick<Mix, 'prompt' | 'avoid' | 'settings' | 'influences'>,
    quality: Quality,
    prompt?: string,
    seed?: number,
  ): Promise<RenderRequest> {
    const [sources, cast] = [await this.sources.of(mix.influences), await this.sources.names()];
    return requestFor(mix, sources, { quality, prompt, seed }, cast);
  }

  private async queue(
    mix: Pick<Mix, 'prompt' | 'avoid' | 'settings' | 'influences'> & { readonly id?: string },
    quality: Quality,
    prompt?: string,
    seed?: number,
    shotId?: string,
  ): Promise<Take> {
    const waiting = await this.em.count(TakeEntity, { status: 'queued', deletedAt: null });
    if (waiting >= LINE_LIMIT) throw Problem.busy(`${waiting} takes wait already. Let some finish, or cancel them.`);
    const request = await this.request(mix, quality, prompt, seed);
    const control = isControl(request) ? undefined : await this.controlOf(request, quality);
    const take = this.em.create(
      TakeEntity,
      this.fields(request, quality, mix.influences, { mixId: mix.id, shotId, controlId: control?.id }),
    );
    await this.jobs.enqueue(this.em, {
      kind: 'take',
      subject: take.id,
      priority: quality === 'draft' ? 0 : quality === 'proof' ? 1 : 2,
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
    return known ?? this.em.create(TakeEntity, { ...this.fields(plain, quality, [], {}), isControl: true });
  }

  private fields(
    request: RenderRequest,
    quality: Quality,
    influences: readonly MixInfluence[],
    links: { mixId?: string; shotId?: string; controlId?: string },
  ) {
    return {
      id: randomUUID(),
      mixId: links.mixId ?? null,
      shotId: links.shotId ?? null,
      controlId: links.controlId ?? null,
      isControl: false,
      quality,
      status: 'queued' as const,
      requestHash: requestHash(request, ENGINE),
      origin: { request, engine: { name: ENGINE.name, version: ENGINE.version }, influences },
      keeper: false,
      createdAt: new Date(),
      version: 1,
    };
  }

  /** Takes with their controls, as they leave the server. */
  async present(takes: readonly Take[]): Promise<TakeDto[]> {
    const ids = takes.flatMap((t) => (t.controlId ? [t.controlId] : []));
    const controls = new Map((await this.em.find(TakeEntity, { id: { $in: ids } })).map((c) => [c.id, c]));
    return takes.map((t) => toTakeDto(t, t.controlId ? controls.get(t.controlId) : undefined));
  }
}
