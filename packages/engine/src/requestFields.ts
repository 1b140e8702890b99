/** Reading single fields of plain JSON; every error names the field and what is allowed. */

/** A request that cannot be rendered; the message says which field is wrong and what is allowed. */
export class RequestError extends Error {
  override readonly name = 'RequestError';
}

export type Json = Record<string, unknown>;

/** Throws {@link RequestError} unless `json` is an object. */
export function asObject(json: unknown, what: string): Json {
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    throw new RequestError(`${what}: an object is expected`);
  return json as Json;
}

const path = (at: string | undefined, field: string) => (at ? `${at}.${field}` : field);

/** A text of at most 4000 characters; needed when `fallback` is undefined. */
export function text(o: Json, field: string, fallback: string | undefined, at?: string): string {
  const value = o[field] ?? fallback;
  if (typeof value !== 'string' || value.length > 4000)
    throw new RequestError(`${path(at, field)}: a text of at most 4000 characters`);
  return value;
}

export function number(o: Json, field: string, low: number, high: number, fallback: number, at?: string): number {
  const value = o[field] ?? fallback;
  if (typeof value !== 'number' || !(value >= low && value <= high))
    throw new RequestError(`${path(at, field)}: a number from ${low} to ${high}`);
  return value;
}

export function whole(o: Json, field: string, low: number, high: number, fallback: number): number {
  const value = number(o, field, low, high, fallback);
  if (!Number.isInteger(value)) throw new RequestError(`${field}: a whole number from ${low} to ${high}`);
  return value;
}

export function flag(o: Json, field: string, fallback: boolean, at?: string): boolean {
  const value = o[field] ?? fallback;
  if (typeof value !== 'boolean') throw new RequestError(`${path(at, field)}: true or false`);
  return value;
}

export function oneOf<T extends string>(o: Json, field: string, allowed: readonly T[], fallback: T, at?: string): T {
  const value = (o[field] ?? fallback) as T;
  if (!allowed.includes(value)) throw new RequestError(`${path(at, field)}: one of ${allowed.join(', ')}`);
  return value;
}
