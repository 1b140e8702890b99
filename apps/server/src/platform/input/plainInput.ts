import type { NextFunction, Request, Response } from 'express';
import { Problem } from '../problems/problem';

/** How deep a body may be nested: the deepest of ours has eight levels. */
const DEEPEST = 24;
/** How many values a body may hold. */
const MOST_VALUES = 60_000;

/**
 * Why a value from outside is not taken, as a sentence; undefined for one that is fine. Depth and size are bounded without recursion,
 * and no text holds NUL, which SQLite would end a text at.
 */
export function faultOf(body: unknown): string | undefined {
  const open: { value: unknown; depth: number }[] = [{ value: body, depth: 0 }];
  let seen = 0;
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, depth } = next;
    if (++seen > MOST_VALUES) return `more than ${MOST_VALUES} values in one request are too many`;
    if (typeof value === 'string' && value.includes('\0')) return 'a text holds the character NUL, which no text may';
    if (typeof value !== 'object' || value === null) continue;
    if (depth >= DEEPEST) return `it is nested deeper than ${DEEPEST} levels`;
    for (const [key, inner] of Object.entries(value)) {
      if (key.includes('\0')) return 'a name holds the character NUL, which no name may';
      if (key === '__proto__') return 'a field is called __proto__, which no field may';
      open.push({ value: inner, depth: depth + 1 });
    }
  }
  return undefined;
}

/** Refuses requests whose address or body nobody could mean, before anything else reads them. */
export function plainInput(request: Request, _response: Response, next: NextFunction): void {
  const errors: { field: string; message: string }[] = [];
  if (/%00|\0/.test(request.url)) errors.push({ field: 'address', message: 'The address holds the character NUL.' });
  try {
    decodeURIComponent(request.path);
  } catch {
    errors.push({ field: 'address', message: 'The address holds a % that stands for nothing.' });
  }
  // an address of the page may say a thing twice: several pictures are chosen; only the page reads it
  for (const [name, value] of request.path.startsWith('/api/') ? Object.entries(request.query) : [])
    if (typeof value !== 'string') errors.push({ field: name, message: `${name}: give it once` });
  const fault = request.body === undefined ? undefined : faultOf(request.body);
  if (fault) errors.push({ field: 'body', message: `This request was not read: ${fault}.` });
  next(errors.length ? Problem.invalid(errors) : undefined);
}
