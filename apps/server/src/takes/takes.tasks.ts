import { workerTask } from '../platform/workers/task';
import type { render } from './tasks/render';

/** Renders a request, encodes and measures it; it can be stopped. */
export const RENDER = workerTask<typeof render>('takes/tasks/render', 'render');
