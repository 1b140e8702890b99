import type { EntityManager } from '@mikro-orm/core';
import type { Quality } from '../mixes/mix.entity';
import { TakeEntity } from './take.entity';

/** How many takes the usual time is taken from. */
const LATELY = 9;

/** The median time of the last takes of a quality, milliseconds; undefined while there are none. */
export async function usualTime(em: EntityManager, quality: Quality): Promise<number | undefined> {
  const last = await em.find(
    TakeEntity,
    { quality, status: 'done', isControl: false },
    { orderBy: { finishedAt: 'desc' }, limit: LATELY },
  );
  const times = last
    .flatMap((t) => (t.measurements ? [Object.values(t.measurements.timings).reduce((a, b) => a + b, 0)] : []))
    .sort((a, b) => a - b);
  return times.length ? Math.round(times[times.length >> 1]) : undefined;
}
