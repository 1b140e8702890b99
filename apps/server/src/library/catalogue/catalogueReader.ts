import Database from 'better-sqlite3';
import type { Swatch } from '@urbild/core';
import { Catalogue, type CatalogueRow, type RowVectors } from './catalogue';
import type { UseIn, Uses } from './uses';
import type { CheckState, Kind, Rights } from '../reference.entity';

interface Row {
  seq: number;
  changed: string;
  id: string | null;
  kind: Kind;
  title: string;
  tags: string;
  rating: number;
  favourite: number;
  rights: string;
  check_state: CheckState;
  created_at: number;
  width: number;
  height: number;
  deleted_at: number | null;
  swatches: string;
  perceptual_hash: string;
  likeness: Buffer | null;
  mirrored: Buffer | null;
  style: Buffer | null;
}

const CHANGES = `select c.seq, c.id as changed, r.id, r.kind, r.title, r.tags, r.rating, r.favourite, r.rights, r.check_state, r.created_at,
  r.width, r.height, r.deleted_at, r.swatches, r.perceptual_hash, v.likeness, v.mirrored, v.style
  from reference_change c left join reference r on r.id = c.id left join reference_vector v on v.id = c.id
  where c.seq > ? order by c.seq limit 20000`;

/**
 * Keeps a {@link Catalogue} in step with the database file, over a connection of its own that only reads. Lives in a worker
 * thread: nothing here touches the event loop of the server.
 */
export class CatalogueReader {
  readonly catalogue = new Catalogue();
  readonly #db: Database.Database;
  #seen = 0;
  #version = -1;

  constructor(file: string) {
    this.#db = new Database(file, { readonly: true, fileMustExist: true });
    this.#db.pragma('busy_timeout = 5000');
  }

  /** Takes over what was committed since the last time. */
  refresh(): void {
    const version = this.#db.pragma('data_version', { simple: true }) as number;
    if (version === this.#version) return;
    this.#version = version;
    for (;;) {
      const rows = this.#db.prepare(CHANGES).all(this.#seen) as Row[];
      for (const row of rows) {
        this.#seen = row.seq;
        if (row.id === null) this.catalogue.drop(row.changed);
        else this.catalogue.put(rowOf(row), vectorsOf(row));
      }
      if (rows.length < 20000) break;
    }
    this.catalogue.useIn(this.#uses());
  }

  /** Ids of the references whose title, tags, notes or derived words have all these words, or words that begin so. */
  find(words: string): Set<string> | undefined {
    const terms = words.toLowerCase().match(/[\p{L}\p{N}]+/gu);
    if (!terms) return undefined;
    const match = terms
      .slice(0, 12)
      .map((t) => `"${t}"*`)
      .join(' ');
    const rows = this.#db
      .prepare('select r.id from reference_words w join reference r on r.rowid = w.rowid where reference_words match ?')
      .pluck()
      .all(match) as string[];
    return new Set(rows);
  }

  close(): void {
    this.#db.close();
  }

  #uses(): Uses {
    const sets = (sql: string) => {
      const out = new Map<string, Set<string>>();
      for (const [set, member] of this.#db.prepare(sql).raw().all() as [string, string][])
        out.set(set, (out.get(set) ?? new Set()).add(member));
      return out;
    };
    const members = (table: string) =>
      sets(`select t.id, e.value->>'referenceId' from ${table} t, json_each(t.items) e where t.deleted_at is null`);
    const used = this.#db
      .prepare(
        `select e.value->>'referenceId', m.project_id, count(distinct m.id), max(m.updated_at)
          from mix m, json_each(m.influences) e where m.deleted_at is null group by 1, 2`,
      )
      .raw()
      .all() as [string, string, number, number][];
    const mixes = new Map<string, UseIn[]>();
    for (const [id, project, count, last] of used) {
      const uses = mixes.get(id);
      if (uses) uses.push({ project, count, last });
      else mixes.set(id, [{ project, count, last }]);
    }
    const arranged = this.#db
      .prepare(
        `select c.id, e.value, e.key from collection c, json_each(c.items) e where c.deleted_at is null
          union all select p.id, e.value, e.key from project p, json_each(p.pictures) e where p.deleted_at is null`,
      )
      .raw()
      .all() as [string, string, number][];
    const collections = new Map<string, Map<string, number>>();
    for (const [set, member, place] of arranged)
      collections.set(set, (collections.get(set) ?? new Map<string, number>()).set(member, place));
    return {
      looks: members('look'),
      cast: members('character'),
      mixes,
      collections,
    };
  }
}

const rowOf = (r: Row): CatalogueRow => ({
  id: r.id!,
  kind: r.kind,
  title: r.title,
  tags: JSON.parse(r.tags) as string[],
  rating: r.rating,
  favourite: r.favourite === 1,
  rights: (JSON.parse(r.rights) as Rights).kind,
  state: r.check_state,
  createdAt: Number(r.created_at),
  aspect: r.width / r.height,
  away: r.deleted_at !== null,
  colours: (JSON.parse(r.swatches) as Swatch[]).flatMap((s) => [...s.lab, s.weight]),
  hash: r.perceptual_hash,
});

const bytesOf = (b: Buffer): Int8Array => Int8Array.from(new Int8Array(b.buffer, b.byteOffset, b.byteLength));

const vectorsOf = (r: Row): RowVectors | undefined =>
  r.likeness && r.mirrored && r.style
    ? { likeness: bytesOf(r.likeness), mirrored: bytesOf(r.mirrored), style: bytesOf(r.style) }
    : undefined;
