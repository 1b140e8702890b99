import { Inject, Injectable, Logger, OnModuleDestroy } from '@nestjs/common';
import path from 'path';
import { Worker } from 'worker_threads';
import { CONFIG, type Config } from '../config';
import { workerOptions } from '../workers/threads';
import type { Seen, VisionAnswer, VisionQuestion } from './vision.worker';

/** Thrown when there are no models, or they cannot run here. */
export class VisionUnavailable extends Error {}

/** The thread ends after so long without a question: it holds about 400 MB. */
const IDLE = 45_000;
const PATIENCE = 60_000;

/** The vision models, in one thread that is started when somebody asks and ended when nobody does. */
@Injectable()
export class VisionService implements OnModuleDestroy {
  private readonly logger = new Logger('vision');
  private thread?: Worker;
  private readonly open = new Map<number, { resolve: (seen: Seen) => void; reject: (error: Error) => void }>();
  private next = 1;
  private idle?: NodeJS.Timeout;
  private missing: boolean;

  constructor(@Inject(CONFIG) config: Config) {
    this.missing = config.vision === false;
  }

  /** Looks at a picture file. Throws {@link VisionUnavailable} where there are no models. */
  look(file: string): Promise<Seen> {
    if (this.missing) return Promise.reject(new VisionUnavailable());
    clearTimeout(this.idle);
    const id = this.next++;
    return new Promise<Seen>((resolve, reject) => {
      const patience = setTimeout(() => this.stop(new Error('The vision models took too long')), PATIENCE);
      const done =
        <T>(act: (value: T) => void) =>
        (value: T) => {
          clearTimeout(patience);
          this.open.delete(id);
          if (!this.open.size) this.idle = setTimeout(() => this.stop(), IDLE).unref();
          act(value);
        };
      this.open.set(id, { resolve: done(resolve), reject: done(reject) });
      this.started().postMessage({ id, file } satisfies VisionQuestion);
    });
  }

  onModuleDestroy(): void {
    this.stop(new Error('The studio is closing'));
  }

  private started(): Worker {
    if (this.thread) return this.thread;
    const { filename, execArgv } = workerOptions(path.join(__dirname, 'vision.worker'));
    const thread = new Worker(filename, { execArgv });
    thread.on('message', (answer: VisionAnswer) => {
      const asked = this.open.get(answer.id);
      if ('seen' in answer) asked?.resolve(answer.seen);
      else if (answer.unavailable) {
        this.missing = true;
        this.logger.warn(answer.error);
        asked?.reject(new VisionUnavailable());
      } else asked?.reject(new Error(answer.error));
    });
    const gone = (error: Error) => {
      if (this.thread === thread) this.stop(error);
    };
    thread.on('error', gone);
    thread.on('exit', () => gone(new Error('The vision thread ended')));
    thread.unref();
    return (this.thread = thread);
  }

  private stop(error = new Error('The vision thread was stopped')): void {
    clearTimeout(this.idle);
    const thread = this.thread;
    this.thread = undefined;
    for (const asked of [...this.open.values()]) asked.reject(error);
    void thread?.terminate();
  }
}
