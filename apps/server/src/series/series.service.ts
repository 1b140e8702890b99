import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { randomUUID } from 'crypto';
import { MixEntity, type Mix, type Quality } from '../mixes/mix.entity';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import { TakeEntity } from '../takes/take.entity';
import { TakesService } from '../takes/takes.service';
import type { ChangeShotDto, NewSeriesDto, NewShotDto, SeriesDto, ShotDto } from './series.dto';
import { SeriesEntity, ShotEntity, type Series, type Shot } from './series.entity';

/** Series: shots over one mix, rendered together. */
@Injectable()
export class SeriesService {
  constructor(
    private readonly em: EntityManager,
    private readonly takes: TakesService,
    private readonly events: EventsService,
  ) {}

  async list(): Promise<SeriesDto[]> {
    const all = await this.em.find(SeriesEntity, { deletedAt: null }, { orderBy: { createdAt: 'asc' } });
    return Promise.all(all.map((s) => this.present(s)));
  }

  async get(id: string): Promise<SeriesDto> {
    return this.present(await this.find(id));
  }

  async create(fields: NewSeriesDto, id: string = randomUUID()): Promise<SeriesDto> {
    await this.mixOf(fields.mixId);
    const now = new Date();
    const series = this.em.create(SeriesEntity, {
      id,
      name: fields.name,
      mixId: fields.mixId,
      createdAt: now,
      updatedAt: now,
      version: 1,
    });
    fields.shots?.forEach((shot, position) => this.newShot(series.id, position, shot));
    await this.em.flush();
    this.events.publish({ type: 'series', id: series.id });
    return this.present(series);
  }

  async addShot(seriesId: string, shot: NewShotDto): Promise<SeriesDto> {
    const series = await this.find(seriesId);
    const shots = await this.shotsOf(seriesId);
    if (shots.length >= 120) throw Problem.conflict('A series has at most 120 shots.');
    this.newShot(seriesId, shots.length, shot);
    await this.em.flush();
    this.events.publish({ type: 'series', id: seriesId });
    return this.present(series);
  }

  async changeShot(shotId: string, change: ChangeShotDto): Promise<SeriesDto> {
    const shot = await this.findShot(shotId);
    requireVersion(shot, change.version, (s) => ({
      id: s.id,
      title: s.title,
      prompt: s.prompt,
      seed: s.seed,
      version: s.version,
    }));
    if (change.title !== undefined) shot.title = change.title;
    if (change.prompt !== undefined) shot.prompt = change.prompt;
    if (change.seed !== undefined) shot.seed = change.seed;
    await this.em.flush();
    this.events.publish({ type: 'series', id: shot.seriesId });
    return this.get(shot.seriesId);
  }

  async removeShot(shotId: string): Promise<SeriesDto> {
    const shot = await this.findShot(shotId);
    shot.deletedAt = new Date();
    await this.em.flush();
    this.events.publish({ type: 'series', id: shot.seriesId });
    return this.get(shot.seriesId);
  }

  /** Puts a take in line for every shot whose newest take is missing or was made from something else. */
  async render(seriesId: string, quality: Quality): Promise<number> {
    const series = await this.find(seriesId);
    const mix = await this.mixOf(series.mixId);
    let queued = 0;
    for (const shot of await this.shotsOf(seriesId)) {
      const { fresh } = await this.takes.askForShot(mix, quality, {
        shotId: shot.id,
        prompt: shot.prompt,
        seed: shot.seed,
      });
      if (fresh) queued++;
    }
    this.events.publish({ type: 'series', id: seriesId });
    return queued;
  }

  private newShot(seriesId: string, position: number, { title, prompt, seed }: NewShotDto): Shot {
    return this.em.create(ShotEntity, {
      id: randomUUID(),
      seriesId,
      position,
      title,
      prompt,
      seed: seed ?? 1000 + position,
      createdAt: new Date(),
      version: 1,
    });
  }

  private async find(id: string): Promise<Series> {
    const series = await this.em.findOne(SeriesEntity, { id, deletedAt: null });
    if (!series) throw Problem.notFound('This series');
    return series;
  }

  private async findShot(id: string): Promise<Shot> {
    const shot = await this.em.findOne(ShotEntity, { id, deletedAt: null });
    if (!shot) throw Problem.notFound('This shot');
    return shot;
  }

  private async mixOf(mixId: string): Promise<Mix> {
    const mix = await this.em.findOne(MixEntity, { id: mixId });
    if (!mix) throw Problem.notFound('The mix of this series');
    return mix;
  }

  private shotsOf(seriesId: string): Promise<Shot[]> {
    return this.em.find(ShotEntity, { seriesId, deletedAt: null }, { orderBy: { position: 'asc' } });
  }

  private async present(series: Series): Promise<SeriesDto> {
    const shots = await this.shotsOf(series.id);
    const mix = await this.mixOf(series.mixId);
    const takes = await this.takes.list({ shotIds: shots.map((s) => s.id) });
    const result: ShotDto[] = [];
    for (const shot of shots) {
      const own = takes.filter((t) => t.shotId === shot.id);
      const newest = own.find((t) => t.status !== 'cancelled' && t.status !== 'failed');
      const stored = newest && (await this.em.findOne(TakeEntity, { id: newest.id }));
      const current =
        !!stored &&
        (await this.takes.isCurrent(
          mix,
          stored.quality,
          { shotId: shot.id, prompt: shot.prompt, seed: shot.seed },
          stored,
        ));
      const { id, position, title, prompt, seed, version } = shot;
      result.push({ id, position, title, prompt, seed, version, takes: own, current });
    }
    return { id: series.id, name: series.name, mixId: series.mixId, shots: result, version: series.version };
  }
}
