import { ArgumentsHost, Catch, ExceptionFilter, HttpException, Logger, ValidationError } from '@nestjs/common';
import { OptimisticLockError } from '@mikro-orm/core';
import type { NextFunction, Request, Response } from 'express';
import { LIMITS } from '../config';
import { REQUEST_ID } from '../metrics/requestId';
import { isNoRoom } from '../room';
import { Problem, type FieldError, type ProblemDocument } from './problem';

/** Answers every error as a problem document; unexpected ones are logged and say nothing of the inside. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('problem');

  catch(error: unknown, host: ArgumentsHost): void {
    this.answer(error, host.switchToHttp().getResponse<Response>());
  }

  /** The same for errors of what stands before Nest: parsers and guards. To be used as Express's error handler. */
  readonly beforeNest = (error: unknown, _request: Request, response: Response, _next: NextFunction): void =>
    this.answer(error, response);

  private answer(error: unknown, response: Response): void {
    if (response.headersSent) {
      response.end();
      return;
    }
    const document = this.documentFor(error);
    const id = response.getHeader(REQUEST_ID);
    if (document.status === 500) this.logger.error({ err: error, request: id });
    const said: ProblemDocument = typeof id === 'string' ? { ...document, instance: `urn:request:${id}` } : document;
    if (document.retryAfter) response.set('Retry-After', String(document.retryAfter));
    response.status(document.status).type('application/problem+json').send(JSON.stringify(said));
  }

  private documentFor(error: unknown): ProblemDocument {
    if (error instanceof Problem) return error.document;
    if (isNoRoom(error)) return Problem.noRoom().document;
    // two who changed the same thing in the same moment, past every look at the version
    if (error instanceof OptimisticLockError) return Problem.stale(undefined).document;
    if (error instanceof HttpException) return fromStatus(error.getStatus(), error.message);
    const status = (error as { status?: number } | null)?.status;
    if (typeof status === 'number' && status >= 400 && status < 500)
      return fromStatus(status, (error as Error).message);
    return {
      type: 'urn:urbild:problem:internal',
      title: 'Something broke here',
      status: 500,
      detail:
        'The studio made a mistake. What was saved before is safe; try again, and if it happens again, look into the log for the number of this request.',
    };
  }
}

function fromStatus(status: number, message: string): ProblemDocument {
  if (status === 413)
    return Problem.tooLarge(
      `Pictures may have ${LIMITS.uploadBytes / 1024 / 1024} MB, other requests ${LIMITS.jsonBytes / 1024} kB.`,
    ).document;
  if (status === 404) return Problem.notFound('This page').document;
  return { type: `urn:urbild:problem:http-${status}`, title: 'Not possible', status, detail: message };
}

/** class-validator's errors as one list of fields with readable messages. */
export function fieldErrors(errors: readonly ValidationError[], parent = ''): FieldError[] {
  return errors.flatMap((e) => {
    const field = parent ? `${parent}.${e.property}` : e.property;
    const own = Object.values(e.constraints ?? {}).map((message) => ({
      field,
      message: parent ? `${parent}: ${message}` : message,
    }));
    return [...own, ...fieldErrors(e.children ?? [], field)];
  });
}
