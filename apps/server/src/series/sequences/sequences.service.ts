import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { timesSteadier, type Unsteadiness } from '@urbild/core';
import { cameraWindow, figureFor, type FrameMove, type RenderRequest } from '@urbild/engine';
import { createHash, randomUUID } from 'crypto';
import { blobUrl } from '../../platform/blobs/blobUrl';
import { BlobStore, blobPath } from '../../platform/blobs/blobStore';
import { together } from '../../platform/database/together';
import { EventsService } from '../../platform/events/events.service';
import { Problem } from '../../platform/problems/problem';
import { WorkersService } from '../../platform/workers/workers.service';
import { TakeEntity, type Take } from '../../takes/take.entity';
import { TakeQueue, type TakeOrder } from '../../takes/takeQueue.service';
import { TakesService } from '../../takes/takes.service';
import { SeriesPlanService } from '../seriesPlan.service';
import { SeriesService } from '../series.service';
import type { FrameDto, NewSequenceDto, SequenceDto, SteadinessDto } from './sequence.dto';
import { SequenceEntity, type Sequence } from './sequence.entity';
import { STEADINESS } from '../series.tasks';

/** Sequences are rendered after whole shots: they are many pictures. */
const PRIORITY = 4;
const KEPT = 20;

/** The moment of a frame in its sequence, 0..1. */
const momentOf = (k: number, frames: number): number => k / (frames - 1);

/** Short frame sequences over shots: rendered freely, held by one frame, measured. */
@Injectable()
export class SequencesService {
  private readonly measured = new Map<string, Promise<Unsteadiness>>();

  constructor(
    private readonly em: EntityManager,
    private readonly series: SeriesService,
    private readonly plans: SeriesPlanService,
    private readonly queue: TakeQueue,
    private readonly takes: TakesService,
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
    private readonly events: EventsService,
  ) {}

  /** The sequences of a series, newest first. */
  async list(seriesId: string): Promise<SequenceDto[]> {
    const all = await this.em.find(
      SequenceEntity,
      { seriesId, deletedAt: null },
      { orderBy: { createdAt: 'desc' }, limit: 40 },
    );
    return Promise.all(all.map((s) => this.present(s)));
  }

  async get(id: string): Promise<SequenceDto> {
    return this.present(await this.find(id));
  }

  /** Puts a take into the queue for every frame. Throws a {@link Problem} for a move that moves nothing. */
  async create(
    seriesId: string,
    { name, shotId, move, frames, quality = 'draft' }: NewSequenceDto,
  ): Promise<SequenceDto> {
    const series = await this.series.find(seriesId);
    const shot = (await this.series.shotsOf(seriesId)).find((s) => s.id === shotId);
    if (!shot) throw Problem.invalid([{ field: 'shotId', message: 'This shot is not in the series.' }]);
    const plain = plainMove(move);
    if (!moves(plain))
      throw Problem.invalid([
        { field: 'move', message: 'Nothing moves. Let the camera or the figure go, or say other words for the end.' },
      ]);
    const state = (await this.plans.planOf(series, [shot])).stateOf(shot);
    const request = await this.queue.request(state, quality);
    const requests = Array.from({ length: frames }, (_, k) => ({
      ...request,
      frame: { at: momentOf(k, frames), ...plain },
    }));
    const sequence = await together(this.em, async (em) =>
      em.create(SequenceEntity, {
        id: randomUUID(),
        seriesId,
        shotId,
        name,
        state,
        move: plain,
        quality,
        freeIds: await this.ask(requests, { quality, made: state, besideMixId: series.mixId }),
        hold: null,
        heldIds: null,
        createdAt: new Date(),
        version: 1,
      }),
    );
    this.tell(sequence);
    return this.present(sequence);
  }

  /** Renders all other frames once more, held by one that is finished. Throws a {@link Problem} while it is not. */
  async holdBy(id: string, frame: number): Promise<SequenceDto> {
    const sequence = await this.find(id);
    const { freeIds, quality, state } = sequence;
    if (frame >= freeIds.length) throw Problem.notFound(`Frame ${frame + 1} of this sequence`);
    const free = await this.framesOf(freeIds);
    const content = free[frame].pictureHash;
    if (!content) throw Problem.conflict('This frame is not rendered yet. Wait for it, or hold by another.');
    const hold = { content, at: momentOf(frame, freeIds.length) };
    const others = free.filter((_, k) => k !== frame).map((take) => ({ ...take.origin.request, hold }));
    await together(this.em, async () => {
      await this.stop(sequence.heldIds ?? []);
      const heldIds = await this.ask(others, {
        quality,
        made: state,
        besideMixId: free[frame].besideMixId ?? undefined,
      });
      heldIds.splice(frame, 0, free[frame].id);
      Object.assign(sequence, { hold: frame, heldIds });
    });
    this.tell(sequence);
    return this.present(sequence);
  }

  private async ask(requests: readonly RenderRequest[], order: Omit<TakeOrder, 'request'>): Promise<string[]> {
    const orders = requests.map((request) => ({ request, ...order, priority: PRIORITY, controlled: false }));
    return (await this.queue.put(orders)).map((take) => take.id);
  }

