import { matchRegion, threadKernel } from '@urbild/engine';
import { parentPort } from 'worker_threads';
import { HELPED, type HelpTask } from './matchHelper';

class Unwanted extends Error {}

/** Matches the rows that the owner of this thread sends. */
parentPort!.on('message', ({ task, out, flag }: HelpTask) => {
  const state = new Int32Array(flag);
  const end = (as: number) => {
    Atomics.compareExchange(state, 0, HELPED.running, as);
    Atomics.notify(state, 0);
  };
  try {
    const { planes } = matchRegion(task, threadKernel(), () => {
      if (Atomics.load(state, 0) !== HELPED.running) throw new Unwanted();
    }).picture;
    planes.forEach((plane, k) => new Float32Array(out, 4 * k * plane.length, plane.length).set(plane));
    end(HELPED.done);
  } catch {
    // the owner does it then, and meets the error itself if there is one
    end(HELPED.failed);
  }
});
