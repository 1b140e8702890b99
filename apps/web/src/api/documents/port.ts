import type { QueryClient } from '@tanstack/react-query';
import { openDocument } from '../../shared/save/documents';
import { Refused, Stale, Withheld, type Port, type SaveQueue, type Stored } from '../../shared/save/saveQueue';
import { ServerProblem } from '../client';

/** Statuses after which the same request may go well later: once the studio answers, once one has signed in again. */
const LATER = [0, 401, 408, 425, 429, 500, 502, 503, 504, 507];

/** Tells what a failed write means: overtaken, refused for good, withheld from whoever asks, or to be sent again. */
export function meaning<D, S>(error: unknown, toStored: (document: D) => Stored<S>): unknown {
  if (!(error instanceof ServerProblem)) return error;
  const { status, current } = error;
  if (status === 0) return new Error('The studio does not answer.');
  if (status === 409 && current) return new Stale(toStored(current as D));
  if (status === 403) return new Withheld(error.message);
  return LATER.includes(status) ? error : new Refused(error.message);
}

/** What has an id and a version. */
export interface Versioned {
  readonly id: string;
  readonly version: number;
}

/** A port for a document of the server; `send` answers the whole document. */
export function portOf<D extends Versioned, S>(
  toState: (document: D) => S,
  send: (change: Partial<S> & { version: number }, keepalive: boolean) => Promise<D>,
  arrived: (document: D) => void,
): Port<S> {
  const toStored = (d: D): Stored<S> => ({ state: toState(d), version: d.version });
  return {
    async send(change, version, urgent) {
      try {
        const document = await send({ ...change, version }, urgent);
        arrived(document);
        return toStored(document);
      } catch (error) {
        throw meaning(error, toStored);
      }
    },
  };
}

/** A document of the server as its queue has it. */
export const storedOf = <D extends Versioned, S>(document: D, toState: (document: D) => S): Stored<S> => ({
  state: toState(document),
  version: document.version,
});

const mirrors = new WeakSet<object>();

/** Shows the state of a document wherever answers of the server are shown, as soon as it changes. */
export function mirrored<S extends object>(queue: SaveQueue<S>, show: (state: S) => void): SaveQueue<S> {
  if (!mirrors.has(queue)) {
    mirrors.add(queue);
    queue.subscribe(() => show(queue.view().state));
  }
  return queue;
}

/** What the server answered, with what was changed here and is not saved yet. */
export function withEdits<D extends Versioned, S extends object>(
  name: string,
  document: D,
  toState: (document: D) => S,
): D {
  const queue = openDocument<S>(name);
  if (!queue) return document;
  queue.arrived(storedOf(document, toState));
  return { ...document, ...queue.view().state };
}

/** Shows a document in the list under a key. */
export const inList = <T extends Versioned>(client: QueryClient, key: readonly string[], saved: T) =>
  client.setQueryData<T[]>(key, (all) => all?.map((one) => (one.id === saved.id ? { ...one, ...saved } : one)));
