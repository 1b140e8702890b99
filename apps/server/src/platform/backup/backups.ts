import Database from 'better-sqlite3';
import { existsSync, readdirSync, readFileSync, statSync } from 'fs';
import path from 'path';

/** What a backup holds; written last, so a folder without it is no backup. Documented in docs/formats/backup.md. */
export interface BackupManifest {
  readonly format: 'urbild-backup';
  readonly version: 1;
  /** When it was made, ISO 8601. */
  readonly made: string;
  /** Name of the last migration of its database. */
  readonly migration: string;
  readonly database: { readonly bytes: number; readonly sha256: string };
  /** Every blob that the database names and that was there. */
  readonly blobs: readonly { readonly hash: string; readonly bytes: number }[];
  /** Blobs that the database names and that were not there. */
  readonly missing: readonly string[];
}

export const MANIFEST = 'manifest.json';
export const DATABASE = 'studio.sqlite';

export const backupsDir = (dataDir: string): string => path.join(dataDir, 'backups');

/** Blobs of all backups of a data folder: one copy each. */
export const poolDir = (dataDir: string): string => path.join(backupsDir(dataDir), 'blobs');

/** The manifest of a backup folder; undefined for anything else. */
export function manifestOf(folder: string): BackupManifest | undefined {
  try {
    const manifest = JSON.parse(readFileSync(path.join(folder, MANIFEST), 'utf8')) as BackupManifest;
    return manifest.format === 'urbild-backup' ? manifest : undefined;
  } catch {
    return undefined;
  }
}

/** Names of the finished backups of a data folder, oldest first. */
export function listBackups(dataDir: string): string[] {
  const dir = backupsDir(dataDir);
  if (!existsSync(dir)) return [];
  return readdirSync(dir)
    .filter((name) => manifestOf(path.join(dir, name)))
    .sort();
}

/** True for a database file without faults (SQLite's quick_check). */
export function isSound(file: string): boolean {
  try {
    const database = new Database(file, { readonly: true, fileMustExist: true });
    try {
      return database.pragma('quick_check(1)', { simple: true }) === 'ok';
    } finally {
      database.close();
    }
  } catch {
    return false;
  }
}

/** Path of the newest backup of a data folder whose database is sound: a whole backup, or a copy that was made before a migration. */
export function newestGoodBackup(dataDir: string): string | undefined {
  const dir = backupsDir(dataDir);
  if (!existsSync(dir)) return undefined;
  const found = readdirSync(dir)
    .map((name) => path.join(dir, name))
    .flatMap((file) => {
      const database = manifestOf(file) ? path.join(file, DATABASE) : file.endsWith('.sqlite') ? file : undefined;
      return database ? [{ file, database, at: statSync(database, { throwIfNoEntry: false })?.mtimeMs ?? 0 }] : [];
    })
    .sort((a, b) => b.at - a.at);
  return found.find((b) => isSound(b.database))?.file;
}
