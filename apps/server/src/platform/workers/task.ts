import type { MessagePort } from 'worker_threads';

/** Why a task ended without a result; errors cross the border of a thread as plain objects. */
export interface TaskFailure {
  readonly failure: 'unreadable' | 'too-large' | 'too-slow' | 'stopped';
  /** A sentence that a person can act on. */
  readonly message: string;
}

/** A task that ended without a result, for a reason that a person can act on. */
export class TaskFailed extends Error {
  constructor(
    readonly failure: TaskFailure['failure'],
    message: string,
  ) {
    super(message);
  }
}

/** What a worker thread does with its input; both cross the border of the thread, so they are plain data. */
export type TaskFunction = (input: never) => Promise<unknown>;

/** Something that worker threads do, named by where its function lies: whoever asks for it does not load what it needs. */
export interface WorkerTask<F extends TaskFunction> {
  /** The file that exports the function, from the server's folder of sources, without its ending. */
  readonly file: string;
  readonly name: string;
  /** It reads a file from outside: only so many at once, each for a limited time. */
  readonly outside: boolean;
  /** Nothing but its type. */
  readonly does?: F;
}

/** Declares a task: `workerTask<typeof ingest>('library/tasks/ingest', 'ingest')`, with `ingest` imported as a type. */
export const workerTask = <F extends TaskFunction>(
  file: string,
  name: string,
  { outside = false }: { readonly outside?: boolean } = {},
): WorkerTask<F> => ({ file, name, outside });

/** What a task gets. */
export type InputOf<F extends TaskFunction> = Parameters<F>[0];
/** What a task gives where it does not fail. */
export type ResultOf<F extends TaskFunction> = Exclude<Awaited<ReturnType<F>>, TaskFailure>;

/** What a task gets besides its input when it can be stopped and tells how far it is. */
export interface Stoppable {
  /** No other such task waits or runs, and there is another core: it may be split over two threads. */
  readonly alone: boolean;
  /** One Int32; not 0 stops it. */
  readonly stop: SharedArrayBuffer;
  readonly progress: MessagePort;
}

/** A stoppable task that is under way. */
export interface Running<R> {
  readonly result: Promise<R>;
  /** Stops within about 100 ms; the result then rejects with {@link TaskFailed}. */
  stop(): void;
}

/** A task as it goes to a thread. */
export interface TaskCall {
  readonly file: string;
  readonly name: string;
  readonly input: unknown;
}
