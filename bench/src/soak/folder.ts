import Database from 'better-sqlite3';
import { createHash } from 'crypto';
import { readdirSync, readFileSync } from 'fs';
import path from 'path';

/** What lies in a data folder that nobody holds. */
export interface FolderState {
  /** SQLite's integrity_check. */
  readonly integrity: string;
  /** Jobs that are not finished, by state. */
  readonly jobs: Readonly<Record<string, number>>;
  readonly takes: number;
  /** Controls that were not rendered and that no unfinished take waits for. */
  readonly ghosts: number;
  /** Takes that are neither finished nor have a job. */
  readonly stuck: number;
  readonly blobs: number;
  /** Blobs whose bytes are not those of their name. */
  readonly wrong: number;
  /** Pictures of takes and references that are not there. */
  readonly missing: number;
  /** Bytes of the database that are in use. */
  readonly bytes: number;
}

/** How many jobs of a data folder are queued or running; whoever holds it may go on. */
export function openJobs(dataDir: string): number {
  const database = new Database(path.join(dataDir, 'studio.sqlite'), { readonly: true });
  try {
    return database.prepare("select count(*) from job where state in ('queued', 'running')").pluck().get() as number;
  } finally {
    database.close();
  }
}

/** Looks through a data folder with eyes of its own: SQL and hashes, nothing of the server. */
export function lookInto(dataDir: string): FolderState {
  const database = new Database(path.join(dataDir, 'studio.sqlite'));
  const one = (sql: string) => database.prepare(sql).pluck().get() as number;
  const blobs = new Map<string, boolean>();
  const dir = path.join(dataDir, 'blobs');
  for (const folder of readdirSync(dir))
    for (const name of readdirSync(path.join(dir, folder))) {
      const hash = createHash('sha256')
        .update(readFileSync(path.join(dir, folder, name)))
        .digest('hex');
      blobs.set(name, hash === name);
    }
  const named = database
    .prepare(
      `select picture_hash from take where picture_hash is not null union select thumbnail_hash from take where thumbnail_hash is not null
       union select original_hash from reference union select picture_hash from reference union select thumbnail_hash from reference
       union select descriptors_hash from reference union select hash from import_file where cleared_at is null`,
    )
    .pluck()
    .all() as string[];
  const state: FolderState = {
    integrity: database.pragma('integrity_check', { simple: true }) as string,
    jobs: Object.fromEntries(
      (
        database.prepare('select state, count(*) as n from job group by state').all() as { state: string; n: number }[]
      ).map(({ state: s, n }) => [s, n]),
    ),
    takes: one('select count(*) from take'),
    ghosts: one(
      `select count(*) from take c where c.is_control = 1 and c.status <> 'done' and not exists
         (select 1 from take t where t.control_id = c.id and t.status in ('queued', 'rendering'))`,
    ),
    stuck: one(
      `select count(*) from take where is_control = 0 and status in ('queued', 'rendering')
         and id not in (select subject from job where kind = 'take')`,
    ),
    blobs: blobs.size,
    wrong: [...blobs.values()].filter((right) => !right).length,
    missing: named.filter((hash) => !blobs.has(hash)).length,
    bytes: (one('pragma page_count') - one('pragma freelist_count')) * one('pragma page_size'),
  };
  database.close();
  return state;
}
