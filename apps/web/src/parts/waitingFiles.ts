import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A file that a person chose and that the studio does not have yet; kept by the browser, so that a reload loses none. */
export interface WaitingFile {
  readonly id: string;
  readonly name: string;
  readonly file: Blob;
}

interface Schema extends DBSchema {
  waiting: { key: string; value: WaitingFile };
}

let database: Promise<IDBPDatabase<Schema>> | undefined;

const open = (): Promise<IDBPDatabase<Schema>> =>
  (database ??= openDB<Schema>('urbild-imports', 1, {
    upgrade: (db) => void db.createObjectStore('waiting', { keyPath: 'id' }),
  }));

/** Keeps files until they are sent: all of them or, where there is no room, none. */
export async function keepFiles(files: readonly WaitingFile[]): Promise<void> {
  const writing = (await open()).transaction('waiting', 'readwrite');
  await Promise.all([...files.map((f) => writing.store.put(f)), writing.done]);
}

/** Keeps a file no longer. */
export const dropFile = async (id: string): Promise<void> => (await open()).delete('waiting', id);

/** All files that wait, in the order in which they were chosen. */
export const waitingFiles = async (): Promise<WaitingFile[]> => (await open()).getAll('waiting');
