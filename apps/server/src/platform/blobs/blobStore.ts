import { Inject, Injectable, Logger } from '@nestjs/common';
import { createHash, randomUUID } from 'crypto';
import { createReadStream, type ReadStream } from 'fs';
import { mkdir, open, readdir, rename, rm, stat } from 'fs/promises';
import path from 'path';
import { CONFIG, type Config } from '../config';

const HASH = /^[0-9a-f]{64}$/;

/** True for a SHA-256 as 64 lower-case hexadecimal digits; nothing else ever becomes part of a path. */
export const isHash = (text: string): boolean => HASH.test(text);

/** The path of a blob below a blob folder. Throws RangeError for anything but a hash. */
export function blobPath(dir: string, hash: string): string {
  if (!isHash(hash)) throw new RangeError('Not a content hash');
  return path.join(dir, hash.slice(0, 2), hash);
}

/**
 * Content-addressed files. A blob is written under a temporary name, synced, then renamed to its hash, so a crash leaves
 * at worst a temporary file, which the next start removes.
 */
@Injectable()
export class BlobStore {
  readonly dir: string;
  readonly tempDir: string;
  private readonly logger = new Logger('blobs');

  constructor(@Inject(CONFIG) config: Config) {
    this.dir = path.join(config.dataDir, 'blobs');
    this.tempDir = path.join(config.dataDir, 'temp');
  }

  /** Makes the folders and removes what a crash left behind. */
  async prepare(): Promise<void> {
    await mkdir(this.dir, { recursive: true });
    await mkdir(this.tempDir, { recursive: true });
    for (const name of await readdir(this.tempDir)) await rm(path.join(this.tempDir, name), { force: true });
  }

  /** A path for a file that is not a blob yet. */
  temporaryPath(): string {
    return path.join(this.tempDir, randomUUID());
  }

  /** Stores bytes; returns their hash. Storing the same bytes again costs nothing. */
  async put(bytes: Uint8Array): Promise<string> {
    const hash = createHash('sha256').update(bytes).digest('hex');
    if (await this.has(hash)) return hash;
    const temporary = this.temporaryPath();
    const file = await open(temporary, 'wx');
    try {
      await file.writeFile(bytes);
      await file.sync();
    } finally {
      await file.close();
    }
    await this.adopt(temporary, hash);
    return hash;
  }

  /** Makes a finished temporary file the blob `hash`, which the caller has computed. */
  async adopt(temporary: string, hash: string): Promise<void> {
    const target = blobPath(this.dir, hash);
    await mkdir(path.dirname(target), { recursive: true });
    await rename(temporary, target);
  }

  async has(hash: string): Promise<boolean> {
    return (await this.size(hash)) !== undefined;
  }

  /** Bytes of a blob; undefined where there is none. */
  async size(hash: string): Promise<number | undefined> {
    try {
      return (await stat(blobPath(this.dir, hash))).size;
    } catch {
      return undefined;
    }
  }

  read(hash: string): ReadStream {
    return createReadStream(blobPath(this.dir, hash));
  }

  /** Removes blobs that are at least a day old and that nothing points at. */
  async sweep(isUsed: (hash: string) => boolean, now = Date.now()): Promise<number> {
    let removed = 0;
    for (const folder of await readdir(this.dir)) {
      for (const name of await readdir(path.join(this.dir, folder))) {
        if (!isHash(name) || isUsed(name)) continue;
        const file = blobPath(this.dir, name);
        if (now - (await stat(file)).mtimeMs < 24 * 3600 * 1000) continue;
        await rm(file, { force: true });
        removed++;
      }
    }
    if (removed) this.logger.log(`${removed} orphan blobs removed`);
    return removed;
  }
}
