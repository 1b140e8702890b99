import { GIVES, READINGS, TYPED_MAX_WEIGHT, type Gives, type Reading } from '@urbild/core';

/** One picture of an influence: its content hash (or a path, for the command line) and its part of the weight. */
export interface RequestPicture {
  readonly content: string;
  readonly weight: number;
  /** Where a person put its horizon, 0 top .. 1 bottom; read from the picture when absent. */
  readonly horizon?: number;
}

/** One influence of a request; numbers as in core's Influence. */
export interface RequestInfluence {
  readonly id: string;
  readonly gives: Gives;
  readonly weight: number;
  readonly from: number;
  readonly to: number;
  readonly on: boolean;
  readonly reading: Reading;
  readonly subject?: string;
  readonly pictures: readonly RequestPicture[];
}

/** What is to be rendered: plain JSON; docs/formats/render-request.md describes it field by field. */
export interface RenderRequest {
  readonly prompt: string;
  readonly avoid: string;
  readonly width: number;
  readonly height: number;
  readonly seed: number;
  readonly balance: number;
  /** How freely the seed composes: 0 the same composition for every seed .. 1 a free one. */
  readonly spread: number;
  readonly influences: readonly RequestInfluence[];
}

/** The sides that the engine renders, in px. */
export const MIN_SIDE = 64;
export const MAX_SIDE = 2048;
export const MAX_INFLUENCES = 24;

/** A request that cannot be rendered; the message says which field is wrong and what is allowed. */
export class RequestError extends Error {
  override readonly name = 'RequestError';
}

type Json = Record<string, unknown>;

/**
 * Checks plain JSON against docs/formats/render-request.schema.json and fills in the defaults. Throws
 * {@link RequestError}.
 */
export function readRequest(json: unknown): RenderRequest {
  const r = asObject(json, 'The request');
  const influences = r.influences ?? [];
  if (!Array.isArray(influences) || influences.length > MAX_INFLUENCES)
    throw new RequestError(`influences: a list of at most ${MAX_INFLUENCES}`);
  return {
    prompt: text(r, 'prompt', undefined),
    avoid: text(r, 'avoid', ''),
    width: whole(r, 'width', MIN_SIDE, MAX_SIDE, 768),
    height: whole(r, 'height', MIN_SIDE, MAX_SIDE, 512),
    seed: whole(r, 'seed', 0, 0xffffffff, 1),
    balance: number(r, 'balance', 0, 2, 1),
    spread: number(r, 'spread', 0, 1, 1),
    influences: influences.map((i, k) => readInfluence(i, `influences[${k}]`)),
  };
}

function readInfluence(json: unknown, at: string): RequestInfluence {
  const i = asObject(json, at);
  const pictures = i.pictures;
  if (!Array.isArray(pictures) || !pictures.length || pictures.length > 64)
    throw new RequestError(`${at}.pictures: a list of 1 to 64 pictures`);
  const from = number(i, 'from', 0, 1, 0, at);
  const to = number(i, 'to', 0, 1, 1, at);
  if (to < from) throw new RequestError(`${at}.to: not before from (${from}), but it is ${to}`);
  return {
    id: text(i, 'id', at, at),
    gives: oneOf(i, 'gives', GIVES, 'look', at),
    weight: number(i, 'weight', 0, TYPED_MAX_WEIGHT, 1, at),
    from,
    to,
    on: i.on === undefined ? true : i.on === true,
    reading: oneOf(i, 'reading', READINGS, 'normal', at),
    subject: i.subject === undefined ? undefined : text(i, 'subject', undefined, at),
    pictures: pictures.map((p, k) => {
      const picture = asObject(p, `${at}.pictures[${k}]`);
      return {
        content: text(picture, 'content', undefined, `${at}.pictures[${k}]`),
        weight: number(picture, 'weight', 0, 4, 1, `${at}.pictures[${k}]`),
        ...(picture.horizon === undefined
          ? {}
          : { horizon: number(picture, 'horizon', 0, 1, 0.5, `${at}.pictures[${k}]`) }),
      };
    }),
  };
}

function asObject(json: unknown, what: string): Json {
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    throw new RequestError(`${what}: an object is expected`);
  return json as Json;
}

const path = (at: string | undefined, field: string) => (at ? `${at}.${field}` : field);

function text(o: Json, field: string, fallback: string | undefined, at?: string): string {
  const value = o[field] ?? fallback;
  if (typeof value !== 'string' || value.length > 4000)
    throw new RequestError(`${path(at, field)}: a text of at most 4000 characters`);
  return value;
}

function number(o: Json, field: string, low: number, high: number, fallback: number, at?: string): number {
  const value = o[field] ?? fallback;
  if (typeof value !== 'number' || !(value >= low && value <= high))
    throw new RequestError(`${path(at, field)}: a number from ${low} to ${high}`);
  return value;
}

function whole(o: Json, field: string, low: number, high: number, fallback: number): number {
  const value = number(o, field, low, high, fallback);
  if (!Number.isInteger(value)) throw new RequestError(`${field}: a whole number from ${low} to ${high}`);
  return value;
}

function oneOf<T extends string>(o: Json, field: string, allowed: readonly T[], fallback: T, at: string): T {
  const value = (o[field] ?? fallback) as T;
  if (!allowed.includes(value)) throw new RequestError(`${path(at, field)}: one of ${allowed.join(', ')}`);
  return value;
}
