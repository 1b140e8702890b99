import path from 'path';
import type { TaskCall, TaskFunction } from './task';

/** Where the server's own files lie: the folder that task files are named from. */
const ROOT = path.resolve(__dirname, '../..');

/** The entry of every worker thread: one task in, one result (or failure) out. */
export default async function run({ file, name, input }: TaskCall): Promise<unknown> {
  try {
    // eslint-disable-next-line @typescript-eslint/no-require-imports -- tasks lie above the platform: it is told where
    const found = require(path.join(ROOT, file)) as Readonly<Record<string, TaskFunction>>;
    return await found[name](input as never);
  } finally {
    // memory outside of the heap that the collector has found is given back when the thread draws breath
    await new Promise((resolve) => setImmediate(resolve));
  }
}
