import { EntityManager } from '@mikro-orm/better-sqlite';
import { Inject, Injectable } from '@nestjs/common';
import { ownDifferences, ownText } from '@urbild/core';
import { randomUUID } from 'crypto';
import { MixEntity, MixVersionEntity } from '../mixes/mix.entity';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import { TakeEntity, type Take } from '../takes/take.entity';
import { ENGINE, type TakeEngine } from '../takes/takeEngine';
import { ownToDto } from './ownSettings';
import type { ChangeSeriesDto, NewSeriesDto, SeriesDto, SeriesSummaryDto, ShotDto } from './series.dto';
import { SeriesEntity, ShotEntity, type Series, type Shot } from './series.entity';
import { SeriesPlanService, leadOf, type SeriesPlan } from './seriesPlan.service';
import { newShot } from './newShot';
import { SeriesRunService } from './seriesRun.service';
import { toShotTakeDto } from './shotTake.dto';

/** Series: shots over one mix, rendered together. */
@Injectable()
export class SeriesService {
  constructor(
    private readonly em: EntityManager,
    private readonly plans: SeriesPlanService,
    private readonly runs: SeriesRunService,
    private readonly events: EventsService,
    @Inject(ENGINE) private readonly engine: TakeEngine,
  ) {}

  async list(): Promise<SeriesSummaryDto[]> {
    const all = await this.em.find(SeriesEntity, { deletedAt: null }, { orderBy: { createdAt: 'asc' } });
    const counts = await this.em.execute<{ id: string; n: number }[]>(
      'select series_id as id, count(*) as n from shot where deleted_at is null group by series_id',
    );
    const shots = new Map(counts.map((c) => [c.id, c.n]));
    return all.map(({ id, name, mixId, updatedAt }) => ({
      id,
      name,
      mixId,
      shots: shots.get(id) ?? 0,
      updatedAt: updatedAt.toISOString(),
    }));
  }

  async get(id: string): Promise<SeriesDto> {
    const series = await this.find(id);
    const shots = await this.shotsOf(id);
    const plan = await this.plans.planOf(series, shots);
    const takes = (await this.takesOf(shots, true)).filter((t) => !t.trial?.quiet);
    const controls = await this.controlsOf(takes);
    return {
      id: series.id,
      name: series.name,
      mixId: series.mixId,
      mixVersion: series.mixVersion ?? undefined,
      influences: plan.state.influences.map((i) => ({ ...i })),
      paused: series.paused,
      queue: await this.runs.queueOf(takes),
      shots: shots.map((shot) =>
        this.present(
          plan,
          shot,
          takes.filter((t) => t.shotId === shot.id),
          controls,
        ),
      ),
      version: series.version,
    };
  }

  private present(plan: SeriesPlan, shot: Shot, takes: readonly Take[], controls: ReadonlyMap<string, Take>): ShotDto {
    const { id, position, title, prompt, notes, seed, skipped, own, version } = shot;
    const influences = plan.stateOf(shot).influences;
    return {
      id,
      position,
      title,
      prompt,
      notes,
      seed,
      skipped,
      own: ownToDto(own),
      acting: influences.filter((i) => i.on).map((i) => i.id),
      differs: ownDifferences(plan.state, own).map((d) => {
        const i = influences.find((one) => one.id === d.influence);
        return { key: d.key, text: ownText(d, i ? plan.nameOf(i) : '', i?.gives) };
      }),
      stale: this.plans.staleness(plan, shot, takes),
      leadId: leadOf(takes)?.id,
      takes: takes.map((t) => toShotTakeDto(t, controls.get(t.controlId ?? ''), this.engine.capabilities)),
      version,
    };
  }

  /**
   * All takes of some shots, newest first, tries included. What only the take page shows of them is not read. Those that are only
   * looked at are not kept for changes, which takes half of the time.
   */
  async takesOf(shots: readonly Shot[], onlyLooked = false): Promise<Take[]> {
    const em = onlyLooked ? this.em.fork() : this.em;
    return (await em.find(
      TakeEntity,
      { shotId: { $in: shots.map((s) => s.id) }, deletedAt: null, isControl: false },
      {
        orderBy: { createdAt: 'desc', id: 'asc' },
        exclude: ['shares', 'understood', 'unheard'] as never[],
        disableIdentityMap: onlyLooked,
      },
    )) as Take[];
  }

  /** The controls of takes by their ids. */
  async controlsOf(takes: readonly Take[]): Promise<Map<string, Take>> {
    const ids = takes.flatMap((t) => t.controlId ?? []);
    return new Map((await this.em.find(TakeEntity, { id: { $in: ids } })).map((c) => [c.id, c]));
  }

  async create(fields: NewSeriesDto, id: string = randomUUID()): Promise<SeriesDto> {
    if (!(await this.em.count(MixEntity, { id: fields.mixId, deletedAt: null }))) throw Problem.notFound('This mix');
    const now = new Date();
    this.em.create(SeriesEntity, {
      id,
      name: fields.name,
      mixId: fields.mixId,
      paused: false,
      createdAt: now,
      updatedAt: now,
      version: 1,
    });
    fields.shots?.forEach((shot, position) => newShot(this.em, id, position, shot));
    await this.em.flush();
    this.events.publish({ type: 'series', id });
    return this.get(id);
  }

  async change(id: string, { version, name, mixId, mixVersion }: ChangeSeriesDto): Promise<SeriesDto> {
    const series = await this.find(id);
    requireVersion(series, version, ({ id, name, mixId, mixVersion, version }) => ({
      id,
      name,
      mixId,
      mixVersion,
      version,
    }));
    if (name !== undefined) series.name = name;
    if (mixId !== undefined && mixId !== series.mixId) {
      if (!(await this.em.count(MixEntity, { id: mixId, deletedAt: null }))) throw Problem.notFound('This mix');
      series.mixId = mixId;
      series.mixVersion = null;
    }
    if (mixVersion !== undefined) {
      if (mixVersion && !(await this.em.count(MixVersionEntity, { mixId: series.mixId, number: mixVersion })))
        throw Problem.notFound(`Version ${mixVersion} of the mix`);
      series.mixVersion = mixVersion;
    }
    return this.touched(series);
  }

  /** Puts a series away, or takes it back; what waits of it is stopped. */
  async remove(id: string, away = true): Promise<void> {
    const series = await this.em.findOne(SeriesEntity, { id });
    if (!series) throw Problem.notFound('This series');
    await together(this.em, async () => {
      if (away) await this.runs.stop(await this.takesOf(await this.shotsOf(id)));
      series.deletedAt = away ? new Date() : null;
    });
    this.events.publish({ type: 'series', id });
  }

  /** Marks a series as changed and tells everybody. */
  async touched(series: Series): Promise<SeriesDto> {
    series.updatedAt = new Date();
    await this.em.flush();
    this.events.publish({ type: 'series', id: series.id });
    return this.get(series.id);
  }

  /** Throws a not-found {@link Problem} for an unknown series. */
  async find(id: string): Promise<Series> {
    const series = await this.em.findOne(SeriesEntity, { id, deletedAt: null });
    if (!series) throw Problem.notFound('This series');
    return series;
  }

  /** The shots of a series in their order. */
  shotsOf(seriesId: string): Promise<Shot[]> {
    return this.em.find(
      ShotEntity,
      { seriesId, deletedAt: null },
      { orderBy: { position: 'asc', createdAt: 'asc', id: 'asc' } },
    );
  }
}
