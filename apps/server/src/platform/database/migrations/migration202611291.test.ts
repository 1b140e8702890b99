import { MikroORM } from '@mikro-orm/better-sqlite';
import { databaseOptions } from '../options';
import { ENTITIES } from '../../../entities';

test('ghosts of older versions go: doubled jobs, takes without a job, controls that nobody waits for', async () => {
  const orm = await MikroORM.init(databaseOptions(':memory:', ENTITIES));
  const migrator = orm.getMigrator();
  await migrator.up({ to: '202611271-sequences' });
  const run = (sql: string, params: unknown[] = []) => orm.em.execute(sql, params, 'run');
  const take = (id: string, status: string, control: string | null, isControl = 0) =>
    run(
      `insert into take (id, is_control, control_id, quality, status, request_hash, origin, keeper, created_at, version, rating, rejected, note)
       values (?, ?, ?, 'draft', ?, 'x', '{}', 0, 0, 1, 0, 0, '')`,
      [id, isControl, control, status],
    );
  const job = (id: string, subject: string, state: string, kind = 'take') =>
    run(
      `insert into job (id, kind, subject, payload, state, priority, sequence, attempts, created_at) values (?, ?, ?, '{}', ?, 0, 0, 2, 0)`,
      [id, kind, subject, state],
    );
  await take('waits', 'queued', 'needed');
  await take('lost', 'rendering', 'ghost');
  await take('stopped', 'cancelled', 'ghost-2');
  await take('done', 'done', 'kept');
  for (const [id, status] of [
    ['needed', 'queued'],
    ['ghost', 'queued'],
    ['ghost-2', 'queued'],
    ['kept', 'done'],
  ] as const)
    await take(id, status, null, 1);
  await job('1', 'waits', 'queued');
  await job('2', 'waits', 'queued');
  await job('3', 'done', 'done');
  await job('4', 'mix', 'done', 'demo');
  await migrator.up();
  const takes = await orm.em.execute<{ id: string; status: string; control_id: string | null }[]>(
    'select id, status, control_id from take order by id',
  );
  expect(takes).toEqual([
    { id: 'done', status: 'done', control_id: 'kept' },
    { id: 'kept', status: 'done', control_id: null },
    { id: 'lost', status: 'cancelled', control_id: null },
    { id: 'needed', status: 'queued', control_id: null },
    { id: 'stopped', status: 'cancelled', control_id: null },
    { id: 'waits', status: 'queued', control_id: 'needed' },
  ]);
  const jobs = await orm.em.execute<{ id: string }[]>('select id from job order by id');
  expect(jobs.map((j) => j.id)).toEqual(['1', '4']);
  await expect(job('5', 'waits', 'held')).rejects.toThrow(/unique/i);
  await orm.close();
});
