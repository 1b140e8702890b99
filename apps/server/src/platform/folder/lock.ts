import Database from 'better-sqlite3';
import { randomBytes } from 'crypto';
import { readFileSync, rmSync, writeFileSync } from 'fs';
import path from 'path';
import { StartError } from './startError';

/** Who holds a data folder. */
export interface Holder {
  readonly process: number;
  /** Where it answers; absent while it starts. */
  readonly url?: string;
  /** What programs on this machine show that can read the folder: they may do what an owner may. */
  readonly key: string;
  /** ISO 8601. */
  readonly since: string;
}

/** A data folder that this process holds. */
export interface Hold {
  /** Notes where this process answers, for others who ask. */
  answersAt(url: string): void;
  /** What shows that somebody can read the folder. */
  readonly key: string;
  release(): void;
}

const holderFile = (dir: string) => path.join(dir, 'holder.json');

/** Who holds a folder, as the holder has noted it; undefined when nobody has. It may be gone: only the lock tells. */
export function holderOf(dir: string): Holder | undefined {
  try {
    return JSON.parse(readFileSync(holderFile(dir), 'utf8')) as Holder;
  } catch {
    return undefined;
  }
}

const SIDECARS = /^SQLITE_(READONLY|CANTOPEN|PERM)|^E(ACCES|ROFS|PERM)$/;

/**
 * Holds a data folder for this process alone: an exclusive transaction on a small database beside the studio's own, which the system
 * ends when the process ends, however it ends. Nobody may open and close that file otherwise (POSIX would drop the lock), so every walk
 * over the folder leaves it out. Throws {@link StartError} naming the holder when there is one.
 */
export function holdFolder(dir: string): Hold {
  let database: Database.Database | undefined;
  try {
    database = new Database(path.join(dir, 'lock.db'), { timeout: 0 });
    database.pragma('journal_mode = DELETE');
    database.exec('BEGIN EXCLUSIVE');
    const key = randomBytes(32).toString('base64url');
    const note = (url?: string) => {
      const holder: Holder = { process: process.pid, url, key, since: new Date().toISOString() };
      rmSync(holderFile(dir), { force: true });
      writeFileSync(holderFile(dir), JSON.stringify(holder), { mode: 0o600 });
    };
    note();
    const held = database;
    return {
      answersAt: note,
      key,
      release: () => {
        if (held.open) held.close();
      },
    };
  } catch (error) {
    database?.close();
    const code = (error as { code?: string }).code ?? '';
    if (code === 'SQLITE_BUSY') throw new FolderHeld(dir, holderOf(dir));
    if (SIDECARS.test(code))
      throw new StartError(
        `The studio cannot write into ${dir}. Give it the right to, or choose another folder with --data.`,
      );
    throw error;
  }
}

/** Another process holds the folder. */
export class FolderHeld extends StartError {
  constructor(
    dir: string,
    readonly holder: Holder | undefined,
  ) {
    super(heldBy(dir, holder));
  }
}

const heldBy = (dir: string, holder: Holder | undefined): string =>
  `Another Urbild is working on ${dir}${
    holder ? `: process ${holder.process}${holder.url ? `, at ${holder.url}` : ''}, since ${holder.since}` : ''
  }. Two at once would spoil each other's work, so this one did not start. Use the one that runs, stop it first, or choose another folder with --data.`;
