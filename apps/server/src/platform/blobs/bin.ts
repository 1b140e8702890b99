import { mkdir, readdir, rename, rm, stat } from 'fs/promises';
import path from 'path';
import { blobPath, isHash } from './blobStore';
import { disk } from './disk';

const DAY = 24 * 3600 * 1000;
/** Days that what is in the bin stays there. */
export const BIN_DAYS = 30;
const DATE = /^\d{4}-\d\d-\d\d$/;

const filesIn = async (dir: string): Promise<string[]> => readdir(dir).catch(() => []);

/** All blobs below a folder. */
export async function blobsIn(dir: string): Promise<string[]> {
  const out: string[] = [];
  for (const folder of await filesIn(dir))
    if (/^[0-9a-f]{2}$/.test(folder))
      for (const name of await filesIn(path.join(dir, folder))) if (isHash(name)) out.push(name);
  return out;
}

/** What a sweep did. */
export interface Swept {
  /** Blobs that nothing names any more, now in the bin. */
  readonly binned: number;
  /** Blobs that were in the bin and are named. */
  readonly recovered: number;
  /** Blobs that are named and nowhere to be found. */
  readonly missing: number;
  /** Files that had been in the bin for {@link BIN_DAYS} days and are gone. */
  readonly emptied: number;
}

/**
 * Lays blobs that are at least a day old and that nothing names into the bin, fetches named ones back from it, and empties what has lain
 * there for 30 days. Where nothing at all is named, nothing is touched: the database may be the wrong one.
 */
export async function sweep(dataDir: string, named: ReadonlySet<string>, now = Date.now()): Promise<Swept> {
  const [blobs, bin] = [path.join(dataDir, 'blobs'), path.join(dataDir, 'bin')];
  if (!named.size) return { binned: 0, recovered: 0, missing: 0, emptied: 0 };
  const there = new Set(await blobsIn(blobs));
  const inBin = new Map<string, string>();
  let emptied = 0;
  for (const day of (await filesIn(bin)).filter((name) => DATE.test(name)).sort()) {
    const folder = path.join(bin, day);
    const files = (await filesIn(folder)).filter(isHash);
    for (const hash of files) inBin.set(hash, path.join(folder, hash));
  }
  let [recovered, missing] = [0, 0];
  for (const hash of named) {
    if (there.has(hash)) continue;
    const file = inBin.get(hash);
    if (file) {
      await mkdir(path.dirname(blobPath(blobs, hash)), { recursive: true });
      await rename(file, blobPath(blobs, hash));
      recovered++;
    } else missing++;
  }
  const today = path.join(bin, new Date(now).toISOString().slice(0, 10));
  let binned = 0;
  for (const hash of there) {
    if (named.has(hash)) continue;
    const file = blobPath(blobs, hash);
    if (now - (await stat(file)).mtimeMs < DAY) continue;
    if (!binned) await disk.makeFolder(today);
    await rename(file, path.join(today, hash));
    binned++;
  }
  for (const day of (await filesIn(bin)).filter((name) => DATE.test(name))) {
    if (now - Date.parse(day) <= BIN_DAYS * DAY) continue;
    emptied += (await filesIn(path.join(bin, day))).length;
    await rm(path.join(bin, day), { recursive: true, force: true });
  }
  return { binned, recovered, missing, emptied };
}
