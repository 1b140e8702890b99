import type { EntityManager } from '@mikro-orm/core';
import type { Quality } from '../mixes/mix.entity';
import { TakeEntity, type Take } from './take.entity';

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

/**
 * About how many milliseconds takes that are not finished will need, each at the usual time of its quality, so many at once. Of one that is
 * being rendered half is done; what was never rendered before is not counted. Undefined where nothing can be told.
 */
export async function timeLeft(
  em: EntityManager,
  open: readonly Pick<Take, 'quality' | 'status'>[],
  atOnce: number,
): Promise<number | undefined> {
  let left: number | undefined;
  for (const quality of new Set(open.map((t) => t.quality))) {
    const usual = await usualTime(em, quality);
    if (usual === undefined) continue;
    const those = open.filter((t) => t.quality === quality);
    const work = those.reduce((sum, t) => sum + (t.status === 'rendering' ? 0.5 : 1), 0);
    left = (left ?? 0) + (work * usual) / atOnce;
  }
  return left === undefined ? undefined : Math.round(left);
}
