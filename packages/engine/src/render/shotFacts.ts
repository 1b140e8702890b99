import { channelsOf, type JudgedInfluence, type ShotFacts, type SubjectFacts } from '@urbild/core';
import type { RequestInfluence } from '../contract/request';
import type { RenderedFigure, ShareRecord } from '../contract/result';
import { figureFor } from './figures';

/** What is known of a finished render. */
export interface KnownRender {
  readonly influences: readonly Pick<RequestInfluence, 'id'>[];
  readonly shares: readonly ShareRecord[];
  readonly figures: readonly RenderedFigure[];
}

/** The mean share of every influence on a channel, by how long a part of the course each record is; of one subject when named. */
export function meanSharesOf(
  { influences, shares }: Pick<KnownRender, 'influences' | 'shares'>,
  channel: ShareRecord['channel'],
  subject?: string,
): Record<string, number> {
  const logged = shares.filter(
    (s) => s.channel === channel && (s.subject === undefined || subject === undefined || s.subject === subject),
  );
  const length = logged.reduce((sum, s) => sum + (s.to - s.from), 0);
  return Object.fromEntries(
    influences.map(({ id }, k) => [
      id,
      length ? logged.reduce((sum, s) => sum + (s.influences[k] ?? 0) * (s.to - s.from), 0) / length : 0,
    ]),
  );
}

/** What a render shows of everybody whom the influences of a series give an identity to, and who had what share in it. */
export function factsOfRender(
  render: KnownRender,
  influences: readonly JudgedInfluence[],
): Pick<ShotFacts, 'subjects' | 'surfaceShares'> {
  const subjects: Record<string, SubjectFacts> = {};
  for (const { id, gives, subject } of influences) {
    if (!channelsOf(gives).includes('identity')) continue;
    const figure = figureFor(render.figures, { subject });
    const isThem = !!figure && (figure.kind === 'person' || figure.name === subject);
    subjects[id] = {
      there: isThem,
      height: isThem ? figure.box[3] - figure.box[1] : 0,
      yaw: isThem ? figure.face?.yaw : undefined,
      traits: isThem ? figure.traits : {},
      ...(isThem && figure.outfit ? { outfit: figure.outfit.name } : {}),
      shares: meanSharesOf(render, 'identity', subject),
    };
  }
  return { subjects, surfaceShares: meanSharesOf(render, 'surface') };
}
