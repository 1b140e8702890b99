import { EntityManager } from '@mikro-orm/core';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { randomUUID } from 'crypto';
import type { MixDto } from '../mixes/mix.dto';
import { MixesService } from '../mixes/mixes.service';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import type { Take } from '../takes/take.entity';
import { TakesService } from '../takes/takes.service';
import { requireVersion } from '../platform/versions';
import { ownFrom, ownToDto } from './ownSettings';
import { MOST_SHOTS, type ChangeShotDto, type NewShotDto, type SeriesDto } from './series.dto';
import { ShotEntity, type Shot } from './series.entity';
import { SeriesPlanService } from './seriesPlan.service';
import { newShot } from './newShot';
import { SeriesService } from './series.service';

/** Shots: adding, changing, ordering, taking out. */
@Injectable()
export class ShotsService implements OnModuleInit {
  constructor(
    private readonly em: EntityManager,
    private readonly series: SeriesService,
    private readonly plans: SeriesPlanService,
    private readonly mixes: MixesService,
    private readonly takes: TakesService,
    private readonly events: EventsService,
  ) {}

  onModuleInit(): void {
    this.takes.whenKept((take) => this.continueWith(take));
  }

  /** A shot goes on with the seed of its keeper. */
  private async continueWith({ shotId, origin }: Take): Promise<void> {
    const shot = shotId ? await this.em.findOne(ShotEntity, { id: shotId }) : null;
    if (!shot) return;
    shot.seed = origin.request.seed;
    this.events.publish({ type: 'series', id: shot.seriesId });
  }

  /** Adds shots, at the end or from a place on. */
  async add(seriesId: string, wanted: readonly NewShotDto[], at?: number): Promise<SeriesDto> {
    const series = await this.series.find(seriesId);
    const shots = await this.series.shotsOf(seriesId);
    if (shots.length + wanted.length > MOST_SHOTS)
      throw Problem.conflict(`A series has at most ${MOST_SHOTS} shots; this one has ${shots.length} already.`);
    // seeds go on from the highest there is, so that no two shots share one by accident
    const next = Math.max(999, ...shots.map((s) => s.seed).filter((s) => s < 0xffff_0000)) + 1;
    const fresh = wanted.map((w, k) => newShot(this.em, seriesId, 0, { ...w, seed: w.seed ?? next + k }));
    const place = Math.min(at ?? shots.length, shots.length);
    renumber([...shots.slice(0, place), ...fresh, ...shots.slice(place)]);
    return this.series.touched(series);
  }

  async change(shotId: string, change: ChangeShotDto): Promise<SeriesDto> {
    const shot = await this.find(shotId);
    requireVersion(shot, change.version, ({ id, title, prompt, notes, seed, skipped, own, version }) => ({
      id,
      title,
      prompt,
      notes,
      seed,
      skipped,
      own: ownToDto(own),
      version,
    }));
    const { title, prompt, notes, seed, skipped, own, position } = change;
    if (own !== undefined) await this.mixes.check(own.added);
    if (title !== undefined) shot.title = title;
    if (prompt !== undefined) shot.prompt = prompt;
    if (notes !== undefined) shot.notes = notes;
    if (seed !== undefined) shot.seed = seed;
    if (skipped !== undefined) shot.skipped = skipped;
    if (own !== undefined) shot.own = ownFrom(own);
    if (position !== undefined) {
      const others = (await this.series.shotsOf(shot.seriesId)).filter((s) => s.id !== shot.id);
      const place = Math.min(position, others.length);
      renumber([...others.slice(0, place), shot, ...others.slice(place)]);
    }
    return this.series.touched(await this.series.find(shot.seriesId));
  }

  /** A copy right behind a shot, with another seed. */
  async duplicate(shotId: string): Promise<SeriesDto> {
    const shot = await this.find(shotId);
    const series = await this.series.find(shot.seriesId);
    const shots = await this.series.shotsOf(shot.seriesId);
    if (shots.length >= MOST_SHOTS) throw Problem.conflict(`A series has at most ${MOST_SHOTS} shots.`);
    const { title, prompt, notes, own } = shot;
    const seed = (Math.max(...shots.map((s) => s.seed)) + 1) % 0x100000000;
    const copy = newShot(this.em, shot.seriesId, 0, { title: `${title}, again`.slice(0, 120), prompt, notes, seed });
    copy.own = own;
    const at = shots.indexOf(shot) + 1;
    renumber([...shots.slice(0, at), copy, ...shots.slice(at)]);
    return this.series.touched(series);
  }

  /** Takes a shot out of its series, or puts it back in its place. */
  async remove(shotId: string, away = true): Promise<SeriesDto> {
    const shot = await this.em.findOne(ShotEntity, { id: shotId });
    if (!shot) throw Problem.notFound('This shot');
    shot.deletedAt = away ? new Date() : null;
    return this.series.touched(await this.series.find(shot.seriesId));
  }

  /** A mix of its own from a shot: what the shot is made from, ready for the bench. */
  async toMix(shotId: string): Promise<MixDto> {
    const shot = await this.find(shotId);
    const series = await this.series.find(shot.seriesId);
    const { avoid, settings, influences, prompt } = (await this.plans.planOf(series, [shot])).stateOf(shot);
    const { projectId } = await this.mixes.find(series.mixId);
    return this.mixes.create({
      name: `${series.name}, ${shot.title}`.slice(0, 120),
      projectId,
      prompt,
      avoid,
      settings: { ...settings },
      influences: (await this.mixes.present(influences)).map((i) => ({ ...i })),
    });
  }

  /** A series over a mix whose one shot is the mix's own prompt. */
  async fromMix(mixId: string, name?: string): Promise<SeriesDto> {
    const mix = await this.mixes.find(mixId);
    const shots = mix.prompt.trim()
      ? [{ title: 'First shot', prompt: mix.prompt, seed: mix.settings.seed }]
      : undefined;
    return this.series.create({ name: name ?? mix.name, mixId, shots }, randomUUID());
  }

  /** Throws a not-found {@link Problem} for an unknown shot. */
  async find(id: string): Promise<Shot> {
    const shot = await this.em.findOne(ShotEntity, { id, deletedAt: null });
    if (!shot) throw Problem.notFound('This shot');
    return shot;
  }
}

/** Writes places only where they change, so that nobody's open shot gets a new version for nothing. */
const renumber = (shots: readonly Shot[]): void =>
  shots.forEach((s, position) => {
    if (s.position !== position) s.position = position;
  });
