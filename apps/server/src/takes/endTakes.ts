import type { SqlEntityManager } from '@mikro-orm/better-sqlite';

const marks = (ids: readonly string[]) => ids.map(() => '?').join(', ');

/**
 * Ends controls that nobody waits for any more: one that is not rendered yet goes, and one that is goes when no take names it. To be
 * called in the transaction in which takes end.
 */
export async function endControls(
  em: SqlEntityManager,
  controlIds: readonly (string | null | undefined)[],
): Promise<void> {
  const ids = [...new Set(controlIds)].filter((id): id is string => !!id);
  if (!ids.length) return;
  const idle = (
    await em.execute<{ id: string }[]>(
      `select c.id from take c where c.is_control = 1 and c.id in (${marks(ids)}) and not exists (
         select 1 from take t where t.control_id = c.id and (c.status = 'done' or t.status in ('queued', 'rendering')))`,
      ids,
    )
  ).map((row) => row.id);
  if (!idle.length) return;
  await em.execute(`update take set control_id = null where control_id in (${marks(idle)})`, idle, 'run');
  await em.execute(`delete from take where id in (${marks(idle)})`, idle, 'run');
}

/** How many finished drafts of a mix are kept: when there are more than `most`, all but the newest `kept` go. */
const DRAFTS = { kept: 40, most: 60 };

/** Finished drafts of a mix that are so many that the oldest may go: those that nobody marked or went on from. */
export async function oldDrafts(
  em: SqlEntityManager,
  mixId: string,
): Promise<{ id: string; controlId: string | null }[]> {
  const all = await em.execute<{ id: string; controlId: string | null; plain: number }[]>(
    `select t.id, t.control_id as controlId,
       (t.keeper = 0 and t.rating = 0 and t.rejected = 0 and t.note = '' and t.trial is null) as plain
     from take t where t.mix_id = ? and t.quality = 'draft' and t.shot_id is null and t.status not in ('queued', 'rendering')
       and t.deleted_at is null order by t.created_at desc`,
    [mixId],
  );
  if (all.length <= DRAFTS.most) return [];
  const old = all.slice(DRAFTS.kept).filter((t) => t.plain);
  const used = new Set(
    (
      await em.execute<{ id: string | null }[]>(
        `select from_take_id as id from take where from_take_id is not null
         union select settings->>'$.start.id' from mix union select state->>'$.settings.start.id' from mix_version
         union select origin->>'$.settings.start.id' from take where mix_id = ?`,
        [mixId],
      )
    ).map((row) => row.id),
  );
  return old.filter((t) => !used.has(t.id));
}

/** Removes takes for good, with controls that nobody else names. */
export async function dropTakes(
  em: SqlEntityManager,
  takes: readonly { readonly id: string; readonly controlId?: string | null }[],
): Promise<void> {
  if (!takes.length) return;
  const ids = takes.map((t) => t.id);
  await em.execute(`delete from take where id in (${marks(ids)})`, ids, 'run');
  await endControls(
    em,
    takes.map((t) => t.controlId),
  );
}
