import { X } from 'lucide-react';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';
import { useAct, useShelf } from '../../api/sheets';
import { Button } from '../../parts/Button';

interface Props {
  /** What would be kept now; nothing when empty. */
  readonly phrase: () => string;
  readonly onSay: (phrase: string) => void;
}

/** Phrases that the studio keeps for its prompts: kept from the words, said again with one click. */
export function KeptPhrases({ phrase, onSay }: Props) {
  const { data: shelf } = useShelf();
  const kept = shelf?.filter((s) => s.kind === 'phrase') ?? [];
  const keep = useAct(keys.shelf, (text: string) =>
    ask(api.POST('/api/v1/shelf', { body: { kind: 'phrase', name: text.slice(0, 120), text } })),
  );
  const forget = useAct(keys.shelf, (id: string) =>
    ask(api.DELETE('/api/v1/shelf/{id}', { params: { path: { id } } })),
  );
  const keepNow = () => {
    const text = phrase();
    if (text && !kept.some((k) => k.text === text)) void keep(text);
  };
  return (
    <section className="flex flex-col gap-2" aria-label="Kept phrases">
      <h3 className="font-semibold">Kept phrases</h3>
      {kept.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {kept.map((k) => (
            <li key={k.id} className="flex items-center rounded-lg border border-line bg-card">
              <button
                type="button"
                className="max-w-80 truncate rounded-l-lg px-2.5 py-1 text-left hover:bg-shade"
                title={`Say “${k.text}” too`}
                onClick={() => onSay(k.text)}
              >
                {k.name}
              </button>
              <button
                type="button"
                aria-label={`Forget the phrase ${k.name}`}
                className="grid size-7 place-items-center rounded-r-lg text-muted hover:text-ink"
                onClick={() => void forget(k.id)}
              >
                <X size={13} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="flex items-center gap-3">
        <Button onClick={keepNow}>Keep the marked words</Button>
        <span className="text-sm text-muted">All of them, where none are marked above.</span>
      </div>
    </section>
  );
}
