import Database from 'better-sqlite3';
import { existsSync, readdirSync, statSync } from 'fs';
import path from 'path';
import { newestGoodBackup } from '../backup/backups';
import { StartError } from './startError';

/** How many pictures lie in a data folder; counting stops at `most`. */
function countBlobs(dataDir: string, most = 1000): number {
  const dir = path.join(dataDir, 'blobs');
  let n = 0;
  if (existsSync(dir))
    for (const folder of readdirSync(dir)) {
      if (!/^[0-9a-f]{2}$/.test(folder)) continue;
      n += readdirSync(path.join(dir, folder)).length;
      if (n >= most) break;
    }
  return n;
}

/**
 * Looks whether the database of a data folder is what this version can work on. A new folder is fine, and so is a sound database of this
 * or an earlier version. Throws {@link StartError} for a database that is missing or empty beside pictures, damaged, or of a newer
 * version; nothing is changed then. `known` are the names of this version's migrations.
 */
export function checkFolder(dataDir: string, file: string, known: readonly string[]): void {
  const blobs = countBlobs(dataDir);
  const refuse = (what: string) => {
    throw new StartError(`${what} Nothing in the folder was changed. ${whatToDo(dataDir)}`);
  };
  if (!existsSync(file)) {
    if (blobs) refuse(`The database ${file} is missing, but ${blobs} pictures lie beside it.`);
    return;
  }
  if (statSync(file).size === 0 && !existsSync(`${file}-wal`)) {
    if (blobs) refuse(`The database ${file} is empty, but ${blobs} pictures lie beside it.`);
    return;
  }
  const done = migrationsIn(file, (why) => refuse(`The database ${file} is damaged: ${why}.`));
  const newer = done.find((name) => !known.includes(name));
  if (newer)
    refuse(
      `The database ${file} was made by a newer version of Urbild (it knows “${newer}”, this one does not). Start that version.`,
    );
  if (!done.length && blobs) refuse(`The database ${file} holds no studio, but ${blobs} pictures lie beside it.`);
}

/** Names of the migrations that a database has had. */
function migrationsIn(file: string, damaged: (why: string) => void): string[] {
  let database: Database.Database | undefined;
  try {
    // not for reading only: what a crash left in the log is taken over first
    database = new Database(file, { fileMustExist: true });
    const verdict = database.pragma('quick_check(1)', { simple: true }) as string;
    if (verdict !== 'ok') damaged(verdict);
    const tables = database.prepare("select name from sqlite_master where type = 'table' and name = 'migration'").all();
    return tables.length ? (database.prepare('select name from migration').pluck().all() as string[]) : [];
  } catch (error) {
    if (error instanceof StartError) throw error;
    const code = (error as { code?: string }).code ?? '';
    if (!/^SQLITE_(CORRUPT|NOTADB)/.test(code)) throw error;
    damaged((error as Error).message);
    return [];
  } finally {
    database?.close();
  }
}

function whatToDo(dataDir: string): string {
  const backup = newestGoodBackup(dataDir);
  const other = 'To begin a new studio, choose another folder with --data.';
  return backup
    ? `The newest good backup is ${backup}: ./start --restore ${backup} --data NEW-FOLDER brings it back. ${other}`
    : `There is no backup in it. Put the database back from a copy of your own if you have one. ${other}`;
}
