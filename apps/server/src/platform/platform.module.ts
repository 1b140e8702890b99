import { BetterSqliteDriver } from '@mikro-orm/better-sqlite';
import type { EntitySchema } from '@mikro-orm/core';
import { MikroOrmModule } from '@mikro-orm/nestjs';
import { Module, RequestMethod, type DynamicModule } from '@nestjs/common';
import { MulterModule } from '@nestjs/platform-express';
import { randomUUID } from 'crypto';
import { diskStorage } from 'multer';
import { LoggerModule } from 'nestjs-pino';
import path from 'path';
import { Endings } from './access/endings';
import { Reaches } from './access/reaches';
import { BackupController } from './backup/backup.controller';
import { UpkeepService } from './backup/upkeep.service';
import { BlobsController } from './blobs/blobs.controller';
import { BlobStore } from './blobs/blobStore';
import { builtPage } from './builtPage';
import { CONFIG, LIMITS, type Config } from './config';
import { databaseFile, databaseOptions } from './database/options';
import { EventsController } from './events/events.controller';
import { EventsService } from './events/events.service';
import { FOLDER_HOLD, FolderRelease } from './folder/folderRelease';
import type { Hold } from './folder/lock';
import { JobsController } from './jobs/jobs.controller';
import { JobsService } from './jobs/jobs.service';
import { HealthController } from './metrics/health.controller';
import { MetricsController } from './metrics/metrics.controller';
import { MetricsService } from './metrics/metrics.service';
import { requestId } from './metrics/requestId';
import { VisionService } from './vision/vision.service';
import { WorkersService } from './workers/workers.service';

const EVERYWHERE = [{ path: '{*path}', method: RequestMethod.ALL }];

/** What a studio is started with. */
export interface PlatformOptions {
  readonly config: Config;
  readonly hold: Hold;
  /** Entities of everything that stands above. */
  readonly entities: readonly EntitySchema[];
}

/** What all capabilities stand on: configuration, database, files, jobs, threads, events. It knows none of them. */
@Module({})
export class PlatformModule {
  static for({ config, hold, entities }: PlatformOptions): DynamicModule {
    const uploads = MulterModule.register({
      storage: diskStorage({
        destination: path.join(config.dataDir, 'temp'),
        filename: (_request, _file, done) => done(null, randomUUID()),
      }),
      limits: { fileSize: LIMITS.uploadBytes, files: 1, fields: 8, fieldSize: 4096, parts: 10 },
    });
    const parts = [
      BlobStore,
      Endings,
      EventsService,
      JobsService,
      Reaches,
      UpkeepService,
      VisionService,
      WorkersService,
    ];
    return {
      module: PlatformModule,
      global: true,
      imports: [
        LoggerModule.forRoot({
          pinoHttp: {
            level: config.quiet ? 'silent' : 'warn',
            autoLogging: false,
            quietReqLogger: true,
            genReqId: requestId,
          },
          forRoutes: EVERYWHERE,
        }),
        MikroOrmModule.forRoot({
          ...databaseOptions(databaseFile(config.dataDir), entities),
          driver: BetterSqliteDriver,
          forRoutesPath: '{*path}',
        }),
        uploads,
        ...builtPage(config),
      ],
      controllers: [
        BackupController,
        BlobsController,
        EventsController,
        HealthController,
        JobsController,
        MetricsController,
      ],
      providers: [
        { provide: CONFIG, useValue: config },
        { provide: FOLDER_HOLD, useValue: hold },
        FolderRelease,
        MetricsService,
        ...parts,
      ],
      exports: [CONFIG, FOLDER_HOLD, uploads, ...parts],
    };
  }
}
