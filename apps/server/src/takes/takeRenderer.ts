import type { EntityManager } from '@mikro-orm/core';
import { Inject, Injectable, OnModuleInit } from '@nestjs/common';
import sharp from 'sharp';
import { blobUrl } from '../platform/blobs/blobUrl';
import { SourcesService } from '../mixes/sources.service';
import { BlobStore } from '../platform/blobs/blobStore';
import { CONFIG, type Config } from '../platform/config';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import type { Job } from '../platform/jobs/job.entity';
import { JobCancelled, JobsService, type JobHandler } from '../platform/jobs/jobs.service';
import type { Running } from '../platform/workers/task';
import type { MeasuredReference, RenderedTake, RenderProgressShown } from './tasks/render';
import { endControls } from './endTakes';
import { requestHash } from './renderPlan';
import { byOlderEngine, ENGINE, type EngineVersion, type TakeEngine } from './takeEngine';
import { takeEvent } from './takeEvent';
import { TakeEntity, type Take } from './take.entity';
import { TakeQueue } from './takeQueue.service';

/** The part of a take's progress that its control takes, where the control is not there yet. */
const CONTROL_PART = 0.3;

/** Does the jobs of kind `take`: control first, then the take, then what is measured of it. */
@Injectable()
export class TakeRenderer implements JobHandler, OnModuleInit {
  readonly concurrency: number;
  readonly quick = true;
  private readonly running = new Map<string, Running<RenderedTake>>();
  /** Takes whose job is being done, and those among them that somebody has stopped. */
  private readonly active = new Set<string>();
  private readonly stopped = new Set<string>();

  constructor(
    @Inject(CONFIG) config: Config,
    private readonly jobs: JobsService,
    @Inject(ENGINE) private readonly engine: TakeEngine,
    private readonly blobs: BlobStore,
    private readonly events: EventsService,
    private readonly sources: SourcesService,
    private readonly queue: TakeQueue,
  ) {
    this.concurrency = config.renderThreads;
  }

  onModuleInit(): void {
    this.jobs.register('take', this);
  }

  /** Stops a take, whether its render has reached a thread already or is just on its way there; nothing for one that does not run. */
  stop(takeId: string): void {
    if (!this.active.has(takeId)) return;
    this.stopped.add(takeId);
    this.running.get(takeId)?.stop();
  }

  async run(job: Job, em: EntityManager): Promise<void> {
    this.active.add(job.subject);
    try {
      await this.make(job.subject, em);
    } catch (error) {
      if (!this.stopped.has(job.subject)) throw error;
      // a take that was stopped while it was being written: what was written of it is not wanted any more
      const unfinished = { id: job.subject, status: { $in: ['queued', 'rendering'] as const } };
      await em.fork().nativeUpdate(TakeEntity, unfinished as never, { status: 'cancelled' });
      throw new JobCancelled();
    } finally {
      this.running.delete(job.subject);
      this.active.delete(job.subject);
      this.stopped.delete(job.subject);
    }
  }

  private async make(id: string, em: EntityManager): Promise<void> {
    const take = await em.findOne(TakeEntity, { id });
    if (!take || take.status === 'done' || take.status === 'cancelled' || take.deletedAt) return;
    take.status = 'rendering';
    drawnNow(take, this.engine.capabilities);
    await em.flush();
    this.events.publish(takeEvent(take));
    const control = take.controlId ? await em.findOne(TakeEntity, { id: take.controlId }) : null;
    const needsControl = !!control && control.status !== 'done';
    if (needsControl) drawnNow(control, this.engine.capabilities);
    if (control && needsControl) await this.render(em, control, take.id, undefined, 0, CONTROL_PART);
    const twin = await em.findOne(TakeEntity, {
      requestHash: take.requestHash,
      status: 'done',
      id: { $ne: take.id },
    });
    if (twin) copyResult(twin, take);
    else await this.render(em, take, take.id, control ?? undefined, needsControl ? CONTROL_PART : 0, 1);
    await em.flush();
    this.events.publish(takeEvent(take));
  }

  async failed(job: Job, error: Error, em: EntityManager): Promise<void> {
    const gone = await together(em, async (tx) => {
      const take = await tx.findOne(TakeEntity, { id: job.subject });
      if (!take) return undefined;
      Object.assign(take, { status: 'failed', error: `It was not rendered: ${error.message}`, finishedAt: new Date() });
      await tx.flush();
      await endControls(tx, [take.controlId]);
      return take;
    });
    if (gone) this.events.publish(takeEvent(gone));
  }

