import { MikroORM } from '@mikro-orm/better-sqlite';
import { databaseOptions } from '../options';
import { ENTITIES } from '../../../entities';

test('checks have fixes and tries are remedies, there and back', async () => {
  const orm = await MikroORM.init(databaseOptions(':memory:', ENTITIES));
  const migrator = orm.getMigrator();
  await migrator.up({ to: '202611291-nothing-lost' });
  const run = (sql: string, params: unknown[] = []) => orm.em.execute(sql, params, 'run');
  const columns = (table: string) =>
    orm.em.execute<{ name: string; notnull: number; type: string }[]>(`pragma table_info(${table})`);
  /** A row with these columns and something plain in every other that may not be empty. */
  const insert = async (table: string, fields: Record<string, unknown>) => {
    const all = (await columns(table)).filter((c) => c.notnull || c.name in fields);
    const values = all.map(({ name, type }) => fields[name] ?? (/text|json/i.test(type) ? '[]' : 0));
    await run(
      `insert into ${table} (${all.map((c) => c.name).join(', ')}) values (${all.map(() => '?').join(', ')})`,
      values,
    );
  };
  const checks = [{ id: 'transparency', severity: 'note', reason: 'See the "mend": word.', mend: 'flatten' }];
  await insert('reference', { id: 'r', checks: JSON.stringify(checks) });
  await insert('take', { id: 't', trial: JSON.stringify({ kind: 'mend', batch: 'b', label: 'Another seed' }) });
  await insert('take', { id: 's', trial: JSON.stringify({ kind: 'swap', batch: 'c', label: 'mend' }) });
  const kinds = async () =>
    (await orm.em.execute<{ kind: string }[]>(`select trial->>'kind' as kind from take order by id desc`)).map(
      (r) => r.kind,
    );
  const fix = async () =>
    (
      await orm.em.execute<{ fix: string | null; mend: string | null }[]>(
        `select checks->>'$[0].fix' as fix, checks->>'$[0].mend' as mend from reference`,
      )
    )[0];
  await migrator.up();
  expect(await kinds()).toEqual(['remedy', 'swap']);
  expect(await fix()).toEqual({ fix: 'flatten', mend: null });
  await migrator.down({ to: '202611291-nothing-lost' });
  expect(await kinds()).toEqual(['mend', 'swap']);
  expect(await fix()).toEqual({ fix: null, mend: 'flatten' });
  await orm.close();
});
