import { MikroORM } from '@mikro-orm/core';
import { ValidationPipe, type INestApplication } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import cookieParser from 'cookie-parser';
import helmet from 'helmet';
import { Logger } from 'nestjs-pino';
import type { Request, Response } from 'express';
import { existsSync } from 'fs';
import { mkdir } from 'fs/promises';
import { AppModule } from './app.module';
import { BlobStore } from './platform/blobs/blobStore';
import { LIMITED } from './platform/input/atMost';
import { missingFiles } from './platform/input/missingFiles';
import { withAsker } from './platform/access/asker';
import { onlyFromHere } from './platform/input/onlyFromHere';
import { tellBounds } from './platform/input/tellBounds';
import { plainInput } from './platform/input/plainInput';
import { builtAssets } from './platform/builtPage';
import { UpkeepService } from './platform/backup/upkeep.service';
import { LIMITS, StartError, type Config } from './platform/config';
import { MIGRATIONS } from './platform/database/migrations';
import { checkFolder } from './platform/folder/checkFolder';
import { holdFolder } from './platform/folder/lock';
import { databaseFile } from './platform/database/options';
import { prepareDatabase } from './platform/database/prepareDatabase';
import { JobsService } from './platform/jobs/jobs.service';
import { Problem } from './platform/problems/problem';
import { fieldErrors, ProblemFilter } from './platform/problems/problemFilter';
import { PeopleService } from './people/people.service';
import { DemoService } from './studio/demo.service';
import { ReadAgainService } from './studio/readAgain.service';

/** The OpenAPI document of the server. */
export const openApiDocument = (app: INestApplication): OpenAPIObject =>
  tellBounds(
    app,
    SwaggerModule.createDocument(
      app,
      new DocumentBuilder()
        .setTitle('Urbild')
        .setDescription('A studio for weighing references')
        .setVersion('1')
        .build(),
    ),
  );

/**
 * Builds the server, brings the database up to date and starts the queue; it does not listen yet. Throws {@link StartError}, and has
 * changed nothing, when another process holds the data folder or its database is not what this version can work on.
 */
export async function createApplication(config: Config): Promise<NestExpressApplication> {
  const { dataDir } = config;
  await makeDataDir(dataDir);
  const hold = holdFolder(dataDir);
  let app: NestExpressApplication | undefined;
  try {
    checkFolder(
      dataDir,
      databaseFile(dataDir),
      MIGRATIONS.map((m) => m.name),
    );
    app = await NestFactory.create<NestExpressApplication>(AppModule.for(config, hold), {
      bufferLogs: true,
      bodyParser: false,
      forceCloseConnections: true,
      abortOnError: false,
      ...(config.share?.tls && { httpsOptions: config.share.tls }),
    });
    await prepare(app, config);
    return app;
  } catch (error) {
    await app?.close().catch(() => undefined);
    hold.release();
    throw error;
  }
}

async function makeDataDir(dataDir: string): Promise<void> {
  try {
    await mkdir(dataDir, { recursive: true });
  } catch (error) {
    throw new StartError(
      `The folder ${dataDir} cannot be made: ${(error as Error).message}. Choose another one with --data.`,
    );
  }
}

const NO_OWNER =
  'Nobody owns this studio yet, so nobody could let others in. Make an owner first: ./start --make-owner NAME, or start it without --share and do it under Studio.';

async function prepare(app: NestExpressApplication, config: Config): Promise<void> {
  app.useLogger(app.get(Logger));
  app.use(onlyFromHere(config.share));
  app.use(withAsker);
  // what a proxy on this machine says of who asks is believed
  if (config.share?.publicUrl) app.set('trust proxy', 'loopback');
  app.use(
    helmet({
      contentSecurityPolicy: { directives: { imgSrc: ["'self'", 'blob:', 'data:'], upgradeInsecureRequests: null } },
    }),
  );
  app.use(cookieParser());
  app.useBodyParser('json', { limit: LIMITS.jsonBytes });
  app.use(plainInput, ...LIMITED, missingFiles(config.webDir));
  if (config.webDir && existsSync(config.webDir)) app.use('/assets', builtAssets(config.webDir));
  const problems = new ProblemFilter();
  // whoever serves the page's files takes every error for a missing file: these are answered before
  app.use(problems.beforeNest);
  app.setGlobalPrefix('api/v1', { exclude: ['health', 'metrics'] });
  app.useGlobalFilters(problems);
  app.useGlobalPipes(
    new ValidationPipe({
      whitelist: true,
      forbidNonWhitelisted: true,
      transform: true,
      exceptionFactory: (errors) => Problem.invalid(fieldErrors(errors)),
    }),
  );
  app.enableShutdownHooks();
  const document = openApiDocument(app);
  app.use('/api/v1/openapi.json', (_request: Request, response: Response) => void response.json(document));
  await app.get(BlobStore).prepare();
  await prepareDatabase(app.get(MikroORM), databaseFile(config.dataDir));
  await app.init();
  if (config.share && !(await app.get(PeopleService).hasOwner())) throw new StartError(NO_OWNER);
  const upkeep = app.get(UpkeepService);
  await upkeep.sweep();
  if (config.backups ?? true) upkeep.watch();
  await app.get(JobsService).start();
  await app.get(ReadAgainService).begin();
  await app.get(DemoService).begin();
}
