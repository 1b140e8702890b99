import type { Piscina } from 'piscina';
import { TaskFailed } from './task';

/**
 * Runs a task in a pool for at most `milliseconds` (more than 0), waiting for a thread included. A task that takes longer is thrown out
 * with its thread, which the pool replaces: a reader that loops can be ended in no other way. Throws {@link TaskFailed} with
 * `too-slow` then, and whatever the task throws.
 */
export async function withinLimit<T>(pool: Pick<Piscina, 'run'>, task: unknown, milliseconds: number): Promise<T> {
  const limit = new AbortController();
  const timer = setTimeout(() => limit.abort(), milliseconds);
  try {
    return (await pool.run(task, { signal: limit.signal })) as T;
  } catch (error) {
    if (!limit.signal.aborted) throw error;
    throw new TaskFailed(
      'too-slow',
      `Reading this file took longer than ${milliseconds / 1000} seconds, so it was given up. Export it again as PNG or JPEG and add the new file.`,
    );
  } finally {
    clearTimeout(timer);
  }
}
