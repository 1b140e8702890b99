/** npm run schema: prints the SQL that creates the present schema, to write a migration from. */
import { MikroORM } from '@mikro-orm/better-sqlite';
import { databaseOptions } from './platform/database/options';
import { ENTITIES } from './entities';

async function main(): Promise<void> {
  const orm = await MikroORM.init(databaseOptions(':memory:', ENTITIES));
  console.log(await orm.schema.getCreateSchemaSQL());
  await orm.close();
}
void main();
