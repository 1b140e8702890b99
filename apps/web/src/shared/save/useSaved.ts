import { useSyncExternalStore } from 'react';
import { openDocument } from './documents';
import type { SaveQueue, View } from './saveQueue';

const noDocument = () => () => undefined;

/** What a document looks like now, if anything of it was changed on this page. */
export function useOpenDocument(name: string): View<object> | undefined {
  const queue = openDocument(name);
  return useSyncExternalStore(queue?.subscribe ?? noDocument, () => queue?.view());
}

/** What a document looks like now. */
export const useSaved = <S extends object>(queue: SaveQueue<S>): View<S> =>
  useSyncExternalStore(queue.subscribe, queue.view);
