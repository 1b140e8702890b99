import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import { readShots, type NewShot } from '../../api/series';
import { Button } from '../../parts/Button';
import { DialogFrame } from '../../parts/DialogFrame';

/** Shots from a text: a prompt a line, or a table with a head line. What would be made of it is shown first. */
export function PasteDialog({
  onAdd,
  onClose,
}: {
  onAdd: (shots: NewShot[]) => Promise<unknown>;
  onClose: () => void;
}) {
  const { text, shots, fault, read } = useReadShots();
  return (
    <DialogFrame
      className="fixed top-1/2 left-1/2 z-50 flex max-h-[90vh] w-[54rem] max-w-[96vw] -translate-x-1/2 -translate-y-1/2 flex-col gap-3 rounded-2xl bg-paper p-5 shadow-2xl"
      onClose={onClose}
    >
      <Dialog.Title className="font-title text-xl">Add shots</Dialog.Title>
      <div className="grid min-h-0 grid-cols-2 gap-4">
        <div className="flex flex-col gap-2">
          <textarea
            autoFocus
            aria-label="Shots as text"
            rows={14}
            value={text}
            onChange={(e) => read(e.target.value)}
            placeholder={
              'a young woman walking in the harbour at noon\nThe bag is full: she waves from the pier\n\nor a table: title, prompt, seed, notes'
            }
            className="resize-none rounded-lg border border-line bg-card px-2.5 py-2"
          />
          <label className="text-sm">
            or a file:{' '}
            <input
              type="file"
              accept=".txt,.csv,.tsv,text/plain,text/csv"
              aria-label="A file of shots"
              onChange={(e) => void e.target.files?.[0]?.text().then(read)}
            />
          </label>
        </div>
        <MadeOfIt shots={shots} fault={fault} />
      </div>
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>Close</Button>
        <Button
          look="main"
          disabled={!shots.length || !!fault}
          onClick={() => void onAdd([...shots]).then((done) => done && onClose())}
        >
          {shots.length ? `Add ${shots.length} ${shots.length === 1 ? 'shot' : 'shots'}` : 'Add shots'}
        </Button>
      </div>
    </DialogFrame>
  );
}

/** A text and the shots that it holds; the answer to an older text is left aside. */
function useReadShots() {
  const [text, setText] = useState('');
  const [shots, setShots] = useState<readonly NewShot[]>([]);
  const [fault, setFault] = useState('');
  const asked = useRef(0);
  const read = (next: string) => {
    setText(next);
    const mine = ++asked.current;
    if (!next.trim()) {
      setShots([]);
      setFault('');
      return;
    }
    readShots(next)
      .then((found) => {
        if (mine !== asked.current) return;
        setShots(found);
        setFault('');
      })
      .catch((e: Error) => {
        if (mine === asked.current) setFault(e.message);
      });
  };
  return { text, shots, fault, read };
}

function MadeOfIt({ shots, fault }: { shots: readonly NewShot[]; fault: string }) {
  return (
    <ol aria-label="What is made of it" className="min-h-0 overflow-y-auto text-sm">
      {fault ? (
        <li role="alert" className="border-l-3 border-cinnabar bg-blush p-3">
          {fault}
        </li>
      ) : shots.length ? (
        shots.map((s, k) => (
          <li key={k} className="border-b border-line py-1.5">
            <strong>
              {k + 1} {s.title}
            </strong>
            <br />
            {s.prompt}
          </li>
        ))
      ) : (
        <li className="text-muted">A prompt a line becomes a shot each; “Title: prompt” gives it a name.</li>
      )}
    </ol>
  );
}
