import { workerTask } from '../platform/workers/task';
import type { coherence } from './tasks/coherence';

/** Compares the pictures of a look. */
export const COHERENCE = workerTask<typeof coherence>('looks/tasks/coherence', 'coherence');