  /** Puts a sequence away and stops what is not rendered yet. */
  async remove(id: string, away = true): Promise<void> {
    const sequence = await this.em.findOne(SequenceEntity, { id });
    if (!sequence) throw Problem.notFound('This sequence');
    await together(this.em, async () => {
      if (away) await this.stop([...sequence.freeIds, ...(sequence.heldIds ?? [])]);
      sequence.deletedAt = away ? new Date() : null;
    });
    this.tell(sequence);
  }

  private async stop(takeIds: readonly string[]): Promise<void> {
    const open = await this.em.find(TakeEntity, {
      id: { $in: [...takeIds] },
      status: { $in: ['queued', 'rendering'] },
    });
    await this.takes.stop(open);
  }

  /** How steady a sequence is, by itself and held; measured in a worker thread and kept as long as its frames are the same. */
  async steadiness(id: string): Promise<SteadinessDto> {
    const { freeIds, heldIds, move } = await this.find(id);
    const [free, held] = [await this.unsteady(freeIds, move), heldIds ? await this.unsteady(heldIds, move) : undefined];
    return { free, held, times: free && held && timesSteadier(held, free) };
  }

  private async unsteady(takeIds: readonly string[], move: FrameMove): Promise<Unsteadiness | undefined> {
    const takes = await this.framesOf(takeIds);
    const hashes = takes.flatMap((t) => (t.status === 'done' ? (t.pictureHash ?? []) : []));
    if (hashes.length < takeIds.length) return undefined;
    const key = createHash('sha256')
      .update(JSON.stringify([hashes, move]))
      .digest('hex');
    let result = this.measured.get(key);
    if (!result) {
      const n = takes.length;
      result = this.workers.run(STEADINESS, {
        files: hashes.map((h) => blobPath(this.blobs.dir, h)),
        windows: hashes.slice(1).map((_, k) => cameraWindow(move, momentOf(k, n), momentOf(k + 1, n))),
        traits: takes.map((t) => figureFor(t.measurements?.figures ?? [], {})?.traits ?? {}),
      });
      this.measured.set(key, result);
      result.catch(() => this.measured.delete(key));
      if (this.measured.size > KEPT) this.measured.delete(this.measured.keys().next().value!);
    }
    return result;
  }

  /** The files of a sequence's frames in their order: held ones when they are all there, else free ones. */
  async files(id: string): Promise<{ name: string; files: string[] }> {
    const { name, freeIds, heldIds } = await this.find(id);
    for (const ids of [heldIds ?? [], freeIds]) {
      const hashes = (await this.framesOf(ids)).flatMap((t) => (t.status === 'done' ? (t.pictureHash ?? []) : []));
      if (hashes.length && hashes.length === ids.length)
        return { name, files: hashes.map((h) => blobPath(this.blobs.dir, h)) };
    }
    throw Problem.conflict('Some frames are not rendered yet. Wait for them; then the sequence can be handed over.');
  }

  private async framesOf(ids: readonly string[]): Promise<Take[]> {
    const found = new Map((await this.em.find(TakeEntity, { id: { $in: [...ids] } })).map((t) => [t.id, t]));
    return ids.flatMap((id) => found.get(id) ?? []);
  }

  private async find(id: string): Promise<Sequence> {
    const sequence = await this.em.findOne(SequenceEntity, { id, deletedAt: null });
    if (!sequence) throw Problem.notFound('This sequence');
    return sequence;
  }

  private tell({ id }: Sequence): void {
    this.events.publish({ type: 'sequence', id });
  }

  private async present(s: Sequence): Promise<SequenceDto> {
    const [free, held] = [await this.framesOf(s.freeIds), await this.framesOf(s.heldIds ?? [])];
    const { width, height } = free[0].origin.request;
    return {
      id: s.id,
      seriesId: s.seriesId,
      shotId: s.shotId,
      name: s.name,
      prompt: s.state.prompt,
      move: s.move as SequenceDto['move'],
      quality: s.quality,
      width,
      height,
      free: free.map(toFrameDto),
      hold: s.hold ?? undefined,
      held: held.map(toFrameDto),
      createdAt: s.createdAt.toISOString(),
    };
  }
}

const toFrameDto = ({ id, status, pictureHash, thumbnailHash, error }: Take): FrameDto => ({
  takeId: id,
  status,
  pictureUrl: pictureHash ? blobUrl(pictureHash) : undefined,
  thumbnailUrl: thumbnailHash ? blobUrl(thumbnailHash) : undefined,
  error: error ?? undefined,
});

/** A move with known fields only, and without what says nothing. */
const plainMove = ({ camera, across, towards }: NewSequenceDto['move']): FrameMove => ({
  ...(camera ? { camera: { from: { ...camera.from }, to: { ...camera.to } } } : {}),
  ...(across ? { across } : {}),
  ...(towards?.trim() ? { towards: towards.trim() } : {}),
});

function moves({ camera, across, towards }: FrameMove): boolean {
  const goes = camera && JSON.stringify(camera.from) !== JSON.stringify(camera.to);
  return !!goes || across !== undefined || towards !== undefined;
}
