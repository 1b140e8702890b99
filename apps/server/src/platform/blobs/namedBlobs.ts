import Database from 'better-sqlite3';
import type { BlobField } from './blobFields';

const HASHES = /[0-9a-f]{64}/g;

/** All hashes of blobs that a database names. Opens the file for reading only. */
export function namedBlobs(databaseFile: string, fields: readonly BlobField[]): Set<string> {
  const database = new Database(databaseFile, { readonly: true, fileMustExist: true });
  try {
    const named = new Set<string>();
    for (const { table, column, inside } of fields) {
      const rows = database
        .prepare(`select \`${column}\` as v from \`${table}\` where \`${column}\` is not null`)
        .pluck();
      for (const value of rows.iterate() as IterableIterator<string>)
        if (!inside) named.add(value);
        else for (const [hash] of String(value).matchAll(HASHES)) named.add(hash);
    }
    return named;
  } finally {
    database.close();
  }
}
