import { EntityManager, type SqlEntityManager } from '@mikro-orm/better-sqlite';
import { Inject, Injectable } from '@nestjs/common';
import { LEAST_ARRIVAL, withoutInfluence, type MixState } from '@urbild/core';
import { MixEntity, type Quality } from '../mixes/mix.entity';
import { MixVersionsService } from '../mixes/mixVersions.service';
import { SourcesService } from '../mixes/sources.service';
import { blobUrl } from '../platform/blobs/blobUrl';
import { shownNow } from '../platform/access/belonging';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { JobsService } from '../platform/jobs/jobs.service';
import { Problem } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import { requireOpen } from './approved';
import { arrivalsOf } from './arrivals';
import { dropTakes, endControls, oldDrafts } from './endTakes';
import {
  toTakeDto,
  type ChangeTakeDto,
  type CoverDto,
  type NewTakeDto,
  type TakeDto,
  type WorkedDto,
} from './take.dto';
import { ENGINE, type TakeEngine } from './takeEngine';
import { takeEvent } from './takeEvent';
import { TakeEntity, type Take } from './take.entity';
import { TakeQueue, type TakeLinks } from './takeQueue.service';
import { TakeRenderer } from './takeRenderer';

/** Takes: asking for them, stopping them, keeping them. */
@Injectable()
export class TakesService {
  private readonly kept: ((take: Take) => Promise<void>)[] = [];
  private readonly spared: ((mixId: string) => Promise<ReadonlySet<string>>)[] = [];

  constructor(
    private readonly em: EntityManager,
    private readonly jobs: JobsService,
    private readonly renderer: TakeRenderer,
    private readonly events: EventsService,
    private readonly queue: TakeQueue,
    private readonly versions: MixVersionsService,
    private readonly sources: SourcesService,
    @Inject(ENGINE) private readonly engine: TakeEngine,
  ) {}

  /** Lets somebody who stands above take part in the keeping of a take, in the same transaction. */
  whenKept(act: (take: Take) => Promise<void>): void {
    this.kept.push(act);
  }

  /** Lets somebody who stands above name takes of a mix that must not go, however old these drafts are. */
  spare(ids: (mixId: string) => Promise<ReadonlySet<string>>): void {
    this.spared.push(ids);
  }

  /** Finished takes that a reference, look or character had a part in, newest first. */
  async madeWith(id: string): Promise<TakeDto[]> {
    const shown = shownNow('take', 't');
    const rows = await this.em.execute<{ id: string }[]>(
      `select t.id from take t, json_each(t.origin, '$.influences') e
       where t.deleted_at is null and t.status = 'done' and t.quality <> 'draft' and e.value->>'referenceId' = ? and ${shown.sql}
       group by t.id order by max(t.created_at) desc limit 60`,
      [id, ...shown.parameters],
    );
    const takes = await this.em.find(
      TakeEntity,
      { id: { $in: rows.map((r) => r.id) } },
      { orderBy: { createdAt: 'desc' } },
    );
    return this.present(takes);
  }

  /** For every mix that has one, the picture that stands for it: the newest keeper, else the newest take, one of its series and a draft last. */
  async covers(): Promise<CoverDto[]> {
    const shown = shownNow('take', 't');
    const rows = await this.em.execute<{ mixId: string; thumbnail: string }[]>(
      `select mix_id as mixId, thumbnail_hash as thumbnail from (
         select mix_id, thumbnail_hash, row_number() over (
           partition by mix_id order by keeper desc, shot_id is not null, quality = 'draft', rejected, created_at desc
         ) as place
         from take t
         where deleted_at is null and status = 'done' and is_control = 0 and trial is null and mix_id is not null
           and thumbnail_hash is not null and ${shown.sql}
       ) where place = 1`,
      shown.parameters,
    );
    return rows.map(({ mixId, thumbnail }) => ({ mixId, thumbnailUrl: blobUrl(thumbnail) }));
  }

