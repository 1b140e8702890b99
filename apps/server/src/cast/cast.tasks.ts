import { workerTask } from '../platform/workers/task';
import type { paint } from './tasks/paint';

/** Paints a plate from words alone. */
export const PAINT = workerTask<typeof paint>('cast/tasks/paint', 'paint');
