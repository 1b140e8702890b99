import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { axisFault, calledInShot, cellsOf } from '@urbild/core';
import { randomUUID } from 'crypto';
import { MixesService } from '../mixes/mixes.service';
import { SourcesService } from '../mixes/sources.service';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { TakesService } from '../takes/takes.service';
import { TakeEntity } from '../takes/take.entity';
import { TakeQueue, type TakeOrder } from '../takes/takeQueue.service';
import type { NewStripDto, StripDto } from './trial.dto';
import { TrialShotsService } from './trialShots.service';
import { StripEntity, type Strip } from './trial.entity';

/** Strips are rendered after what somebody waits for at the bench. */
const PRIORITY = 1;
const MOST_CELLS = 60;

/** Test strips: takes over the values of one or two settings. */
@Injectable()
export class StripsService {
  constructor(
    private readonly em: EntityManager,
    private readonly mixes: MixesService,
    private readonly sources: SourcesService,
    private readonly takes: TakesService,
    private readonly queue: TakeQueue,
    private readonly events: EventsService,
    private readonly shots: TrialShotsService,
  ) {}

  /** The strips of a mix, newest first. */
  async list(mixId: string): Promise<StripDto[]> {
    const all = await this.em.find(
      StripEntity,
      { mixId, deletedAt: null, shots: null },
      { orderBy: { createdAt: 'desc' }, limit: 50 },
    );
    return Promise.all(all.map((s) => this.present(s)));
  }

  /** The strips over shots of a series, newest first. */
  async ofSeries(seriesId: string): Promise<StripDto[]> {
    const all = await this.em.find(
      StripEntity,
      { shots: { $ne: null }, deletedAt: null },
      { orderBy: { createdAt: 'desc' }, limit: 200 },
    );
    return Promise.all(
      all
        .filter((s) => s.shots?.seriesId === seriesId)
        .slice(0, 20)
        .map((s) => this.present(s)),
    );
  }

  async get(id: string): Promise<StripDto> {
    return this.present(await this.find(id));
  }

  /** Puts a take into the queue for every cell. Throws a {@link Problem} for axes that the mix does not have. */
  async create({ mixId, name, axes, quality = 'draft', seriesId, shotIds }: NewStripDto): Promise<StripDto> {
    const mix = await this.mixes.find(mixId);
    const shots = await this.shots.of(seriesId, shotIds);
    const state = await this.sources.called(mix, shots?.shots);
    const errors = axes.flatMap((axis, k) => {
      const fault = axisFault(axis, state);
      return fault ? [{ field: `axes.${k}`, message: fault }] : [];
    });
    if (errors.length) throw Problem.invalid(errors);
    const cast = await this.sources.cast();
    const cells = cellsOf(state, axes).flatMap((cell) =>
      shots ? shots.shots.map((shot) => calledInShot(cell, shot, cast)) : [cell],
    );
    if (cells.length > MOST_CELLS)
      throw Problem.invalid([
        { field: 'axes', message: `A table has at most ${MOST_CELLS} cells, not ${cells.length}.` },
      ]);
    const strange = await this.mixes.faultsOf(cells.flatMap((c) => c.influences));
    if (strange.length) throw Problem.invalid(strange);
    const orders: TakeOrder[] = [];
    for (const cell of cells)
      orders.push({
        request: await this.queue.request(cell, quality),
        quality,
        made: cell,
        besideMixId: mixId,
        priority: PRIORITY,
      });
    const strip = await together(this.em, async (em) =>
      em.create(StripEntity, {
        id: randomUUID(),
        mixId,
        name: name ?? axes.map((a) => a.setting).join(' and '),
        state,
        axes,
        quality,
        shots,
        takeIds: (await this.queue.put(orders)).map((take) => take.id),
        createdAt: new Date(),
        version: 1,
      }),
    );
    this.events.publish({ type: 'strip', id: strip.id, mixId });
    return this.present(strip);
  }

  /** Renders one cell as a proof, which takes the place of its draft. */
  async proof(id: string, cell: number): Promise<StripDto> {
    const strip = await this.find(id);
    const states = cellsOf(strip.state, strip.axes);
    if (cell >= states.length) throw Problem.notFound('This cell');
    await together(this.em, async () => {
      const take = await this.queue.ask(states[cell], 'proof', { besideMixId: strip.mixId });
      strip.takeIds = strip.takeIds.map((old, k) => (k === cell ? take.id : old));
    });
    this.events.publish({ type: 'strip', id });
    return this.present(strip);
  }

  /** Puts a strip away and stops what is not rendered yet. */
  async remove(id: string): Promise<void> {
    const strip = await this.find(id);
    await together(this.em, async (em) => {
      await this.takes.stop(await em.find(TakeEntity, { id: { $in: [...strip.takeIds] } }));
      strip.deletedAt = new Date();
    });
    this.events.publish({ type: 'strip', id });
  }

  private async find(id: string): Promise<Strip> {
    const strip = await this.em.findOne(StripEntity, { id, deletedAt: null });
    if (!strip) throw Problem.notFound('This strip');
    return strip;
  }

  private async present({
    id,
    mixId,
    name,
    axes,
    state,
    shots,
    quality,
    takeIds,
    createdAt,
  }: Strip): Promise<StripDto> {
    return {
      id,
      mixId,
      name,
      axes: axes.map((a) => ({ ...a, values: [...a.values] })),
      state: { ...state, influences: [...state.influences] },
      shots: shots?.shots.map((s) => ({ id: s.id, title: s.title })),
      quality,
      cells: await this.takes.byIds(takeIds),
      createdAt: createdAt.toISOString(),
    };
  }
}
