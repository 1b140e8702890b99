import type { NextFunction, Request, Response } from 'express';
import { Problem } from '../problems/problem';

type Middleware = (request: Request, response: Response, next: NextFunction) => void;

/** Lets at most so many requests of a kind be answered at the same time; further ones are told to come back. */
export function atMost(most: number, concerns: (request: Request) => boolean, sentence: string): Middleware {
  let open = 0;
  return (request, response, next) => {
    if (!concerns(request)) return next();
    if (open >= most) return next(Problem.busy(sentence));
    open++;
    response.once('close', () => open--);
    next();
  };
}

/** What is limited, because each of it holds memory, a thread or a connection. */
export const LIMITED: readonly Middleware[] = [
  atMost(
    64,
    ({ path }) => path === '/api/v1/events',
    'Too many windows of this studio are open at once. Close some, or wait a moment.',
  ),
  atMost(
    24,
    ({ headers }) => !!headers['content-type']?.startsWith('multipart/form-data'),
    'Too many files are being sent at once. Wait until some have arrived, then send this one again.',
  ),
  atMost(
    6,
    ({ path }) => /^\/api\/v1\/.*\/export\//.test(path),
    'Several exports are being made already. Wait until one of them is finished, then ask again.',
  ),
];
