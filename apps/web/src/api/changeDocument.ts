import { sameData } from '@urbild/core';
import type { SaveQueue } from '../shared/save/saveQueue';
import { forgetLast, remember } from './undo';

/** Milliseconds between keys of one step. */
const TYPING = 900;
let last: { readonly what: string; readonly first: object; readonly at: number } | undefined;

interface Changed {
  /** Of the document. */
  readonly name: string;
  /** The series of a shot. */
  readonly seriesId?: string;
  /** Milliseconds until it is sent, for what is typed. */
  readonly wait?: number;
}

/**
 * Sets fields of a document as they were decided upon while looking at `seen`, and notes how that is undone: only what this change did is
 * taken back.
 */
export function changeDocument<S extends object>(
  queue: SaveQueue<S>,
  fields: Partial<S>,
  seen: S,
  { name, seriesId, wait }: Changed,
): void {
  const before = queue.view().state;
  queue.set(fields, seen, { wait });
  const after = queue.view().state;
  if (sameData(before, after)) return;
  // texts are saved while they are typed: keys that follow each other quickly are one step
  const what = `${name} ${Object.keys(fields).join()}`;
  const goesOn = last?.what === what && Date.now() - last.at < TYPING && wait !== undefined;
  if (goesOn) forgetLast();
  const first = goesOn ? last!.first : before;
  last = { what, first, at: Date.now() };
  remember({ kind: 'document', name, from: after, to: first, seriesId });
}
