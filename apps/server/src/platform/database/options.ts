import type { EntitySchema } from '@mikro-orm/core';
import { BetterSqliteDriver, type Options } from '@mikro-orm/better-sqlite';
import { Migrator } from '@mikro-orm/migrations';
import path from 'path';
import { MIGRATIONS } from './migrations';

/** The database file below a data folder. */
export const databaseFile = (dataDir: string): string => path.join(dataDir, 'studio.sqlite');

interface RawConnection {
  pragma(text: string): unknown;
}

/** MikroORM on one SQLite file: these entities, write-ahead log, foreign keys, and the migrations of this version. */
export const databaseOptions = (file: string, entities: readonly EntitySchema[]): Options => ({
  driver: BetterSqliteDriver,
  dbName: file,
  entities: [...entities],
  extensions: [Migrator],
  migrations: { migrationsList: MIGRATIONS, snapshot: false, tableName: 'migration', silent: true },
  discovery: { warnWhenNoEntities: false },
  pool: {
    afterCreate: (connection: unknown, done: (error: unknown, connection: unknown) => void) => {
      const raw = connection as RawConnection;
      raw.pragma('journal_mode = WAL');
      // what was answered is on the disk: every commit syncs the log
      raw.pragma('synchronous = FULL');
      raw.pragma('foreign_keys = ON');
      raw.pragma('busy_timeout = 5000');
      done(undefined, connection);
    },
  },
});
