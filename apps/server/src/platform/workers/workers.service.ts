import { Inject, Injectable, OnModuleDestroy } from '@nestjs/common';
import path from 'path';
import { Piscina } from 'piscina';
import { MessageChannel } from 'worker_threads';
import { CONFIG, type Config } from '../config';
import type {
  IngestResult,
  IngestTask,
  PaintTask,
  RenderTask,
  RenderTaskResult,
  Task,
  TaskFailure,
  WorkerProgress,
} from './tasks';

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

const extension = path.extname(__filename);
const FILE = path.join(__dirname, `studio.worker${extension}`);
/** From sources, threads need the same loader as the process. */
const FROM_SOURCE = extension === '.ts' ? ['--conditions=source', '-r', '@swc-node/register'] : undefined;

/** Worker threads: one pool renders, another brings pictures in, so that neither waits for the other. */
@Injectable()
export class WorkersService implements OnModuleDestroy {
  private readonly renderers: Piscina;
  private readonly importers: Piscina;

  constructor(@Inject(CONFIG) config: Config) {
    const pool = (threads: number) =>
      new Piscina({
        filename: FILE,
        minThreads: 0,
        maxThreads: threads,
        idleTimeout: 60_000,
        execArgv: FROM_SOURCE,
        concurrentTasksPerWorker: 1,
      });
    this.renderers = pool(config.renderThreads);
    this.importers = pool(1);
  }

  async ingest(task: Omit<IngestTask, 'kind'>): Promise<IngestResult> {
    return unwrap<IngestResult>(await this.importers.run({ ...task, kind: 'ingest' } satisfies Task));
  }

  /** Paints in the import pool, so that renders go on. */
  async paint(task: Omit<PaintTask, 'kind'>): Promise<Uint8Array> {
    return ((await this.importers.run({ ...task, kind: 'paint' } satisfies Task)) as { png: Uint8Array }).png;
  }

  render(
    task: Omit<RenderTask, 'kind' | 'stop' | 'progress'>,
    onProgress: (progress: WorkerProgress) => void,
  ): RunningRender {
    const stop = new SharedArrayBuffer(4);
    const { port1, port2 } = new MessageChannel();
    port1.on('message', onProgress);
    const whole: RenderTask = { ...task, kind: 'render', stop, progress: port2 };
    const result = this.renderers
      .run(whole, { transferList: [port2] })
      .then((answer) => unwrap<RenderTaskResult>(answer))
      .finally(() => port1.close());
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
