/** Undoes something; may answer with how to do it again. */
export type Undo = () => Promise<Undo | void>;

const done: Undo[] = [];
const undone: Undo[] = [];
const KEPT = 100;

/** Notes how the last change in the library is undone. */
export function remember(undo: Undo): void {
  done.push(undo);
  if (done.length > KEPT) done.shift();
  undone.length = 0;
}

/** Takes the last change off the list, for one that goes further. */
export function forgetLast(): void {
  done.pop();
}

/** Undoes the last change (or does it again); false when there is none. */
export async function stepBack(redo = false): Promise<boolean> {
  const [from, to] = redo ? [undone, done] : [done, undone];
  const act = from.pop();
  if (!act) return false;
  const inverse = await act();
  if (inverse) to.push(inverse);
  return true;
}
