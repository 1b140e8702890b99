import { Plus } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { Kind } from '../../api/client';
import { useReferencesById, useSearch } from '../../api/references';
import { Button } from '../../parts/Button';

const SHOWN = 120;

/** Chooses pictures of the library for a look or a model sheet. */
export function AddPictures({
  have,
  kind,
  label = 'Add pictures',
  onAdd,
}: {
  have: readonly string[];
  kind: Kind;
  label?: string;
  onAdd: (ids: string[]) => void;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button className="flex items-center gap-1.5">
          <Plus size={16} aria-hidden /> {label}
        </Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-scrim/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 flex h-[82vh] w-[min(64rem,92vw)] -translate-x-1/2 -translate-y-1/2 flex-col rounded-2xl border border-line bg-paper shadow-2xl"
        >
          <Picker
            have={have}
            kind={kind}
            onAdd={(ids) => {
              onAdd(ids);
              setOpen(false);
            }}
          />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Picker({ have, kind, onAdd }: { have: readonly string[]; kind: Kind; onAdd: (ids: string[]) => void }) {
  const [words, setWords] = useState('');
  const [all, setAll] = useState(false);
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const query = new URLSearchParams({ ...(words ? { words } : {}), ...(all ? {} : { kind }) }).toString();
  const { data: found } = useSearch(query);
  const ids = (found?.ids ?? []).filter((id) => !have.includes(id)).slice(0, SHOWN);
  const references = useReferencesById(ids);
  return (
    <>
      <header className="flex items-center gap-3 border-b border-line px-5 py-3">
        <Dialog.Title className="font-title text-xl font-semibold">Add pictures</Dialog.Title>
        <input
          aria-label="Find by words"
          placeholder="find by words"
          value={words}
          onChange={(e) => setWords(e.target.value)}
          className="flex-1 rounded-lg border border-line bg-card px-3 py-1.5"
        />
        <label className="flex items-center gap-1.5 text-sm">
          <input type="checkbox" checked={all} onChange={(e) => setAll(e.target.checked)} className="accent-ink" />
          of all kinds
        </label>
        <Button look="main" disabled={!chosen.length} onClick={() => onAdd([...chosen])}>
          Add {chosen.length || ''}
        </Button>
      </header>
      <ul className="grid min-h-0 flex-1 grid-cols-[repeat(auto-fill,minmax(150px,1fr))] content-start gap-2 overflow-auto bg-booth p-3">
        {ids.map((id) => {
          const r = references.get(id);
          return (
            <li key={id}>
              <button
                type="button"
                aria-pressed={chosen.includes(id)}
                aria-label={r?.title ?? 'A picture'}
                onClick={() => setChosen(chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id])}
                className={`block h-28 w-full overflow-hidden bg-shade ${chosen.includes(id) ? 'outline-3 outline-offset-2 outline-cinnabar' : ''}`}
              >
                {r && <img src={r.thumbnailUrl} alt="" className="h-full w-full object-cover" />}
              </button>
            </li>
          );
        })}
      </ul>
    </>
  );
}
