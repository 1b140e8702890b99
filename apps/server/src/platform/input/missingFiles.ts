import type { NextFunction, Request, Response } from 'express';
import { readdirSync, existsSync } from 'fs';
import path from 'path';
import { Problem } from '../problems/problem';

/**
 * Answers 404 for files of the interface that are not there: addresses with an ending are files, and must not get the page instead.
 * `webDir` is the folder of the built interface.
 */
export function missingFiles(
  webDir: string | undefined,
): (request: Request, response: Response, next: NextFunction) => void {
  const files = new Set(
    webDir && existsSync(webDir)
      ? (readdirSync(webDir, { recursive: true }) as string[]).map((file) => `/${file.split(path.sep).join('/')}`)
      : [],
  );
  return (request, _response, next) => {
    const { path: address } = request;
    const isFile = /\.[A-Za-z0-9]{1,8}$/.test(address) && !address.startsWith('/api/');
    next(isFile && !files.has(address) ? Problem.notFound('This file') : undefined);
  };
}
