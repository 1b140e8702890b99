import { Inject, Injectable, OnModuleDestroy } from '@nestjs/common';
import os from 'os';
import path from 'path';
import { Piscina } from 'piscina';
import { MessageChannel } from 'worker_threads';
import { CONFIG, type Config } from '../config';
import {
  TaskFailed,
  type InputOf,
  type ResultOf,
  type Running,
  type Stoppable,
  type TaskCall,
  type TaskFailure,
  type TaskFunction,
  type WorkerTask,
} from './task';
import { workerOptions } from './threads';
import { Turns } from './turns';
import { withinLimit } from './withinLimit';

/** Milliseconds that reading a file from outside may take. */
const READ_LIMIT = 60_000;

/** Worker threads: one pool does what can be stopped (renders), another all else, so that neither waits for the other. */
@Injectable()
export class WorkersService implements OnModuleDestroy {
  private readonly renderers: Piscina;
  private readonly others: Piscina;
  /** Files from outside that are read at once. */
  private readonly reading: Turns;
  /** Stoppable tasks that run or wait for a thread. */
  private rendering = 0;

  constructor(@Inject(CONFIG) config: Config) {
    const pool = (threads: number, idleTimeout: number) =>
      new Piscina({
        ...workerOptions(path.join(__dirname, 'task.worker')),
        minThreads: 0,
        maxThreads: threads,
        idleTimeout,
        concurrentTasksPerWorker: 1,
        // pictures are short-lived and large: a small nursery would be swept all the time
        resourceLimits: { maxYoungGenerationSizeMb: 64 },
      });
    // a renderer keeps the stages that it painted: a person at a slider comes back to them
    // one more than takes are drawn at once: for a draft while all others draw what nobody waits for
    this.renderers = pool(config.renderThreads + 1, 600_000);
    const others = Math.max(1, Math.min(4, os.availableParallelism()));
    this.others = pool(others, 60_000);
    this.reading = new Turns(others);
  }

  /**
   * Does a task in a thread. One that reads a file from outside begins when a thread is free for it, and is thrown out with its thread
   * when it takes too long. Rejects with {@link TaskFailed} where it gives no result.
   */
  async run<F extends TaskFunction>(task: WorkerTask<F>, input: InputOf<F>): Promise<ResultOf<F>> {
    const { file, name, outside } = task;
    const call: TaskCall = { file, name, input };
    const answer: unknown = outside
      ? await this.reading.run(() => withinLimit(this.others, call, READ_LIMIT))
      : await this.others.run(call);
    return unwrap(answer);
  }

  /** Starts a task that can be stopped; what it tells goes to `onProgress`. */
  start<F extends TaskFunction, P>(
    { file, name }: WorkerTask<F>,
    input: Omit<InputOf<F>, keyof Stoppable>,
    onProgress: (progress: P) => void,
  ): Running<ResultOf<F>> {
    const stop = new SharedArrayBuffer(4);
    const { port1, port2 } = new MessageChannel();
    port1.on('message', onProgress);
    const alone = this.rendering === 0 && os.availableParallelism() > 1;
    this.rendering++;
    const whole: Stoppable = { ...input, alone, stop, progress: port2 };
    const result = this.renderers
      .run({ file, name, input: whole } satisfies TaskCall, { transferList: [port2] })
      .then((answer) => unwrap<ResultOf<F>>(answer))
      .finally(() => {
        this.rendering--;
        port1.close();
      });
    return { result, stop: () => void Atomics.store(new Int32Array(stop), 0, 1) };
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all([this.renderers.destroy(), this.others.destroy()]);
  }
}

function unwrap<T>(answer: unknown): T {
  const failed = answer as Partial<TaskFailure> | undefined;
  if (failed?.failure) throw new TaskFailed(failed.failure, failed.message ?? '');
  return answer as T;
}
