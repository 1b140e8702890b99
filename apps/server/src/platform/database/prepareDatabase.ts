import type { MikroORM } from '@mikro-orm/core';
import { Logger } from '@nestjs/common';
import { mkdir } from 'fs/promises';
import { existsSync } from 'fs';
import path from 'path';

/**
 * Brings the database to this version. Before the first pending migration of an existing database, a copy of it is kept
 * in backups/.
 */
export async function prepareDatabase(orm: MikroORM, file: string): Promise<void> {
  const existed = existsSync(file);
  await mkdir(path.dirname(file), { recursive: true });
  const migrator = orm.getMigrator();
  const pending = await migrator.getPendingMigrations();
  if (!pending.length) return;
  const done = existed ? await migrator.getExecutedMigrations() : [];
  if (done.length) {
    const folder = path.join(path.dirname(file), 'backups');
    await mkdir(folder, { recursive: true });
    const copy = path.join(folder, `studio-before-${pending[0].name}-${Date.now()}.sqlite`);
    await orm.em.getConnection().execute('vacuum into ?', [copy]);
    new Logger('database').log(`kept a copy before migrating: ${path.basename(copy)}`);
  }
  await migrator.up();
}
