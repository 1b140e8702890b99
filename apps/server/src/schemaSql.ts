/** npm run schema: prints the SQL that creates the present schema, to write a migration from. */
import { MikroORM } from '@mikro-orm/better-sqlite';
import { databaseOptions } from './options';

async function main(): Promise<void> {
  const orm = await MikroORM.init(databaseOptions(':memory:'));
  console.log(await orm.schema.getCreateSchemaSQL());
  await orm.close();
}
void main();
