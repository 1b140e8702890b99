import { workerTask } from '../platform/workers/task';
import type { consistency } from './tasks/consistency';
import type { sequenceExport, steadiness } from './tasks/sequences';
import type { seriesExport } from './tasks/seriesExport';

/** Compares the takes of a series with each other. */
export const CONSISTENCY = workerTask<typeof consistency>('series/tasks/consistency', 'consistency');
/** Writes the frames of a sequence into a file. */
export const SEQUENCE_EXPORT = workerTask<typeof sequenceExport>('series/tasks/sequences', 'sequenceExport');
/** Measures how much a sequence changes from frame to frame. */
export const STEADINESS = workerTask<typeof steadiness>('series/tasks/sequences', 'steadiness');
/** Writes the keepers of a series into a file. */
export const SERIES_EXPORT = workerTask<typeof seriesExport>('series/tasks/seriesExport', 'seriesExport');
