/** A request that changes something on the server, as data. */
export interface Call {
  readonly method: 'POST' | 'PATCH' | 'DELETE';
  readonly path: string;
  readonly body?: object;
  /** Sent with the present version of this shot of this series. */
  readonly versionOf?: { readonly seriesId: string; readonly shotId: string };
  /** Sent with the present version of what this path answers. */
  readonly versionAt?: string;
}

/** What undoes a change, as data, so that it survives a reload. */
export type UndoStep =
  /** Takes a document from one state to another; what others changed stays. Shots are found in their series. */
  | {
      readonly kind: 'document';
      readonly name: string;
      readonly from: object;
      readonly to: object;
      readonly seriesId?: string;
    }
  /** Puts back what many references said. */
  | { readonly kind: 'many'; readonly before: readonly object[] }
  /** Sends one request, and the other one when it is done again. */
  | { readonly kind: 'calls'; readonly now: Call; readonly then: Call };

/** Does a step; answers the step that takes it back. */
export type Doer = (step: UndoStep) => Promise<UndoStep>;

interface Lists {
  readonly done: UndoStep[];
  readonly undone: UndoStep[];
}

const KEPT = 100;
/** Characters that the browser keeps for one window. */
const ROOM = 1_500_000;
const NAME = 'urbild-undo';

let lists: Lists | undefined;
let doer: Doer = () => Promise.reject(new Error('nothing can be undone yet'));

/** Says how steps are done. */
export function undoBy(by: Doer): void {
  doer = by;
}

function read(): Lists {
  if (lists) return lists;
  try {
    lists = JSON.parse(sessionStorage.getItem(NAME) ?? '') as Lists;
  } catch {
    lists = { done: [], undone: [] };
  }
  return lists;
}

function keep(): void {
  const { done, undone } = read();
  while (done.length > KEPT) done.shift();
  let text = JSON.stringify({ done, undone });
  while (text.length > ROOM && done.length) {
    done.shift();
    text = JSON.stringify({ done, undone });
  }
  try {
    sessionStorage.setItem(NAME, text);
  } catch {
    // a browser without room forgets the steps at a reload
  }
}

/** Notes how the last change in the library, on a sheet or in a series is undone. */
export function remember(step: UndoStep): void {
  const { done, undone } = read();
  done.push(step);
  undone.length = 0;
  keep();
}

/** Takes the last change off the list, for one that goes further. */
export function forgetLast(): void {
  read().done.pop();
}

/** Undoes the last change (or does it again); false when there is none. */
export async function stepBack(redo = false): Promise<boolean> {
  const { done, undone } = read();
  const [from, to] = redo ? [undone, done] : [done, undone];
  const step = from.pop();
  if (!step) return false;
  try {
    to.push(await doer(step));
  } finally {
    keep();
  }
  return true;
}
