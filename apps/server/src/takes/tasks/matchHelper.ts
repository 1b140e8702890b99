import type { MatchHelper, RegionTask } from '@urbild/engine';
import path from 'path';
import { Worker } from 'worker_threads';
import { workerOptions } from '../../platform/workers/threads';

/** States of a task that a helper does. */
export const HELPED = { running: 0, done: 1, failed: 2, stopped: 3 } as const;

/** What a helper is sent: rows to match, where the picture of them goes, and a flag that both sides wait on. */
export interface HelpTask {
  readonly task: RegionTask;
  /** L, a and b one after the other. */
  readonly out: SharedArrayBuffer;
  /** One Int32, of {@link HELPED}. */
  readonly flag: SharedArrayBuffer;
}

/** Milliseconds between two looks at whether the render was stopped. */
const LOOK = 30;
/** A helper that says nothing for so long does not live any more; the work is done without it. */
const PATIENCE = 60_000;

/**
 * A second thread of a render thread, which matches half of a picture while its owner matches the other half. The owner waits for it
 * without turning its event loop: a render is one long piece of work.
 */
export class HelperThread implements MatchHelper {
  #worker?: Worker;

  start(task: RegionTask): {
    wait(checkpoint: () => void): { width: number; height: number; planes: Planes } | undefined;
  } {
    const { width, height } = task.wanted;
    const out = new SharedArrayBuffer(3 * 4 * width * height);
    const flag = new Int32Array(new SharedArrayBuffer(4));
    this.#thread().postMessage({ task, out, flag: flag.buffer } satisfies HelpTask);
    return {
      wait: (checkpoint) => {
        try {
          for (let waited = 0; Atomics.load(flag, 0) === HELPED.running; waited += LOOK) {
            if (waited > PATIENCE) return this.#giveUp();
            Atomics.wait(flag, 0, HELPED.running, LOOK);
            checkpoint();
          }
        } catch (stopped) {
          // it must not go on with what nobody wants
          Atomics.compareExchange(flag, 0, HELPED.running, HELPED.stopped);
          throw stopped;
        }
        if (Atomics.load(flag, 0) !== HELPED.done) return undefined;
        const n = width * height;
        const plane = (k: number) => Float32Array.from(new Float32Array(out, 4 * k * n, n));
        return { width, height, planes: [plane(0), plane(1), plane(2)] };
      },
    };
  }

  /** Ends the thread. */
  async end(): Promise<void> {
    await this.#worker?.terminate();
    this.#worker = undefined;
  }

  #thread(): Worker {
    if (this.#worker) return this.#worker;
    const { filename, execArgv } = workerOptions(path.join(__dirname, 'matchHelper.worker'));
    const worker = new Worker(filename, { execArgv });
    worker.unref();
    const gone = () => {
      // another one may have taken its place meanwhile
      if (this.#worker === worker) this.#worker = undefined;
    };
    worker.on('error', gone);
    worker.on('exit', gone);
    return (this.#worker = worker);
  }

  #giveUp(): undefined {
    void this.#worker?.terminate();
    this.#worker = undefined;
    return undefined;
  }
}

type Planes = readonly [Float32Array, Float32Array, Float32Array];
