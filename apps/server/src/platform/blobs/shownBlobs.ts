import type { SqlEntityManager } from '@mikro-orm/better-sqlite';
import type { MikroORM } from '@mikro-orm/core';
import { belongings, shownTo } from '../access/belonging';
import { blobFields, type BlobField } from './blobFields';

/**
 * True for a blob that somebody may be shown from whom some projects are hidden: one that something shown has as its own, or that is no
 * project's own at all. What is only named inside of texts - masks of mixes - is found by those who know its hash.
 */
export async function isShownTo(orm: MikroORM, hidden: readonly string[], hash: string): Promise<boolean> {
  const em = orm.em.fork() as SqlEntityManager;
  const inProjects = new Set(belongings().map(({ table }) => table));
  const own = blobFields(orm).filter(({ inside }) => !inside);
  /** Whether any row has it, and of these any that is shown. */
  const isThere = async ({ table, column }: BlobField) => {
    const { sql, parameters } = inProjects.has(table) ? shownTo(hidden, table, 'x') : { sql: '1', parameters: [] };
    const [{ shown }] = await em.execute<{ shown: number | null }[]>(
      `select max(${sql}) as shown from \`${table}\` x where x.\`${column}\` = ?`,
      [...parameters, hash],
    );
    return shown;
  };
  let isHidden = false;
  for (const field of own.filter(({ table }) => inProjects.has(table))) {
    const shown = await isThere(field);
    if (shown) return true;
    if (shown === 0) isHidden = true;
  }
  if (!isHidden) return true;
  for (const field of own.filter(({ table }) => !inProjects.has(table))) if (await isThere(field)) return true;
  return false;
}
