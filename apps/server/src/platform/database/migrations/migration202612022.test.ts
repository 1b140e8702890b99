import { MikroORM } from '@mikro-orm/better-sqlite';
import { ENTITIES } from '../../../entities';
import { databaseOptions } from '../options';

test('mixes that were there belong to the first project, there and back', async () => {
  const orm = await MikroORM.init(databaseOptions(':memory:', ENTITIES));
  const migrator = orm.getMigrator();
  await migrator.up({ to: '202612021-collections' });
  await orm.em.execute(
    `insert into mix (id, name, prompt, avoid, settings, influences, created_at, updated_at) values ('m', 'Mill', 'a mill', '', '{}', '[]', 1, 2)`,
    [],
    'run',
  );
  const mix = () => orm.em.execute<Record<string, unknown>[]>('select * from mix');
  const before = await mix();
  await migrator.up({ to: '202612022-projects' });
  expect(await mix()).toEqual(before.map((m) => ({ ...m, project_id: 'first' })));
  const [project] = await orm.em.execute<{ id: string; name: string; created_at: number }[]>('select * from project');
  expect(project).toMatchObject({ id: 'first', name: 'My first project', pictures: '[]' });
  // a time in milliseconds, as all of them
  expect(Math.abs(project.created_at - Date.now())).toBeLessThan(60_000);
  await migrator.down({ to: '202612021-collections' });
  expect(await mix()).toEqual(before);
  await orm.close();
});
