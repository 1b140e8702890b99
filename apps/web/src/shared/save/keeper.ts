import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { sameData } from '@urbild/core';
import { windowId, windowIsOpen } from './windowId';
import type { Kept } from './saveQueue';

interface Entry {
  readonly key: string;
  readonly document: string;
  readonly window: string;
  readonly at: number;
  readonly kept: Kept<object>;
}

interface Schema extends DBSchema {
  documents: { key: string; value: Entry; indexes: { document: string } };
}

/** Milliseconds after which steps of undo of a closed window are forgotten. Edits that are not saved never are. */
const FORGOTTEN = 14 * 24 * 3600 * 1000;

let database: Promise<IDBPDatabase<Schema>> | undefined;

/** The browser's own storage; undefined where there is none, as in a private window that forbids it. */
const open = (): Promise<IDBPDatabase<Schema> | undefined> => {
  if (typeof indexedDB === 'undefined') return Promise.resolve(undefined);
  database ??= openDB<Schema>('urbild-documents', 1, {
    upgrade: (db) => void db.createObjectStore('documents', { keyPath: 'key' }).createIndex('document', 'document'),
  });
  return database.catch(() => undefined);
};

const isUnsaved = ({ kept }: Entry) => !sameData(kept.base.state, kept.mine);

/** Writes a document's edits and steps of undo as they come: one write at a time, the newest wins. */
export class Keeper<S extends object> {
  private next?: Kept<S>;
  private writing?: Promise<void>;

  constructor(private readonly document: string) {}

  readonly keep = (kept: Kept<S>): void => {
    this.next = kept;
    this.writing ??= this.write().finally(() => (this.writing = undefined));
  };

  private async write(): Promise<void> {
    const [window, db] = [await windowId(), await open()];
    while (this.next) {
      const kept = this.next;
      this.next = undefined;
      const entry: Entry = { key: `${this.document}#${window}`, document: this.document, window, at: Date.now(), kept };
      // a browser without room keeps nothing; the queue goes on sending
      await db?.put('documents', entry).catch(() => undefined);
    }
  }
}

/**
 * What was kept of a document by this window before a reload, and by windows that are closed: edits first, then steps of undo. What closed
 * windows kept is taken over from them, so that nobody else takes it a second time.
 */
export async function keptOf<S extends object>(document: string): Promise<Kept<S>[]> {
  const db = await open();
  if (!db) return [];
  const own = await windowId();
  const found: Kept<S>[] = [];
  for (const entry of await db.getAllFromIndex('documents', 'document', document)) {
    if (entry.window === own) found.push(entry.kept as Kept<S>);
    else if (!(await windowIsOpen(entry.window))) {
      await db.delete('documents', entry.key);
      if (isUnsaved(entry)) found.push({ ...(entry.kept as Kept<S>), past: [], future: [] });
    }
  }
  return found;
}

/** Documents with edits that a closed window could not send any more. */
export async function unsavedDocuments(): Promise<string[]> {
  const db = await open();
  if (!db) return [];
  const out = new Set<string>();
  for (const entry of await db.getAll('documents')) {
    if (isUnsaved(entry)) out.add(entry.document);
    else if (Date.now() - entry.at > FORGOTTEN) await db.delete('documents', entry.key);
  }
  return [...out];
}
