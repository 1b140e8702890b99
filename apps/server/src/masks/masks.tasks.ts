import { workerTask } from '../platform/workers/task';
import type { mask } from './tasks/mask';

/** Reads a painted mask. */
export const MASK = workerTask<typeof mask>('masks/tasks/mask', 'mask', { outside: true });
