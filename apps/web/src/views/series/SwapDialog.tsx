import { give } from '@urbild/core';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { MixInfluence, Series } from '../../api/client';
import { useReferencesById, useSearch } from '../../api/references';
import { useCast, useLooks } from '../../api/sheets';
import type { SeriesActs, SourceKind } from '../../api/series';
import { Button } from '../../parts/Button';
import { DialogFrame } from '../../parts/DialogFrame';
import type { Lookup } from '../../shared/mix/lookup';

interface Choice {
  readonly of: SourceKind;
  readonly id: string;
  readonly name: string;
  readonly first?: string;
}

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
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const { parts, factors } = give(influence.gives);
  const identity = parts.length > 0 && factors.identity === 1;
  const kind = identity
    ? influence.gives === 'face'
      ? 'face'
      : 'character'
    : influence.gives === 'look'
      ? 'style'
      : '';
  const { data: found } = useSearch(
    new URLSearchParams([
      ...(kind ? [['kind', kind]] : []),
      ...(text.trim() ? [['words', text.trim()]] : []),
    ]).toString(),
  );
  const fits = (name: string) => name.toLowerCase().includes(text.trim().toLowerCase());
  const sheets: Choice[] = identity
    ? (cast ?? []).map((c) => ({ of: 'character', id: c.id, name: c.name, first: c.items[0]?.referenceId }))
    : (looks ?? []).map((l) => ({ of: 'look', id: l.id, name: l.name, first: l.items[0]?.referenceId }));
  const ids = (found?.ids ?? []).slice(0, 40);
  const pictures = useReferencesById([...ids, ...sheets.flatMap((s) => s.first ?? [])]);
  const choices: Choice[] = [
    ...sheets.filter((s) => fits(s.name)),
    ...ids.flatMap((id): Choice[] => {
      const r = pictures.get(id);
      return r ? [{ of: 'reference', id, name: r.title, first: id }] : [];
    }),
  ].filter((c) => c.id !== influence.referenceId);
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
      <ul aria-label="What can come instead" className="grid min-h-0 grid-cols-6 gap-2 overflow-y-auto p-1">
        {choices.map((c) => (
          <li key={`${c.of} ${c.id}`}>
            <button
              type="button"
              aria-pressed={chosen?.id === c.id}
              onClick={() => setChosen(c)}
              className={`block w-full text-left outline-offset-2 ${chosen?.id === c.id ? 'outline-2 outline-cinnabar' : ''}`}
            >
              {c.first && pictures.get(c.first) && (
                <img
                  src={pictures.get(c.first)!.thumbnailUrl}
                  alt=""
                  className="aspect-[4/3] w-full rounded object-cover"
                />
              )}
              <span className="block truncate text-sm">
                {c.of === 'reference' ? c.name : <strong>{c.name}</strong>}
              </span>
            </button>
          </li>
        ))}
      </ul>
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
