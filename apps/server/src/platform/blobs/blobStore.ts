import { Inject, Injectable } from '@nestjs/common';
import { createHash, randomUUID } from 'crypto';
import { open, readdir, rm, stat, utimes, type FileHandle } from 'fs/promises';
import path from 'path';
import { CONFIG, type Config } from '../config';
import { disk } from './disk';

const HASH = /^[0-9a-f]{64}$/;

/** True for a SHA-256 as 64 lower-case hexadecimal digits; nothing else ever becomes part of a path. */
export const isHash = (text: string): boolean => HASH.test(text);

/** The path of a blob below a blob folder. Throws RangeError for anything but a hash. */
export function blobPath(dir: string, hash: string): string {
  if (!isHash(hash)) throw new RangeError('Not a content hash');
  return path.join(dir, hash.slice(0, 2), hash);
}

/**
 * Content-addressed files. A blob is written under a temporary name, synced, renamed to its hash, and its folder is synced, so a crash
 * leaves at worst a temporary file, which the next start removes, and what was promised is there after a power cut.
 */
@Injectable()
export class BlobStore {
  readonly dir: string;
  readonly tempDir: string;
  /** Blobs that are being put into their place: not lasting yet. */
  private readonly placing = new Map<string, Promise<void>>();

  constructor(@Inject(CONFIG) config: Config) {
    this.dir = path.join(config.dataDir, 'blobs');
    this.tempDir = path.join(config.dataDir, 'temp');
  }

  /** Makes the folders and removes what a crash left behind. Only for the process that holds the data folder. */
  async prepare(): Promise<void> {
    await disk.makeFolder(this.dir);
    await disk.makeFolder(this.tempDir);
    for (const name of await readdir(this.tempDir)) await rm(path.join(this.tempDir, name), { force: true });
  }

  /** A path for a file that is not a blob yet. */
  temporaryPath(): string {
    return path.join(this.tempDir, randomUUID());
  }

  /** Stores bytes; returns their hash. Storing the same bytes again costs next to nothing. */
  async put(bytes: Uint8Array): Promise<string> {
    const hash = createHash('sha256').update(bytes).digest('hex');
    if (await this.touch(hash)) return hash;
    const temporary = this.temporaryPath();
    try {
      await disk.writeSynced(temporary, bytes);
      await this.place(temporary, hash);
    } catch (error) {
      await rm(temporary, { force: true });
      throw error;
    }
    return hash;
  }

  /** Makes a finished temporary file the blob `hash`, which the caller has computed. */
  async adopt(temporary: string, hash: string): Promise<void> {
    if (await this.touch(hash)) return rm(temporary, { force: true });
    await disk.syncFile(temporary);
    await this.place(temporary, hash);
  }

  private place(temporary: string, hash: string): Promise<void> {
    const placing = this.moveIn(temporary, hash).finally(() => this.placing.delete(hash));
    this.placing.set(hash, placing);
    return placing;
  }

  private async moveIn(temporary: string, hash: string): Promise<void> {
    const target = blobPath(this.dir, hash);
    await disk.makeFolder(path.dirname(target));
    await disk.rename(temporary, target);
    await disk.syncFolder(path.dirname(target));
  }

  /** True for a blob that is there; it counts as new then, so that no sweep takes it before somebody has named it. */
  private async touch(hash: string): Promise<boolean> {
    await this.placing.get(hash)?.catch(() => undefined);
    const now = new Date();
    return utimes(blobPath(this.dir, hash), now, now).then(
      () => true,
      () => false,
    );
  }

  async has(hash: string): Promise<boolean> {
    return (await this.size(hash)) !== undefined;
  }

  /** Bytes of a blob; undefined where there is none. */
  async size(hash: string): Promise<number | undefined> {
    if (!isHash(hash)) return undefined;
    try {
      return (await stat(blobPath(this.dir, hash))).size;
    } catch {
      return undefined;
    }
  }

  /** Opens a blob for reading; undefined where there is none. Whoever opens it closes it. */
  async open(hash: string): Promise<FileHandle | undefined> {
    if (!isHash(hash)) return undefined;
    try {
      return await open(blobPath(this.dir, hash));
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code === 'ENOENT') return undefined;
      throw error;
    }
  }
}