  async again(job: Job, em: EntityManager): Promise<void> {
    const take = await em.findOne(TakeEntity, { id: job.subject });
    if (!take) return;
    Object.assign(take, { status: 'queued', error: null, finishedAt: null });
    await this.queue.controlFor(em, take);
    this.events.publish(takeEvent(take));
  }

  /** Renders one picture; progress is told under the id of the take that somebody waits for. */
  private async render(
    em: EntityManager,
    target: Take,
    watched: string,
    control: Take | undefined,
    from: number,
    to: number,
  ): Promise<void> {
    const running = this.engine.start(
      {
        request: target.origin.request,
        control: control?.descriptorsHash ?? undefined,
        controlPicture: target.quality === 'draft' ? undefined : (control?.pictureHash ?? undefined),
        controlFigures: control?.measurements?.figures,
        references: await this.measured(em, target),
      },
      (p: RenderProgressShown) => {
        if (p.finished && target.id === watched)
          // should that fail, the picture comes with the result
          void this.pictured(em, target.id, p.finished).catch(() => undefined);
        void this.tell(watched, p, from + (to - from) * p.fraction);
      },
    );
    this.running.set(watched, running);
    if (this.stopped.has(watched)) running.stop();
    const result = await running.result;
    const [pictureHash, thumbnailHash, descriptorsHash] = await Promise.all([
      this.blobs.put(result.picture),
      this.blobs.put(result.thumbnail),
      this.blobs.put(result.descriptors),
    ]);
    // somebody may have marked or removed the take meanwhile: what they wrote stays, the picture is added to it
    await em.refresh(target);
    Object.assign(target, {
      pictureHash,
      thumbnailHash,
      descriptorsHash,
      shares: result.shares,
      understood: result.understood,
      unheard: result.unheard,
      measurements: {
        arrivals: result.arrivals,
        words: result.words,
        notDrawn: result.notDrawn,
        wordsKept: result.wordsKept,
        timings: result.timings,
        figures: result.figures,
        remarks: result.remarks,
        unasked: result.unasked,
      },
      status: 'done',
      error: null,
      finishedAt: new Date(),
    } satisfies Partial<Take>);
    await em.flush();
  }

  /** The picture of a take is finished: it is shown at once, while it is still being measured. */
  private async pictured(em: EntityManager, id: string, picture: Uint8Array): Promise<void> {
    const pictureHash = await this.blobs.put(picture);
    await em.fork().nativeUpdate(TakeEntity, { id, status: 'rendering' }, { pictureHash });
    this.events.publish({ type: 'take', id, status: 'pictured', pictureUrl: blobUrl(pictureHash) });
  }

  private async measured(em: EntityManager, take: Take): Promise<MeasuredReference[]> {
    const { influences } = take.origin;
    const [sources, people] = [await this.sources.of(influences, em), await this.sources.people(influences, em)];
    return [...sources].map(([influence, { pictures }]) => ({
      influence,
      people: people.get(influence),
      pictures: pictures.map((p) => ({ descriptors: p.descriptorsHash, weight: p.weight })),
    }));
  }

  private async tell(id: string, p: RenderProgressShown, fraction: number): Promise<void> {
    const webp = await sharp(Buffer.from(p.rgba.buffer, p.rgba.byteOffset, p.rgba.byteLength), {
      raw: { width: p.width, height: p.height, channels: 4 },
    })
      .webp({ quality: 70 })
      .toBuffer();
    if (!this.running.has(id)) return;
    this.events.publish({
      type: 'progress',
      id,
      fraction,
      step: p.step,
      preview: `data:image/webp;base64,${webp.toString('base64')}`,
    });
  }
}

function copyResult(from: Take, to: Take): void {
  const { pictureHash, thumbnailHash, descriptorsHash, shares, understood, unheard, measurements } = from;
  Object.assign(to, {
    pictureHash,
    thumbnailHash,
    descriptorsHash,
    shares,
    understood,
    unheard,
    measurements,
    status: 'done',
    error: null,
    finishedAt: new Date(),
  } satisfies Partial<Take>);
}

/** What waited while the engine was brought up to date is drawn by the present one, and says so. */
function drawnNow(take: Take, { name, version }: EngineVersion): void {
  const engine = { name, version };
  if (!byOlderEngine(take, engine)) return;
  const { request } = take.origin;
  take.origin = { ...take.origin, engine };
  take.requestHash = requestHash(request, engine);
}
