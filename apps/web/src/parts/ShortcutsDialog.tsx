import { CircleQuestionMark } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useKeys } from '../shared/keys/useKeys';

const SHORTCUTS: readonly (readonly [keys: string, does: string])[] = [
  ['?', 'this page'],
  ['arrows', 'library: go from picture to picture; bench: move the edge or weight that has the focus'],
  ['Shift + arrows', 'library: select a range; bench: move in fine steps'],
  ['Delete', 'library: put the selection away; bench: take the influence out'],
  ['Enter', 'library: weigh the selection on the bench; tray: add the picture to the course'],
  ['Ctrl + Enter', 'bench: render a proof; series: render what changed'],
  ['Ctrl + Z, Ctrl + Shift + Z', 'library and bench: undo, redo'],
  ['Space', 'library: the picture as large as the window; arrows go on'],
  ['0 ... 5, H', 'library: rate the selection, mark it as favourite'],
  ['S, C, F, I', 'library: the selection is a style, character, face or image'],
  ['Ctrl + A', 'library: choose everything that is found'],
  ['W, E, L', 'bench, on an influence: the whole course, early, late'],
  ['O, S', 'bench, on an influence: off and on; alone, and with the others again'],
  ['Alt + up, down', 'bench, on an influence: to another place in the course'],
  ['C', 'bench: lay the control over the take while the key is held'],
  ['K, X, 0 ... 5', 'a take: keeper, rejected, rating'],
  ['Shift + click', 'bench, strip of takes: choose several to compare'],
  ['+, -, 0, arrows', 'compared pictures: zoom and move all of them together'],
  ['arrows', 'test strip: go from cell to cell'],
  ['arrows, + and -', 'series: from shot to shot, up and down through its takes, closer and farther'],
  ['Alt + left, right', 'series: the shot to another place'],
  ['D, S, Delete', 'series: duplicate the shot, skip it, take it out'],
  ['space, arrows, B', 'sequence: play and stop, frame by frame, hold all by this frame'],
  ['space, E, [ ]', 'mask: paint with the arrows while space is held; eraser; smaller and larger brush'],
];

/** All shortcuts, under the key "?". */
export function ShortcutsDialog() {
  const [open, setOpen] = useState(false);
  useKeys(({ key }) => {
    if (key === '?') setOpen(true);
    return key === '?';
  });
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger aria-label="Shortcuts" className="rounded-full p-1 text-muted hover:text-ink">
        <CircleQuestionMark size={18} aria-hidden />
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 max-h-[94vh] w-[44rem] overflow-auto -translate-x-1/2 -translate-y-1/2 rounded-2xl bg-card p-6 shadow-2xl"
        >
          <Dialog.Title className="mb-4 font-title text-2xl">Shortcuts</Dialog.Title>
          <dl className="grid grid-cols-[11rem_1fr] gap-x-4 gap-y-2">
            {SHORTCUTS.map(([key, does]) => (
              <div key={does} className="contents">
                <dt className="font-semibold">{key}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="mt-5 rounded-lg border border-line px-3 py-1.5 font-semibold">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