  /**
   * The weights with which references, looks and characters were in kept takes and arrived there: from the lowest to the highest. A take
   * that was kept although something did not arrive says nothing of its weight; what cannot be told counts.
   */
  async worked(ids: readonly string[]): Promise<WorkedDto[]> {
    if (!ids.length) return [];
    const shown = shownNow('take', 't');
    const rows = await this.em.execute<{ id: string; referenceId: string; influence: string; weight: number }[]>(
      `select t.id, e.value->>'referenceId' as referenceId, e.value->>'id' as influence, e.value->>'weight' as weight
       from take t, json_each(t.origin, '$.influences') e
       where t.deleted_at is null and t.keeper = 1 and e.value->>'on' and e.value->>'weight' > 0
         and e.value->>'referenceId' in (${ids.map(() => '?').join(', ')}) and ${shown.sql}`,
      [...ids, ...shown.parameters],
    );
    const kept = await this.em
      .fork()
      .find(TakeEntity, { id: { $in: rows.map((r) => r.id) } }, { fields: ['id', 'measurements'] });
    const arrivals = new Map(kept.map((t) => [t.id, arrivalsOf(t)]));
    const arrived = rows.filter((r) => (arrivals.get(r.id)?.[r.influence]?.overall ?? 1) >= LEAST_ARRIVAL);
    return ids.flatMap((referenceId) => {
      const own = arrived.filter((r) => r.referenceId === referenceId);
      const weights = own.map((r) => r.weight);
      const count = new Set(own.map((r) => r.id)).size;
      return count ? [{ referenceId, low: Math.min(...weights), high: Math.max(...weights), count }] : [];
    });
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

  async list(filter: { mixId: string }): Promise<TakeDto[]> {
    const takes = await this.em.find(
      TakeEntity,
      {
        isControl: false,
        deletedAt: null,
        mixId: filter.mixId,
        shotId: null,
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
    const { seed, from, without } = wish;
    const all = await this.sources.called({ ...mix, prompt: wish.prompt ?? mix.prompt });
    const used = without ? withoutInfluence(all, without) : all;
    const { take, dropped } = await together(this.em, async (em) => {
      if (quality !== 'draft') await this.versions.note(mix);
      const dropped = quality === 'draft' ? await this.dropDrafts(em, mix.id) : [];
      const take = await this.queue.ask({ ...used, id: mix.id }, quality, { seed, fromTakeId: from });
      return { take, dropped };
    });
    this.ended(dropped);
    return (await this.present([take]))[0];
  }

  /** Asks for a take of settings that belong to no mix. */
  async askFor(mix: MixState, quality: Quality, links: Pick<TakeLinks, 'priority'> = {}): Promise<TakeDto> {
    return (await this.present([await this.queue.ask(mix, quality, links)]))[0];
  }

  /** Takes as they leave the server, in the order of their ids; those that are gone are left out. */
  async byIds(ids: readonly string[]): Promise<TakeDto[]> {
    const found = new Map((await this.em.find(TakeEntity, { id: { $in: [...ids] } })).map((t) => [t.id, t]));
    return this.present(ids.flatMap((id) => found.get(id) ?? []));
  }

  async cancel(id: string): Promise<TakeDto> {
    const take = await this.find(id);
    await this.stop([take]);
    return (await this.present([take]))[0];
  }

  async change(id: string, change: ChangeTakeDto): Promise<TakeDto> {
    const take = await this.find(id);
    requireVersion(take, change.version, (t) => this.dto(t));
    if (change.keeper === false || change.rejected) requireOpen(take);
    if (change.keeper !== undefined) take.keeper = change.keeper;
    if (change.rating !== undefined) take.rating = change.rating;
    if (change.rejected !== undefined) take.rejected = change.rejected;
    if (change.note !== undefined) take.note = change.note;
    // what is kept is not rejected, and the other way round
    if (change.keeper) take.rejected = false;
    else if (change.rejected) take.keeper = false;
    await together(this.em, async () => {
      if (change.keeper && take.shotId) await this.onlyKeeper(take, take.shotId);
      if (change.keeper) for (const act of this.kept) await act(take);
      await this.em.flush();
    });
    this.events.publish(takeEvent(take));
    return (await this.present([take]))[0];
  }

  /** A shot has one keeper. */
  private async onlyKeeper(take: Take, shotId: string): Promise<void> {
    for (const other of await this.em.find(TakeEntity, { shotId, keeper: true, id: { $ne: take.id } })) {
      requireOpen(other);
      other.keeper = false;
    }
  }

  async remove(id: string): Promise<void> {
    const take = await this.find(id);
    requireOpen(take);
    await this.stop([take], true);
  }

  /** Stops takes that are not finished, all together; removes them too when told so. Finished ones are only removed. */
  async stop(takes: readonly Take[], remove = false): Promise<void> {
    const open = takes.filter(({ status }) => status === 'queued' || status === 'rendering');
    if (!open.length && !remove) return;
    await together(this.em, async (em) => {
      await this.jobs.cancelQueued(
        em,
        'take',
        open.map((t) => t.id),
      );
      for (const take of open) take.status = 'cancelled';
      if (remove) for (const take of takes) take.deletedAt = new Date();
      await em.flush();
      await endControls(
        em,
        open.map((t) => t.controlId),
      );
    });
    this.ended(open);
    if (remove) for (const take of takes.filter((t) => !open.includes(t))) this.events.publish(takeEvent(take));
  }

  /** Tells renders and everybody who looks that takes have ended. */
  private ended(takes: readonly Take[]): void {
    for (const { id, mixId, shotId } of takes) {
      this.renderer.stop(id);
      this.events.publish(takeEvent({ id, mixId, shotId, status: 'cancelled' }));
    }
  }

  /** A new draft takes the place of one's own that are not finished, and of the oldest when there are many. They go for good. */
  private async dropDrafts(em: SqlEntityManager, mixId: string): Promise<readonly Take[]> {
    const there = await em.find(TakeEntity, {
      mixId,
      quality: 'draft',
      shotId: null,
      status: { $in: ['queued', 'rendering'] },
      deletedAt: null,
    });
    const others = await this.jobs.ofOthers(
      em,
      'take',
      there.map((t) => t.id),
    );
    const unfinished = there.filter((t) => !others.has(t.id));
    await this.jobs.cancelQueued(
      em,
      'take',
      unfinished.map((t) => t.id),
    );
    const old = await oldDrafts(em, mixId);
    const spared = old.length ? await Promise.all(this.spared.map((ids) => ids(mixId))) : [];
    await dropTakes(em, [...unfinished, ...old.filter(({ id }) => !spared.some((ids) => ids.has(id)))]);
    unfinished.forEach((take) => em.getUnitOfWork().unsetIdentity(take));
    return unfinished;
  }

  private dto(take: Take, control?: Take): TakeDto {
    return toTakeDto(take, control, this.engine.capabilities);
  }

  /** Takes with their controls, as they leave the server. */
  async present(takes: readonly Take[]): Promise<TakeDto[]> {
    const ids = takes.flatMap((t) => (t.controlId ? [t.controlId] : []));
    const controls = new Map((await this.em.find(TakeEntity, { id: { $in: ids } })).map((c) => [c.id, c]));
    return takes.map((t) => this.dto(t, controls.get(t.controlId ?? '')));
  }
}
