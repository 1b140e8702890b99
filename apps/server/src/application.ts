import { MikroORM } from '@mikro-orm/core';
import { ValidationPipe, type INestApplication } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import helmet from 'helmet';
import { Logger } from 'nestjs-pino';
import type { NextFunction, Request, Response } from 'express';
import { mkdir } from 'fs/promises';
import { AppModule } from './app.module';
import { BlobStore } from './platform/blobs/blobStore';
import { LIMITS, type Config } from './platform/config';
import { databaseFile } from './platform/database/options';
import { prepareDatabase } from './platform/database/prepareDatabase';
import { sweepOrphans } from './platform/database/sweepOrphans';
import { JobsService } from './platform/jobs/jobs.service';
import { Problem } from './platform/problems/problem';
import { fieldErrors, ProblemFilter } from './platform/problems/problemFilter';
import { DemoService } from './studio/demo.service';

/** The OpenAPI document of the server. */
export const openApiDocument = (app: INestApplication): OpenAPIObject =>
  SwaggerModule.createDocument(
    app,
    new DocumentBuilder().setTitle('Urbild').setDescription('A studio for weighing references').setVersion('1').build(),
  );

/** Builds the server, brings the database up to date and starts the queue; it does not listen yet. */
export async function createApplication(config: Config): Promise<NestExpressApplication> {
  await mkdir(config.dataDir, { recursive: true });
  const app = await NestFactory.create<NestExpressApplication>(AppModule.for(config), {
    bufferLogs: true,
    bodyParser: false,
    forceCloseConnections: true,
    abortOnError: false,
  });
  app.useLogger(app.get(Logger));
  app.use(onlyFromHere);
  app.use(
    helmet({
      contentSecurityPolicy: { directives: { imgSrc: ["'self'", 'blob:', 'data:'], upgradeInsecureRequests: null } },
    }),
  );
  app.useBodyParser('json', { limit: LIMITS.jsonBytes });
  app.setGlobalPrefix('api/v1');
  app.useGlobalFilters(new ProblemFilter());
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
  await sweepOrphans(app.get(MikroORM), app.get(BlobStore));
  await app.get(JobsService).start();
  await app.get(DemoService).begin();
  return app;
}

const LOCAL_NAMES = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;

/**
 * Refuses requests that were addressed to another name or come from another page: without accounts, no foreign web page
 * may use the studio through somebody's browser.
 */
function onlyFromHere(request: Request, response: Response, next: NextFunction): void {
  const { host, origin } = request.headers;
  const foreign = !LOCAL_NAMES.test(host ?? '') || (origin !== undefined && origin !== `http://${host}`);
  if (!foreign) return next();
  const { document } = Problem.forbidden('This studio answers only to pages of its own on this machine.');
  response.status(document.status).type('application/problem+json').send(JSON.stringify(document));
}
