import type { DynamicModule } from '@nestjs/common';
import { ServeStaticModule } from '@nestjs/serve-static';
import type { RequestHandler } from 'express';
import expressStaticGzip from 'express-static-gzip';
import { existsSync } from 'fs';
import path from 'path';
import type { Config } from './config';

/** The page itself and its sign, which are asked for each time; none where nothing is built. */
export const builtPage = ({ webDir }: Config): DynamicModule[] =>
  webDir && existsSync(webDir)
    ? [
        ServeStaticModule.forRoot({
          rootPath: webDir,
          exclude: ['/api/{*path}', '/assets/{*path}', '/health', '/metrics'],
          serveStaticOptions: {
            setHeaders: (response) => void response.setHeader('Cache-Control', 'no-cache'),
            fallthrough: true,
          },
        }),
      ]
    : [];

/**
 * Scripts, styles and fonts of the built page, whose names carry a hash of what is in them, so that they never change. Where the build has
 * put a compressed copy beside a file (brotli, gzip), who can read it gets that.
 */
export const builtAssets = (webDir: string): RequestHandler =>
  expressStaticGzip(path.join(webDir, 'assets'), {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    index: false,
    serveStatic: { maxAge: '1y', immutable: true },
  }) as RequestHandler;
