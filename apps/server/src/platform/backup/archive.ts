import { createReadStream, createWriteStream, existsSync, readdirSync } from 'fs';
import { mkdir, readFile, rename, rm, stat, writeFile } from 'fs/promises';
import path from 'path';
import { pipeline } from 'stream/promises';
import { extract, pack, type Header, type Pack } from 'tar-stream';
import { blobPath, isHash } from '../blobs/blobStore';
import { disk } from '../blobs/disk';
import { StartError } from '../folder/startError';
import { backupsDir, DATABASE, isSound, MANIFEST, manifestOf, poolDir, type BackupManifest } from './backups';
import { hashFile } from '../blobs/hashFile';

const blobName = (hash: string) => `blobs/${hash.slice(0, 2)}/${hash}`;

async function addFile(archive: Pack, name: string, file: string): Promise<void> {
  const { size } = await stat(file);
  await pipeline(createReadStream(file), archive.entry({ name, size }));
}

/**
 * Writes a backup of a data folder as one file: a tar archive (POSIX ustar) with manifest, database and blobs, in this order. It appears
 * under its name when it is whole.
 */
export async function packBackup(dataDir: string, name: string, to: string): Promise<void> {
  const folder = path.join(backupsDir(dataDir), name);
  const manifest = manifestOf(folder)!;
  const half = `${to}.half`;
  await mkdir(path.dirname(to), { recursive: true });
  const archive = pack();
  const written = pipeline(archive, createWriteStream(half));
  const filled = (async () => {
    await addFile(archive, MANIFEST, path.join(folder, MANIFEST));
    await addFile(archive, DATABASE, path.join(folder, DATABASE));
    for (const { hash } of manifest.blobs) await addFile(archive, blobName(hash), blobPath(poolDir(dataDir), hash));
    archive.finalize();
  })();
  try {
    await Promise.all([written, filled]);
    await disk.syncFile(half);
    await rename(half, to);
    await disk.syncFolder(path.dirname(to));
  } catch (error) {
    archive.destroy();
    await rm(half, { force: true });
    throw error;
  }
}

/** The path that an entry of an archive is unpacked to; undefined for what does not belong into a backup. */
function placeOf({ name, type }: Header, dir: string): string | undefined {
  if (type !== 'file') return undefined;
  if (name === MANIFEST || name === DATABASE) return path.join(dir, name);
  const hash = name.split('/').pop()!;
  return isHash(hash) && name === blobName(hash) ? blobPath(path.join(dir, 'blobs'), hash) : undefined;
}

async function unpack(file: string, dir: string): Promise<void> {
  const reader = extract();
  const work = (async () => {
    for await (const entry of reader) {
      const place = placeOf(entry.header, dir);
      if (!place) throw new StartError(`${file} is not a backup of Urbild: it holds “${entry.header.name}”.`);
      await mkdir(path.dirname(place), { recursive: true });
      await pipeline(entry, createWriteStream(place, { flags: 'wx' }));
    }
  })();
  await Promise.all([pipeline(createReadStream(file), reader), work]);
}

/** Brings a backup folder, whose blobs lie in the pool beside it, into a new folder. */
async function copyOut(folder: string, manifest: BackupManifest, dir: string): Promise<void> {
  const pool = path.join(path.dirname(folder), 'blobs');
  const copy = async (from: string, to: string) => {
    await mkdir(path.dirname(to), { recursive: true });
    await pipeline(createReadStream(from), createWriteStream(to, { flags: 'wx' }));
  };
  await copy(path.join(folder, DATABASE), path.join(dir, DATABASE));
  await writeFile(path.join(dir, MANIFEST), await readFile(path.join(folder, MANIFEST)));
  for (const { hash } of manifest.blobs) await copy(blobPath(pool, hash), blobPath(path.join(dir, 'blobs'), hash));
}

/** What was restored. */
export interface Restored {
  readonly made: string;
  readonly blobs: number;
  /** Blobs that were missing already when the backup was made. */
  readonly missing: number;
}

/**
 * Restores a backup - a tar file, or a folder below backups/ - into a new or empty folder, and verifies it: the hash of the database, its
 * integrity, the hash of every blob. Throws {@link StartError} and leaves nothing behind when anything is not as the manifest says.
 */
export async function restoreBackup(from: string, to: string): Promise<Restored> {
  if (!existsSync(from)) throw new StartError(`--restore: there is no backup at ${from}.`);
  if (existsSync(to) && readdirSync(to).length)
    throw new StartError(
      `--restore brings a backup into a new folder; ${to} is not empty. Choose another one with --data.`,
    );
  const half = `${to}.half`;
  await rm(half, { recursive: true, force: true });
  await mkdir(half, { recursive: true });
  try {
    const folder = manifestOf(from);
    if (folder) await copyOut(from, folder, half);
    else await unpack(from, half);
    const manifest = await verify(half, from);
    await rm(path.join(half, MANIFEST));
    await rm(to, { recursive: true, force: true });
    await rename(half, to);
    return { made: manifest.made, blobs: manifest.blobs.length, missing: manifest.missing.length };
  } catch (error) {
    await rm(half, { recursive: true, force: true });
    if (error instanceof StartError) throw error;
    throw new StartError(`${from} cannot be restored: ${(error as Error).message}. Nothing was changed.`);
  }
}

/** Holds everything in a folder against the manifest that came with it. */
async function verify(dir: string, from: string): Promise<BackupManifest> {
  const wrong = (what: string) =>
    new StartError(`${from} is damaged: ${what}. Nothing was restored; try an older backup.`);
  const manifest = manifestOf(dir);
  if (!manifest) throw new StartError(`${from} is not a backup of Urbild: it has no manifest.`);
  const database = path.join(dir, DATABASE);
  if (!existsSync(database) || (await hashFile(database)) !== manifest.database.sha256)
    throw wrong('its database is not the one that was backed up');
  if (!isSound(database)) throw wrong('its database has faults');
  for (const { hash } of manifest.blobs) {
    const blob = blobPath(path.join(dir, 'blobs'), hash);
    if (!existsSync(blob)) throw wrong(`picture ${hash} is missing`);
    if ((await hashFile(blob)) !== hash) throw wrong(`picture ${hash} is not what it was`);
    await disk.syncFile(blob);
  }
  await disk.syncFile(database);
  return manifest;
}
