import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { MixInfluence, Series } from '../../api/client';
import type { SeriesActs } from '../../api/seriesActs';
import { Button } from '../../parts/Button';
import { DialogFrame } from '../../parts/DialogFrame';
import type { Lookup } from '../../shared/mix/lookup';
import { useSwapChoices, type Choice } from './useSwapChoices';

/** Chooses what an influence of the whole series comes from instead; it is tried on drafts first. */
export function SwapDialog({
  series,
  influence,
  lookup,
  acts,
  onClose,
}: {
  series: Series;
  influence: MixInfluence;
  lookup: Lookup;
  acts: SeriesActs;
  onClose: () => void;
}) {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<Choice | undefined>(undefined);
  const choices = useSwapChoices(influence, text);
  return (
    <DialogFrame
      className="fixed top-1/2 left-1/2 z-50 flex max-h-[90vh] w-[50rem] max-w-[96vw] -translate-x-1/2 -translate-y-1/2 flex-col gap-3 rounded-2xl bg-paper p-5 shadow-2xl"
      onClose={onClose}
    >
      <Dialog.Title className="font-title text-xl">Hold everything, swap {lookup.name(influence)}</Dialog.Title>
      <p className="text-sm text-muted">
        Words, seeds, weights and layouts of all {series.shots.length} shots stay; only what “{influence.gives}” comes
        from changes. Drafts show it first, nothing is replaced until you keep it.
      </p>
      <input
        autoFocus
        aria-label="Find what comes instead"
        placeholder="find what comes instead"
        value={text}
        onChange={(e) => setText(e.target.value)}
        className="rounded-lg border border-line bg-card px-2.5 py-1.5"
      />
      <Choices choices={choices} chosen={chosen} onChoose={setChosen} />
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>Close</Button>
        <Button
          look="main"
          disabled={!chosen}
          onClick={() =>
            void acts
              .trySwap({ influence: influence.id, of: chosen!.of, referenceId: chosen!.id, quality: 'draft' })
              .then((done) => done && onClose())
          }
        >
          {chosen ? `Try ${chosen.name} on drafts` : 'Try it on drafts'}
        </Button>
      </div>
    </DialogFrame>
  );
}

function Choices(props: {
  choices: readonly Choice[];
  chosen: Choice | undefined;
  onChoose: (choice: Choice) => void;
}) {
  return (
    <ul aria-label="What can come instead" className="grid min-h-0 grid-cols-6 gap-2 overflow-y-auto p-1">
      {props.choices.map((c) => (
        <li key={`${c.of} ${c.id}`}>
          <button
            type="button"
            aria-pressed={props.chosen?.id === c.id}
            onClick={() => props.onChoose(c)}
            className={`block w-full text-left outline-offset-2 ${props.chosen?.id === c.id ? 'outline-2 outline-cinnabar' : ''}`}
          >
            {c.picture && (
              <img src={c.picture.thumbnailUrl} alt="" className="aspect-[4/3] w-full rounded object-cover" />
            )}
            <span className="block truncate text-sm">{c.of === 'reference' ? c.name : <strong>{c.name}</strong>}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}
