import { MikroORM } from '@mikro-orm/better-sqlite';
import { ENTITIES } from '../../../entities';
import { databaseOptions } from '../options';

test('searches that were kept become collections, there and back; phrases stay', async () => {
  const orm = await MikroORM.init(databaseOptions(':memory:', ENTITIES));
  const migrator = orm.getMigrator();
  await migrator.up({ to: '202612012-archive' });
  const shelf = () => orm.em.execute<{ id: string }[]>('select id, kind, name, text from shelf_item order by id');
  await orm.em.execute(
    `insert into shelf_item (id, kind, name, text, created_at) values ('p', 'phrase', 'Dusk', 'soft light', 5), ('s', 'search', 'Reeds', 'words=reed', 7)`,
    [],
    'run',
  );
  const before = await shelf();
  await migrator.up({ to: '202612021-collections' });
  expect(await orm.em.execute('select id, name, items, search, created_at as at, version from collection')).toEqual([
    { id: 's', name: 'Reeds', items: '[]', search: 'words=reed', at: 7, version: 1 },
  ]);
  expect((await shelf()).map(({ id }) => id)).toEqual(['p']);
  await migrator.down({ to: '202612012-archive' });
  expect(await shelf()).toEqual(before);
  await orm.close();
});
