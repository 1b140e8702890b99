import { Inject, Injectable, OnModuleDestroy } from '@nestjs/common';
import os from 'os';
import path from 'path';
import { Piscina } from 'piscina';
import { MessageChannel } from 'worker_threads';
import type { Box, Unsteadiness } from '@urbild/core';
import type { FaceFrame, ReadTraits } from '@urbild/engine';
import { CONFIG, type Config } from '../config';
import type { ConsistencyResult, ConsistencyTask } from './consistencyTask';
import type { SequenceExportTask, SteadinessTask } from './sequenceTasks';
import type { SeriesExportTask } from './seriesExport';
import { workerOptions } from './threads';
import { Turns } from './turns';
import type {
  CoherenceResult,
  FocusResult,
  GivesResult,
  IngestResult,
  IngestTask,
  MaskResult,
  PaintTask,
  PrepareResult,
  PrepareTask,
  RenderTask,
  RenderTaskResult,
  Task,
  TaskFailure,
  WorkerProgress,
} from './tasks';

/** Milliseconds that reading a file from outside may take. */
const READ_LIMIT = 60_000;

/** A task that ended without a result, for a reason that a person can act on. */
export class TaskFailed extends Error {
  constructor(
    readonly failure: TaskFailure['failure'],
    message: string,
  ) {
    super(message);
  }
}

/** A render that is under way. */
export interface RunningRender {
  readonly result: Promise<RenderTaskResult>;
  /** Stops within about 100 ms; the result then rejects with {@link TaskFailed}. */
  stop(): void;
}

/** Worker threads: one pool renders, another brings pictures in, so that neither waits for the other. */
@Injectable()
export class WorkersService implements OnModuleDestroy {
  private readonly renderers: Piscina;
  private readonly importers: Piscina;
  /** Files from outside that are read at once. */
  private readonly reading: Turns;
  /** Renders that run or wait for a thread. */
  private rendering = 0;

  constructor(@Inject(CONFIG) config: Config) {
    const pool = (threads: number, idleTimeout: number) =>
      new Piscina({
        ...workerOptions(path.join(__dirname, 'studio.worker')),
        minThreads: 0,
        maxThreads: threads,
        idleTimeout,
        concurrentTasksPerWorker: 1,
        // pictures are short-lived and large: a small nursery would be swept all the time
        resourceLimits: { maxYoungGenerationSizeMb: 64 },
      });
    // a renderer keeps the stages that it painted: a person at a slider comes back to them
    this.renderers = pool(config.renderThreads, 600_000);
    const importers = Math.max(1, Math.min(4, os.availableParallelism()));
    this.importers = pool(importers, 60_000);
    this.reading = new Turns(importers);
  }

  async ingest(task: Omit<IngestTask, 'kind'>): Promise<IngestResult> {
    return unwrap(await this.bounded<IngestResult>({ ...task, kind: 'ingest' }));
  }

  /** Runs a task on a file from outside when a thread is free for it; one that takes too long is thrown out with its thread. */
  private bounded<T>(task: Task): Promise<T | TaskFailure> {
    return this.reading.run(() => this.limited<T>(task));
  }

  private async limited<T>(task: Task): Promise<T | TaskFailure> {
    const limit = new AbortController();
    const timer = setTimeout(() => limit.abort(), READ_LIMIT);
    try {
      return (await this.importers.run(task, { signal: limit.signal })) as T | TaskFailure;
    } catch (error) {
      if (!limit.signal.aborted) throw error;
      throw new TaskFailed(
        'too-slow',
        `Reading this file took longer than ${READ_LIMIT / 1000} seconds, so it was given up. Export it again as PNG or JPEG and add the new file.`,
      );
    } finally {
      clearTimeout(timer);
    }
  }

  /** Makes what the engine gets of a source picture. */
  async prepare(task: Omit<PrepareTask, 'kind'>): Promise<PrepareResult> {
    return unwrap<PrepareResult>(await this.importers.run({ ...task, kind: 'prepare' } satisfies Task));
  }

