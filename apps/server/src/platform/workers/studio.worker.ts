import { ingest } from './ingest';
import { paint, render } from './renderTask';
import type { Task } from './tasks';

/** The entry of every worker thread: one task in, one result (or failure) out. */
export default function run(task: Task): Promise<unknown> {
  switch (task.kind) {
    case 'ingest':
      return ingest(task.file);
    case 'paint':
      return paint(task);
    case 'render':
      return render(task);
  }
}
