import Database from 'better-sqlite3';
import { copyFile, link, mkdir, readdir, rm, stat, writeFile } from 'fs/promises';
import path from 'path';
import { blobsIn } from '../blobs/bin';
import type { BlobField } from '../blobs/blobFields';
import { blobPath } from '../blobs/blobStore';
import { disk } from '../blobs/disk';
import { hashFile } from '../blobs/hashFile';
import { namedBlobs } from '../blobs/namedBlobs';
import {
  backupsDir,
  DATABASE,
  isSound,
  listBackups,
  MANIFEST,
  manifestOf,
  poolDir,
  type BackupManifest,
} from './backups';

/** What is to be backed up. */
export interface BackupWish {
  readonly dataDir: string;
  readonly database: string;
  readonly fields: readonly BlobField[];
  /** How many backups are kept; older ones go. */
  readonly keep: number;
}

/** Puts a blob beside the backups; one that is there already is not copied again, and where the disk can, it is only named twice. */
export async function keepBlob(from: string, to: string, name: typeof link = link): Promise<void> {
  if (await stat(to).catch(() => undefined)) return;
  await mkdir(path.dirname(to), { recursive: true });
  try {
    await name(from, to);
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code;
    if (code === 'EEXIST') return;
    if (code === 'ENOENT' || code === 'ENOSPC') throw error;
    await copyFile(from, to);
  }
}

/**
 * Makes a backup while people work: a copy of the database (VACUUM INTO, from a connection of its own), checked, then every blob that the
 * copy names. The manifest comes last, so a crash leaves no backup rather than half of one. Returns the name of its folder. To be run in
 * a worker thread.
 */
export async function makeBackup({ dataDir, database, fields, keep }: BackupWish): Promise<string> {
  const made = new Date();
  const name = made.toISOString().replace(/[:.]/g, '-');
  const folder = path.join(backupsDir(dataDir), name);
  await mkdir(folder, { recursive: true });
  try {
    const copy = path.join(folder, DATABASE);
    copyDatabase(database, copy);
    await disk.syncFile(copy);
    if (!isSound(copy)) throw new Error('The copy of the database has faults.');
    const blobs: { hash: string; bytes: number }[] = [];
    const missing: string[] = [];
    for (const hash of [...namedBlobs(copy, fields)].sort()) {
      const from = blobPath(path.join(dataDir, 'blobs'), hash);
      try {
        await keepBlob(from, blobPath(poolDir(dataDir), hash));
        blobs.push({ hash, bytes: (await stat(from)).size });
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code !== 'ENOENT') throw error;
        missing.push(hash);
      }
    }
    const manifest: BackupManifest = {
      format: 'urbild-backup',
      version: 1,
      made: made.toISOString(),
      migration: lastMigration(copy),
      database: { bytes: (await stat(copy)).size, sha256: await hashFile(copy) },
      blobs,
      missing,
    };
    await writeFile(path.join(folder, MANIFEST), JSON.stringify(manifest, null, 1));
    await disk.syncFile(path.join(folder, MANIFEST));
    await disk.syncFolder(folder);
  } catch (error) {
    await rm(folder, { recursive: true, force: true });
    throw error;
  }
  await thinOut(dataDir, keep);
  return name;
}

function copyDatabase(from: string, to: string): void {
  const source = new Database(from, { fileMustExist: true });
  try {
    source.pragma('busy_timeout = 20000');
    source.prepare('vacuum into ?').run(to);
  } finally {
    source.close();
  }
}

function lastMigration(file: string): string {
  const database = new Database(file, { readonly: true });
  try {
    return database.prepare('select name from migration order by id desc limit 1').pluck().get() as string;
  } finally {
    database.close();
  }
}

/** Removes all but the newest backups, and blobs that none of those names. */
async function thinOut(dataDir: string, keep: number): Promise<void> {
  const all = listBackups(dataDir);
  for (const old of all.slice(0, Math.max(0, all.length - keep)))
    await rm(path.join(backupsDir(dataDir), old), { recursive: true, force: true });
  const named = new Set(
    listBackups(dataDir).flatMap((name) => manifestOf(path.join(backupsDir(dataDir), name))!.blobs.map((b) => b.hash)),
  );
  for (const hash of await blobsIn(poolDir(dataDir))) if (!named.has(hash)) await rm(blobPath(poolDir(dataDir), hash));
  for (const folder of await readdir(poolDir(dataDir)).catch(() => []))
    if (!(await readdir(path.join(poolDir(dataDir), folder))).length)
      await rm(path.join(poolDir(dataDir), folder), { recursive: true });
}
