import { sameData, type Conflict } from '@urbild/core';
import { Keeper, keptOf } from './keeper';
import { SaveQueue, type Port, type Stored } from './saveQueue';

export { unsavedDocuments } from './keeper';

const open = new Map<string, SaveQueue<object>>();
const watchers = new Set<() => void>();

/** A document that a person has to know about: it is not saved and will be later, or has to be decided. */
export interface Trouble {
  readonly name: string;
  readonly queue: SaveQueue<object>;
  readonly problem?: string;
  /** It waits until whoever edits may do so again, or gives it up. */
  readonly withheld?: boolean;
  readonly conflicts: readonly Conflict[];
}

let troubles: readonly Trouble[] = [];

/** Calls back whenever {@link troubledDocuments} change. */
export function watchDocuments(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

/** Documents that are not saved for a reason, or have conflicts. The same list as long as nothing changes. */
export const troubledDocuments = (): readonly Trouble[] => troubles;

function lookForTrouble(): void {
  const next = [...open].flatMap(([name, queue]) => {
    const { problem, withheld, conflicts } = queue.view();
    return problem || conflicts.length ? [{ name, queue, problem, withheld, conflicts }] : [];
  });
  if (sameData(next.map(said), troubles.map(said))) return;
  troubles = next;
  watchers.forEach((watcher) => watcher());
}

const said = ({ name, problem, withheld, conflicts }: Trouble) => [
  name,
  problem,
  withheld,
  conflicts.map((c) => c.path),
];

/**
 * The queue of a document: one for the whole page, whichever views show it. It begins with what the server has and takes over what was
 * kept before a reload or by a closed window.
 */
export function documentOf<S extends object>(name: string, stored: Stored<S>, port: Port<S>): SaveQueue<S> {
  const known = open.get(name) as SaveQueue<S> | undefined;
  if (known) {
    known.arrived(stored);
    return known;
  }
  const keeper = new Keeper<S>(name);
  const queue = new SaveQueue<S>(stored, { port, keep: keeper.keep });
  open.set(name, queue as unknown as SaveQueue<object>);
  queue.subscribe(lookForTrouble);
  void keptOf<S>(name).then((all) => {
    for (const kept of all)
      if (!sameData(kept.base.state, kept.mine) || kept.past.length || kept.future.length) queue.restore(kept);
  });
  return queue;
}

/** The queue of a document that is open already. */
export const openDocument = <S extends object>(name: string): SaveQueue<S> | undefined =>
  open.get(name) as SaveQueue<S> | undefined;

/** True when the server has everything that was changed on this page. */
export const everythingSaved = (): boolean => [...open.values()].every((queue) => queue.view().saved);

if (typeof window !== 'undefined') {
  window.addEventListener('pagehide', () => open.forEach((queue) => queue.sendUrgently()));
  window.addEventListener('online', () => open.forEach((queue) => void queue.flush()));
  // for whoever drives the page: has the server everything?
  Object.defineProperty(window, 'urbildSaved', { get: everythingSaved });
}
