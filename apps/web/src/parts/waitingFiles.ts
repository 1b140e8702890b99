/** A file that a person chose and that the studio does not have yet; kept by the browser, so that a reload loses none. */
export interface WaitingFile {
  readonly id: string;
  readonly name: string;
  readonly file: Blob;
}

const NAME = 'urbild-imports';
const STORE = 'waiting';

function open(): Promise<IDBDatabase> {
  return new Promise((resolve, reject) => {
    const request = indexedDB.open(NAME, 1);
    request.onupgradeneeded = () => request.result.createObjectStore(STORE, { keyPath: 'id' });
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error ?? new Error('no storage'));
  });
}

async function act<T>(
  mode: IDBTransactionMode,
  work: (store: IDBObjectStore) => IDBRequest<T> | void,
): Promise<T | undefined> {
  const database = await open();
  try {
    return await new Promise((resolve, reject) => {
      const transaction = database.transaction(STORE, mode);
      const request = work(transaction.objectStore(STORE));
      transaction.oncomplete = () => resolve(request ? request.result : undefined);
      transaction.onerror = transaction.onabort = () => reject(transaction.error ?? new Error('not stored'));
    });
  } finally {
    database.close();
  }
}

/** Keeps files until they are sent. */
export const keepFiles = (files: readonly WaitingFile[]): Promise<unknown> =>
  act('readwrite', (store) => files.forEach((f) => store.put(f)));

export const dropFile = (id: string): Promise<unknown> =>
  act('readwrite', (store) => store.delete(id) as IDBRequest<unknown>);

/** All files that wait, in the order in which they were chosen. */
export const waitingFiles = async (): Promise<WaitingFile[]> =>
  ((await act<WaitingFile[]>('readonly', (store) => store.getAll() as IDBRequest<WaitingFile[]>)) ?? []).sort((a, b) =>
    a.id < b.id ? -1 : 1,
  );
