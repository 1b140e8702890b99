import { BetterSqliteDriver, type Options } from '@mikro-orm/better-sqlite';
import { Migrator } from '@mikro-orm/migrations';
import path from 'path';
import { CharacterEntity } from '../../cast/character.entity';
import { ImportFileEntity } from '../../library/imports/importFile.entity';
import { ReferenceEntity, VectorEntity } from '../../library/reference.entity';
import { ShelfItemEntity } from '../../library/shelf/shelf.entity';
import { LookEntity } from '../../looks/look.entity';
import { MixEntity, MixVersionEntity } from '../../mixes/mix.entity';
import { SequenceEntity } from '../../series/sequences/sequence.entity';
import { SeriesEntity, ShotEntity } from '../../series/series.entity';
import { TakeEntity } from '../../takes/take.entity';
import { SolveEntity, StripEntity } from '../../trials/trial.entity';
import { JobEntity } from '../jobs/job.entity';
import { MIGRATIONS } from './migrations';

/** The database file below a data folder. */
export const databaseFile = (dataDir: string): string => path.join(dataDir, 'studio.sqlite');

interface RawConnection {
  pragma(text: string): unknown;
}

/** MikroORM on one SQLite file: write-ahead log, foreign keys, and the migrations of this version. */
export const databaseOptions = (file: string): Options => ({
  driver: BetterSqliteDriver,
  dbName: file,
  entities: [
    ReferenceEntity,
    VectorEntity,
    ImportFileEntity,
    LookEntity,
    CharacterEntity,
    ShelfItemEntity,
    MixEntity,
    MixVersionEntity,
    StripEntity,
    SolveEntity,
    TakeEntity,
    SequenceEntity,
    SeriesEntity,
    ShotEntity,
    JobEntity,
  ],
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
