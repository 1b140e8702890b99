import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { Schemas } from '@urbild/api';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';
import { useAct, type Character } from '../../api/sheets';
import { Button } from '../../parts/Button';

/** Four people of a description; nobody before it is asked for. */
type Painted = readonly Schemas['CandidateDto'][] | 'painting' | undefined;

/** Makes a character: an empty sheet for pictures, or one of four that are painted from a description. */
export function NewCharacter({
  open,
  onClose,
  onMade,
}: {
  open: boolean;
  onClose: () => void;
  onMade: (c: Character) => void;
}) {
  const [name, setName] = useState('');
  const [description, setDescription] = useState('');
  const [candidates, setCandidates] = useState<Painted>(undefined);
  const create = useAct(keys.cast, (named: string) =>
    ask(api.POST('/api/v1/cast', { body: { name: named, description } })),
  );
  const paint = useAct(keys.cast, () => ask(api.POST('/api/v1/cast/candidates', { body: { description } })));
  const pick = useAct(keys.cast, (hash: string) =>
    ask(api.POST('/api/v1/cast/pick', { body: { hash, name, description } })),
  );
  const done = (made: Character | undefined) => {
    if (!made) return;
    setName('');
    setDescription('');
    setCandidates(undefined);
    onMade(made);
  };
  const field = 'w-full rounded-lg border border-line bg-card px-3 py-1.5';
  return (
    <Dialog.Root open={open} onOpenChange={(o) => !o && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-scrim/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 flex w-[min(46rem,92vw)] -translate-x-1/2 -translate-y-1/2 flex-col gap-4 rounded-2xl border border-line bg-paper p-6 shadow-2xl"
        >
          <Dialog.Title className="font-title text-2xl font-semibold">Who is it?</Dialog.Title>
          <label>
            <span className="text-sm font-semibold text-muted">Name, as prompts will say it</span>
            <input className={field} value={name} maxLength={60} onChange={(e) => setName(e.target.value)} />
          </label>
          <label>
            <span className="text-sm font-semibold text-muted">Description: age, hair, clothes, what one sees</span>
            <input
              className={field}
              value={description}
              maxLength={400}
              placeholder="an old woman with white hair in a bun, glasses and a green coat"
              onChange={(e) => setDescription(e.target.value)}
            />
          </label>
          <Candidates
            candidates={candidates}
            name={name.trim()}
            description={description}
            onPick={(hash) => void pick(hash).then(done)}
          />
          <div className="flex justify-end gap-2">
            <Button onClick={onClose}>Cancel</Button>
            <Button
              disabled={description.trim().length < 2 || candidates === 'painting'}
              onClick={() => {
                setCandidates('painting');
                void paint().then(setCandidates);
              }}
            >
              Paint four from the description
            </Button>
            <Button look="main" disabled={!name.trim()} onClick={() => void create(name.trim()).then(done)}>
              Begin with an empty sheet
            </Button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Candidates({
  candidates,
  name,
  description,
  onPick,
}: {
  candidates: Painted;
  name: string;
  description: string;
  onPick: (hash: string) => void;
}) {
  if (!candidates) return null;
  if (candidates === 'painting') return <div className="skeleton h-52" aria-label="Four people are being painted" />;
  return (
    <ul className="grid grid-cols-4 gap-3">
      {candidates.map((c, k) => (
        <li key={c.hash}>
          <button
            type="button"
            disabled={!name}
            className="block w-full hover:outline-3 hover:outline-cinnabar disabled:opacity-60"
            onClick={() => onPick(c.hash)}
          >
            <img src={c.pictureUrl} alt={`Candidate ${k + 1}: ${description}`} className="w-full" />
            <span className="block py-1 text-sm">{name ? `This is ${name}` : 'Give a name first'}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}
