import { CircleQuestionMark } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { doableNow, saysAll, type Doable } from '../shared/keys/doable';
import { useKeys } from '../shared/keys/useKeys';
import { FindAct } from './FindAct';

const SHORTCUTS: readonly (readonly [keys: string, does: string])[] = [
  ['?', 'this page'],
  ['arrows', 'library: go from picture to picture; bench: move the edge or weight that has the focus'],
  ['Shift + arrows', 'library: select a range; bench: move in fine steps'],
  ['Delete', 'library: archive the selection; bench: remove the influence'],
  ['Enter', 'library: weigh the selection on the bench; tray: add the picture to the course'],
  ['Shift + Enter', 'tray: start from the picture; it can be dropped on the table as well'],
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
  ['D, S, Delete', 'series: duplicate the shot, skip it, remove it'],
  ['space, arrows, B', 'sequence: play and stop, frame by frame, hold all by this frame'],
  ['space, E, [ ]', 'mask: paint with the arrows while space is held; eraser; smaller and larger brush'],
];

/** What can be done now, found by typing, and all shortcuts; under the key "?". */
export function ShortcutsDialog() {
  const [doable, setDoable] = useState<readonly Doable[]>();
  const [typed, setTyped] = useState('');
  const chosen = useRef<Doable>(undefined);
  const trigger = useRef<HTMLButtonElement>(null);
  const open = () => {
    chosen.current = undefined;
    setTyped('');
    // the page as it is before this window lies over it
    setDoable(doableNow(document.body).filter(({ element }) => element !== trigger.current));
  };
  useKeys(({ key }) => {
    if (key === '?') open();
    return key === '?';
  });
  const choose = (act: Doable) => {
    chosen.current = act;
    setDoable(undefined);
  };
  const shortcuts = SHORTCUTS.filter(([key, does]) => saysAll(`${key} ${does}`, typed));
  return (
    <Dialog.Root open={!!doable} onOpenChange={(to) => (to ? open() : setDoable(undefined))}>
      <Dialog.Trigger ref={trigger} aria-label="Shortcuts" className="rounded-full p-1 text-muted hover:text-ink">
        <CircleQuestionMark size={18} aria-hidden />
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-scrim/40" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={(e) => {
            const act = chosen.current;
            if (!act?.element.isConnected) return;
            e.preventDefault();
            act.element.focus();
            if (act.pressed) act.element.click();
          }}
          className="fixed top-1/2 left-1/2 z-50 flex h-[92vh] w-[44rem] -translate-x-1/2 -translate-y-1/2 flex-col rounded-2xl bg-card p-6 shadow-2xl"
        >
          <Dialog.Title className="mb-3 font-title text-2xl">What you can do here</Dialog.Title>
          <FindAct acts={doable ?? []} typed={typed} onType={setTyped} onChoose={choose} />
          {shortcuts.length > 0 && (
            <section aria-label="Shortcuts" className="mt-4 min-h-0 flex-1 overflow-auto border-t border-line pt-3">
              <h2 className="mb-2 font-semibold">Keys</h2>
              <dl className="grid grid-cols-[11rem_1fr] gap-x-4 gap-y-2">
                {shortcuts.map(([key, does]) => (
                  <div key={does} className="contents">
                    <dt className="font-semibold">{key}</dt>
                    <dd>{does}</dd>
                  </div>
                ))}
              </dl>
            </section>
          )}
          <div className="mt-4 flex items-center gap-4">
            <Dialog.Close className="rounded-lg border border-line px-3 py-1.5 font-semibold">Close</Dialog.Close>
            <Dialog.Close asChild>
              <Link to="/first" className="underline underline-offset-2">
                Your first picture, step by step
              </Link>
            </Dialog.Close>
            <Dialog.Close asChild>
              <Link to="/bench?tour=on" className="underline underline-offset-2">
                What the bench shows, part by part
              </Link>
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
