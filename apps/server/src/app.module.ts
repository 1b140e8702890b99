import { BetterSqliteDriver } from '@mikro-orm/better-sqlite';
import { MikroOrmModule } from '@mikro-orm/nestjs';
import { DynamicModule, Module, RequestMethod } from '@nestjs/common';
import { MulterModule } from '@nestjs/platform-express';
import { ServeStaticModule } from '@nestjs/serve-static';
import { diskStorage } from 'multer';
import { LoggerModule } from 'nestjs-pino';
import { randomUUID } from 'crypto';
import { existsSync } from 'fs';
import path from 'path';
import { CastController } from './cast/cast.controller';
import { CastService } from './cast/cast.service';
import { TallyService } from './cast/tally.service';
import { CatalogueService } from './library/catalogue/catalogue.service';
import { ImportsController } from './library/imports/imports.controller';
import { ImportsService } from './library/imports/imports.service';
import { LookAtService } from './library/lookAt.service';
import { PreparationService } from './library/preparation/preparation.service';
import { SplitService } from './library/preparation/split.service';
import { ShelfController } from './library/shelf/shelf.controller';
import { LooksController } from './looks/looks.controller';
import { LooksService } from './looks/looks.service';
import { SourcesService } from './mixes/sources.service';
import { VisionService } from './platform/vision/vision.service';
import { LibraryController } from './library/library.controller';
import { LibraryService } from './library/library.service';
import { MixesController } from './mixes/mixes.controller';
import { MasksController } from './masks/masks.controller';
import { MixesService } from './mixes/mixes.service';
import { MixVersionsService } from './mixes/mixVersions.service';
import { BackupController } from './platform/backup/backup.controller';
import { UpkeepService } from './platform/backup/upkeep.service';
import { FOLDER_HOLD, FolderRelease } from './platform/folder/folderRelease';
import type { Hold } from './platform/folder/lock';
import { BlobsController } from './platform/blobs/blobs.controller';
import { BlobStore } from './platform/blobs/blobStore';
import { CONFIG, LIMITS, type Config } from './platform/config';
import { databaseFile, databaseOptions } from './platform/database/options';
import { EventsController } from './platform/events/events.controller';
import { EventsService } from './platform/events/events.service';
import { JobsController } from './platform/jobs/jobs.controller';
import { JobsService } from './platform/jobs/jobs.service';
import { WorkersService } from './platform/workers/workers.service';
import { ConsistencyService } from './series/consistency.service';
import { SeriesController } from './series/series.controller';
import { SeriesExportService } from './series/seriesExport.service';
import { SequenceExportService } from './series/sequences/sequenceExport.service';
import { SequencesController } from './series/sequences/sequences.controller';
import { SequencesService } from './series/sequences/sequences.service';
import { SeriesPlanService } from './series/seriesPlan.service';
import { SeriesRunService } from './series/seriesRun.service';
import { ShotsController } from './series/shots.controller';
import { ShotsService } from './series/shots.service';
import { TrialTakesService } from './series/trialTakes.service';
import { SeriesService } from './series/series.service';
import { DemoService } from './studio/demo.service';
import { StudioController } from './studio/studio.controller';
import { TakeRenderer } from './takes/takeRenderer';
import { GoOnService } from './takes/goOn.service';
import { TakesController } from './takes/takes.controller';
import { InForceService } from './takes/inForce.service';
import { TakeQueue } from './takes/takeQueue.service';
import { TakesService } from './takes/takes.service';
import { SolvesService } from './trials/solves.service';
import { StripsService } from './trials/strips.service';
import { TrialShotsService } from './trials/trialShots.service';
import { TrialsController } from './trials/trials.controller';

const EVERYWHERE = [{ path: '{*path}', method: RequestMethod.ALL }];

/** The whole server for one configuration. */
@Module({})
export class AppModule {
  static for(config: Config, hold: Hold): DynamicModule {
    return {
      module: AppModule,
      global: true,
      imports: [
        LoggerModule.forRoot({
          pinoHttp: { level: config.quiet ? 'silent' : 'warn', autoLogging: false, quietReqLogger: true },
          forRoutes: EVERYWHERE,
        }),
        MikroOrmModule.forRoot({
          ...databaseOptions(databaseFile(config.dataDir)),
          driver: BetterSqliteDriver,
          forRoutesPath: '{*path}',
        }),
        MulterModule.register({
          storage: diskStorage({
            destination: path.join(config.dataDir, 'temp'),
            filename: (_request, _file, done) => done(null, randomUUID()),
          }),
          limits: { fileSize: LIMITS.uploadBytes, files: 1, fields: 8, fieldSize: 4096, parts: 10 },
        }),
        ...(config.webDir && existsSync(config.webDir)
          ? [
              ServeStaticModule.forRoot({
                rootPath: config.webDir,
                exclude: ['/api/{*path}'],
                serveStaticOptions: { setHeaders: cacheHeaders, fallthrough: true },
              }),
            ]
          : []),
      ],
      controllers: [
        BackupController,
        BlobsController,
        CastController,
        EventsController,
        ImportsController,
        JobsController,
        LibraryController,
        LooksController,
        MasksController,
        MixesController,
        SequencesController,
        SeriesController,
        ShotsController,
        ShelfController,
        StudioController,
        TakesController,
        TrialsController,
      ],
      providers: [
        { provide: CONFIG, useValue: config },
        { provide: FOLDER_HOLD, useValue: hold },
        FolderRelease,
        UpkeepService,
        BlobStore,
        CastService,
        TallyService,
        CatalogueService,
        DemoService,
        EventsService,
        ImportsService,
        InForceService,
        JobsService,
        GoOnService,
        LibraryService,
        LookAtService,
        LooksService,
        MixesService,
        MixVersionsService,
        PreparationService,
        ConsistencyService,
        SequenceExportService,
        SequencesService,
        SeriesExportService,
        SeriesPlanService,
        SeriesRunService,
        SeriesService,
        ShotsService,
        TrialShotsService,
        TrialTakesService,
        SolvesService,
        SourcesService,
        SplitService,
        StripsService,
        TakeQueue,
        TakeRenderer,
        TakesService,
        VisionService,
        WorkersService,
      ],
      exports: [CONFIG],
    };
  }
}

/** Built files carry their hash in their name and never change; the page itself is always asked for. */
function cacheHeaders(response: { setHeader(name: string, value: string): void }, file: string): void {
  const lasting = file.includes(`${path.sep}assets${path.sep}`);
  response.setHeader('Cache-Control', lasting ? 'public, max-age=31536000, immutable' : 'no-cache');
}
