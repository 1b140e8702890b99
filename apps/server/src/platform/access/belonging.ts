import { raw, type FilterQuery, type Dictionary } from '@mikro-orm/core';
import type { SqlEntityManager } from '@mikro-orm/better-sqlite';
import { reachNow } from './asker';

/** SQL about one row, by the alias of its table. */
type OfRow = (row: string) => string;

/** A kind of thing that belongs to projects. */
export interface Belonging {
  /** Its table; `mixId` in a body or a query is the id of a row in `mix`. */
  readonly table: string;
  /** Under which its operations stand, as in `/mixes/{id}`. */
  readonly path: string;
  /** What it is called where it is not found. */
  readonly called: string;
  /** The id of the project of a row; null for a row that belongs to none. */
  readonly project: OfRow;
  /** A further condition for a row to be shown; `seen` makes the condition that a project is not hidden. */
  readonly shown?: (row: string, seen: (project: string) => string) => string;
}

const KNOWN = new Map<string, Belonging>();

/** All kinds of things that belong to projects. */
export const belongings = (): readonly Belonging[] => [...KNOWN.values()];

/** The project of rows that have a mix. */
export const ofItsMix: OfRow = (row) => `(select m.project_id from mix m where m.id = ${row}.mix_id)`;

/** The project of rows that have a series. */
export const ofItsSeries: OfRow = (row) =>
  `(select m.project_id from series s join mix m on m.id = s.mix_id where s.id = ${row}.series_id)`;

/** The condition, in SQL, that rows of a table are shown to somebody from whom some projects are hidden, and its parameters. */
export function shownTo(hidden: readonly string[], of: string, row: string): { sql: string; parameters: string[] } {
  if (!hidden.length) return { sql: '1 = 1', parameters: [] };
  const { project, shown } = KNOWN.get(of)!;
  const parameters: string[] = [];
  const seen = (one: string) => {
    parameters.push(...hidden);
    return `coalesce(${one}, '') not in (${hidden.map(() => '?').join(', ')})`;
  };
  const own = seen(project(row));
  return { sql: shown ? `(${own} and ${shown(row, seen)})` : own, parameters };
}

/** The same for whoever asks just now. */
export const shownNow = (of: string, row: string) => shownTo(reachNow().hidden, of, row);

/**
 * Declares of an entity to which project its rows belong. Whatever is read of it while somebody asks leaves out what is hidden from
 * them: it is not found, not listed and not counted. For statements in SQL see {@link shownTo}.
 */
export function belongsToProjects(belonging: Belonging): Dictionary {
  KNOWN.set(belonging.table, belonging);
  const cond = (_: Dictionary, type: 'read' | 'update' | 'delete'): FilterQuery<object> => {
    const { hidden } = reachNow();
    // what is changed was read before
    if (!hidden.length || type !== 'read') return {};
    const { parameters } = shownTo(hidden, belonging.table, '');
    return { [raw((row) => shownTo(hidden, belonging.table, row).sql, parameters)]: [] } as FilterQuery<object>;
  };
  return { reach: { name: 'reach', cond, default: true, args: false } };
}

/** The project of something; undefined for what is not there or belongs to none. */
export async function projectOf(em: SqlEntityManager, table: string, id: string): Promise<string | undefined> {
  const { project } = KNOWN.get(table)!;
  const rows = await em.execute<{ project: string | null }[]>(
    `select ${project('x')} as project from ${table} x where x.id = ?`,
    [id],
  );
  return rows[0]?.project ?? undefined;
}

/** The project of something of which only the id is known. */
export async function projectOfAny(em: SqlEntityManager, id: string): Promise<string | undefined> {
  for (const { table } of KNOWN.values()) {
    const project = await projectOf(em, table, id);
    if (project !== undefined) return project;
  }
  return undefined;
}
