import { workerTask } from '../platform/workers/task';
import type { outlines } from './tasks/outlines';
import type { render } from './tasks/render';

/** Renders a request, encodes and measures it; it can be stopped. */
export const RENDER = workerTask<typeof render>('takes/tasks/render', 'render');

/** What the picture of a request shows, by its outlines. */
export const OUTLINES = workerTask<typeof outlines>('takes/tasks/outlines', 'outlines');