  async gives(picture: string): Promise<GivesResult> {
    return unwrap<GivesResult>(await this.importers.run({ kind: 'gives', picture } satisfies Task));
  }

  async proposeFocus(source: string, picture: string): Promise<FocusResult> {
    return unwrap<FocusResult>(await this.importers.run({ kind: 'focus', source, picture } satisfies Task));
  }

  /** Traits of whoever a picture shows; undefined for nobody. */
  async traits(picture: string, face?: FaceFrame): Promise<ReadTraits> {
    return unwrap<ReadTraits>(await this.importers.run({ kind: 'traits', picture, face } satisfies Task));
  }

  /** Parts of a picture as PNG files; those of a collage when no boxes are given. */
  async crop(picture: string, boxes?: readonly Box[]): Promise<Uint8Array[]> {
    return unwrap<Uint8Array[]>(await this.importers.run({ kind: 'crop', picture, boxes } satisfies Task));
  }

  async coherence(pictures: readonly string[]): Promise<CoherenceResult> {
    return unwrap<CoherenceResult>(await this.importers.run({ kind: 'coherence', pictures } satisfies Task));
  }

  /** Compares the takes of a series with each other. */
  async consistency(task: Omit<ConsistencyTask, 'kind'>): Promise<ConsistencyResult> {
    return unwrap<ConsistencyResult>(await this.importers.run({ ...task, kind: 'consistency' } satisfies Task));
  }

  /** Writes the keepers of a series into a file. */
  async exportSeries(task: Omit<SeriesExportTask, 'kind'>): Promise<void> {
    unwrap<unknown>(await this.importers.run({ ...task, kind: 'seriesExport' } satisfies Task));
  }

  /** Measures how much a sequence changes from frame to frame. */
  async steadiness(task: Omit<SteadinessTask, 'kind'>): Promise<Unsteadiness> {
    return unwrap<Unsteadiness>(await this.importers.run({ ...task, kind: 'steadiness' } satisfies Task));
  }

  /** Writes the frames of a sequence into a file. */
  async exportSequence(task: Omit<SequenceExportTask, 'kind'>): Promise<void> {
    unwrap<unknown>(await this.importers.run({ ...task, kind: 'sequenceExport' } satisfies Task));
  }

  /** Paints in the import pool, so that renders go on. */
  async paint(task: Omit<PaintTask, 'kind'>): Promise<Uint8Array> {
    return ((await this.importers.run({ ...task, kind: 'paint' } satisfies Task)) as { png: Uint8Array }).png;
  }

  /** A painted mask as it is kept: grey, opaque, at most 1024 px. */
  async mask(file: string): Promise<MaskResult> {
    return unwrap(await this.bounded<MaskResult>({ kind: 'mask', file }));
  }

  render(
    task: Omit<RenderTask, 'kind' | 'stop' | 'progress' | 'alone'>,
    onProgress: (progress: WorkerProgress) => void,
  ): RunningRender {
    const stop = new SharedArrayBuffer(4);
    const { port1, port2 } = new MessageChannel();
    port1.on('message', onProgress);
    const alone = this.rendering === 0 && os.availableParallelism() > 1;
    this.rendering++;
    const whole: RenderTask = { ...task, kind: 'render', alone, stop, progress: port2 };
    const result = this.renderers
      .run(whole, { transferList: [port2] })
      .then((answer) => unwrap<RenderTaskResult>(answer))
      .finally(() => {
        this.rendering--;
        port1.close();
      });
    return { result, stop: () => void Atomics.store(new Int32Array(stop), 0, 1) };
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all([this.renderers.destroy(), this.importers.destroy()]);
  }
}

function unwrap<T>(answer: T | TaskFailure): T {
  const failed = answer as Partial<TaskFailure>;
  if (failed.failure) throw new TaskFailed(failed.failure, failed.message ?? '');
  return answer as T;
}
