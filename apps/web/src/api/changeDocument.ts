import { merge } from '@urbild/core';
import type { SaveQueue } from '../shared/save/saveQueue';
import { forgetLast, remember, type Undo } from './undo';

/** Milliseconds between keys of one step. */
const TYPING = 900;
let last: { queue: unknown; name: string; from: object; at: number } | undefined;

/**
 * Sets fields of a document as they were decided upon while looking at `seen`, and notes how that is undone: only what this change did is
 * taken back.
 */
export function changeDocument<S extends object>(
  queue: SaveQueue<S>,
  fields: Partial<S>,
  seen: S,
  wait?: number,
): void {
  const before = queue.view().state;
  queue.set(fields, seen, { wait });
  const after = queue.view().state;
  const step =
    (from: S, to: S): Undo =>
    () => {
      queue.change((state) => merge(from, to, state).merged);
      return Promise.resolve(step(to, from));
    };
  // texts are saved while they are typed: keys that follow each other quickly are one step
  const name = Object.keys(fields).join();
  const goesOn = last?.queue === queue && last.name === name && Date.now() - last.at < TYPING && wait !== undefined;
  if (goesOn) forgetLast();
  const from = goesOn ? (last!.from as S) : before;
  last = { queue, name, from, at: Date.now() };
  remember(step(after, from));
}
