import { createApi, type Schemas } from '@urbild/api';

export const api = createApi();

export type Reference = Schemas['ReferenceDto'];
export type Mix = Schemas['MixDto'];
export type MixInfluence = Schemas['MixInfluenceDto'];
export type MixSettings = Schemas['MixSettingsDto'];
export type Take = Schemas['TakeDto'];
export type Series = Schemas['SeriesDto'];
export type SeriesSummary = Schemas['SeriesSummaryDto'];
export type Shot = Schemas['ShotDto'];
export type ShotTake = Schemas['ShotTakeDto'];
export type Consistency = Schemas['ConsistencyDto'];
export type FallsOut = Schemas['FallsOutDto'];
export type Studio = Schemas['StudioDto'];
export type Kind = Schemas['Kind'];

/** A problem document (RFC 9457) that the server answered with. */
export class ServerProblem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly current?: unknown,
  ) {
    super(message);
  }
}

const hearing = new Set<() => void>();

/** Tells from now on when the studio no longer knows who asks; returns how to stop that. */
export function onNotIn(hear: () => void): () => void {
  hearing.add(hear);
  return () => hearing.delete(hear);
}

interface Answer<T> {
  readonly data?: T;
  readonly error?: unknown;
  readonly response: Response;
}

/** The data of an answer; throws {@link ServerProblem} with the server's own sentence otherwise. */
export async function ask<T>(answer: Promise<Answer<T>>): Promise<T> {
  let result: Answer<T>;
  try {
    result = await answer;
  } catch {
    throw new ServerProblem(0, 'The studio does not answer. Your work is kept here; start it again and go on.');
  }
  if (result.response.ok) return result.data as T;
  if (result.response.status === 401) hearing.forEach((hear) => hear());
  const problem = (result.error ?? {}) as { detail?: string; current?: unknown };
  throw new ServerProblem(result.response.status, problem.detail ?? 'That did not work. Try again.', problem.current);
}
export type Look = Schemas['LookDto'];
export type Character = Schemas['CharacterDto'];
