import { coherence } from './coherence';
import { consistency } from './consistencyTask';
import { crop } from './crop';
import { proposeFocus } from './focus';
import { gives } from './gives';
import { ingest } from './ingest';
import { mask } from './mask';
import { prepare } from './prepare';
import { paint, render } from './renderTask';
import { seriesExport } from './seriesExport';
import { sequenceExport, steadiness } from './sequenceTasks';
import { traits } from './traits';
import type { Task } from './tasks';

/** The entry of every worker thread: one task in, one result (or failure) out. */
export default async function run(task: Task): Promise<unknown> {
  try {
    return await perform(task);
  } finally {
    // memory outside of the heap that the collector has found is given back when the thread draws breath
    await new Promise((resolve) => setImmediate(resolve));
  }
}

function perform(task: Task): Promise<unknown> {
  switch (task.kind) {
    case 'ingest':
      return ingest(task);
    case 'prepare':
      return prepare(task);
    case 'gives':
      return gives(task);
    case 'focus':
      return proposeFocus(task);
    case 'traits':
      return traits(task);
    case 'crop':
      return crop(task);
    case 'coherence':
      return coherence(task);
    case 'consistency':
      return consistency(task);
    case 'steadiness':
      return steadiness(task);
    case 'sequenceExport':
      return sequenceExport(task);
    case 'seriesExport':
      return seriesExport(task);
    case 'mask':
      return mask(task);
    case 'paint':
      return paint(task);
    case 'render':
      return render(task);
  }
}
