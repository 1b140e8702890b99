import { MikroORM } from '@mikro-orm/better-sqlite';
import { ENTITIES } from '../../../entities';
import { databaseOptions } from '../options';

test('takes of strips, searches and sequences know for which mix they were tried, there and back', async () => {
  const orm = await MikroORM.init(databaseOptions(':memory:', ENTITIES));
  const migrator = orm.getMigrator();
  const run = (sql: string) => orm.em.execute(sql, [], 'run');
  await migrator.up({ to: '202612024-turns' });
  const take = (id: string, mix: string, control = 0) =>
    run(
      `insert into take (id, mix_id, is_control, controlled, quality, status, request_hash, origin, keeper, rating, rejected, note, created_at)
       values ('${id}', ${mix}, ${control}, 1, 'draft', 'done', 'h', '{}', 0, 0, 0, '', 1)`,
    );
  for (const id of ['cell', 'draft', 'frame', 'held', 'sample']) await take(id, 'null');
  await take('own', "'m1'");
  await take('control', 'null', 1);
  await run(
    `insert into strip (id, mix_id, name, state, axes, quality, take_ids, created_at) values ('s', 'm1', '', '{}', '[]', 'draft', '["cell","control"]', 1)`,
  );
  await run(
    `insert into solve (id, mix_id, state, targets, path, status, reason, created_at) values ('o', 'm2', '{}', '[]', '[{"takeId":"draft"}]', 'met', '', 1)`,
  );
  await run(
    "insert into series (id, name, mix_id, paused, created_at, updated_at) values ('r', 'Tale', 'm3', 0, 1, 1)",
  );
  await run(
    `insert into sequence (id, series_id, shot_id, name, state, move, quality, free_ids, hold, held_ids, created_at)
     values ('q', 'r', 'h', '', '{}', '{}', 'draft', '["frame"]', 0, '["frame","held"]', 1)`,
  );
  await run(
    `insert into sequence (id, series_id, shot_id, name, state, move, quality, free_ids, created_at)
     values ('q2', 'r', 'h', '', '{}', '{}', 'draft', '[]', 1)`,
  );
  const before = await orm.em.execute<object[]>('select * from take order by id');
  await migrator.up({ to: '202612025-members' });
  const after = await orm.em.execute<{ id: string; mix: string | null }[]>(
    'select id, beside_mix_id as mix from take order by id',
  );
  expect(Object.fromEntries(after.map(({ id, mix }) => [id, mix]))).toEqual({
    cell: 'm1',
    control: null,
    draft: 'm2',
    frame: 'm3',
    held: 'm3',
    own: null,
    sample: null,
  });
  expect(await orm.em.execute('select restricted from project')).toEqual([{ restricted: 0 }]);
  await migrator.down({ to: '202612024-turns' });
  expect(await orm.em.execute('select * from take order by id')).toEqual(before);
  await orm.close();
});
