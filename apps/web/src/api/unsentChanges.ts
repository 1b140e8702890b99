import type { QueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { windowId, windowIsOpen } from '../shared/save/windowId';
import { api, ask, ServerProblem } from './client';

/** What can be changed of many references together. */
export type BulkChange = Omit<Schemas['BulkChangeDto'], 'ids'>;

/** A change of many references that the studio has not answered yet. */
export interface UnsentChange {
  readonly ids: readonly string[];
  readonly change: BulkChange;
}

interface Entry extends UnsentChange {
  readonly window: string;
}

interface Schema extends DBSchema {
  changes: { key: number; value: Entry };
}

let database: Promise<IDBPDatabase<Schema>> | undefined;

/** The browser's own storage; undefined where there is none, as in a private window that forbids it. */
const open = (): Promise<IDBPDatabase<Schema> | undefined> => {
  if (typeof indexedDB === 'undefined') return Promise.resolve(undefined);
  database ??= openDB<Schema>('urbild-unsent', 1, {
    upgrade: (db) => void db.createObjectStore('changes', { autoIncrement: true }),
  });
  return database.catch(() => undefined);
};

/** True where a change may go well later: the studio did not answer. */
export const mayGoWell = (error: unknown): boolean =>
  error instanceof ServerProblem && (error.status === 0 || error.status === 401);

const noted = new WeakMap<UnsentChange, Promise<number | undefined>>();

async function note({ ids, change }: UnsentChange): Promise<number | undefined> {
  const [db, window] = [await open(), await windowId()];
  return db?.add('changes', { ids: [...ids], change, window }).catch(() => undefined);
}

async function forget(wish: UnsentChange): Promise<void> {
  const key = await noted.get(wish);
  if (key !== undefined) await (await open())?.delete('changes', key);
}

/**
 * Sends a change of many references. It is kept by the browser until the studio has answered, so that a closed page loses nothing;
 * sending the same object again keeps it once. Throws what the studio refuses.
 */
export async function sendChange(wish: UnsentChange) {
  if (!noted.has(wish)) noted.set(wish, note(wish));
  try {
    const { ids, change } = wish;
    const answer = await ask(api.POST('/api/v1/references/change', { body: { ids: [...ids], ...change } }));
    await forget(wish);
    return answer;
  } catch (error) {
    if (!mayGoWell(error)) await forget(wish);
    throw error;
  }
}

/** Sends what this window left before a reload, and what closed windows left, in the order in which it was changed. */
export async function resumeChanges(client: QueryClient): Promise<void> {
  const [db, own] = [await open(), await windowId()];
  if (!db) return;
  let sent = 0;
  for (const key of await db.getAllKeys('changes')) {
    const entry = await db.get('changes', key);
    if (!entry || (entry.window !== own && (await windowIsOpen(entry.window)))) continue;
    const { ids, change } = entry;
    try {
      await ask(api.POST('/api/v1/references/change', { body: { ids: [...ids], ...change } }));
      sent++;
    } catch (error) {
      // the line is still down: the next page goes on
      if (mayGoWell(error)) return;
    }
    await db.delete('changes', key);
  }
  // events tell of the references themselves
  if (sent) await client.invalidateQueries({ queryKey: ['search'] });
}
