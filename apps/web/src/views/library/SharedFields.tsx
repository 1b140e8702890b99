import { Heart } from 'lucide-react';
import { useState } from 'react';
import type { Reference } from '../../api/client';
import { useChangeMany } from '../../api/references';
import { KindSign } from '../../parts/KindSign';
import { Stroke } from '../../parts/PencilMarks';
import { KINDS } from '../../theme/kinds';

interface Props {
  readonly ids: readonly string[];
  readonly references: readonly Reference[];
}

/** The kind of one picture or of many. */
export function KindChoice({ ids, references }: Props) {
  const change = useChangeMany();
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold text-muted">Kind</legend>
      <div className="grid grid-cols-2 gap-1.5">
        {KINDS.map((k) => {
          const chosen = references.every((r) => r.kind === k.kind);
          return (
            <button
              key={k.kind}
              type="button"
              aria-pressed={chosen}
              title={`${k.hint} (${k.name[0].toUpperCase()})`}
              onClick={() => change.mutate({ ids, change: { kind: k.kind } })}
              className={`flex items-center gap-2 rounded-lg border px-2 py-1 ${chosen ? 'border-ink bg-card font-semibold' : 'border-line hover:border-edge'}`}
            >
              <KindSign kind={k.kind} /> {k.name}
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}

/** Rating and favourite. */
export function Marks({ ids, references }: Props) {
  const change = useChangeMany();
  const rating = references.every((r) => r.rating === references[0].rating) ? references[0].rating : 0;
  const favourite = references.every((r) => r.favourite);
  return (
    <div className="flex items-center gap-1" role="group" aria-label="Rating, by the digits 0 to 5">
      {[1, 2, 3, 4, 5].map((n) => (
        <button
          key={n}
          type="button"
          aria-label={`${n} of 5`}
          aria-pressed={rating === n}
          onClick={() => change.mutate({ ids, change: { rating: rating === n ? 0 : n } })}
          className="rounded px-[7px] py-0.5 hover:bg-shade"
        >
          <Stroke nth={n} size={20} faint={n > rating} />
        </button>
      ))}
      <button
        type="button"
        aria-pressed={favourite}
        aria-label="Favourite"
        onClick={() => change.mutate({ ids, change: { favourite: !favourite } })}
        className={`ml-auto rounded border p-1 ${favourite ? 'border-cinnabar text-signal' : 'border-line text-muted hover:border-edge'}`}
      >
        <Heart size={16} fill={favourite ? 'currentColor' : 'none'} aria-hidden />
      </button>
    </div>
  );
}

const RIGHTS = ['own work', 'licensed', 'supplied by client', 'personal use only', 'not cleared'] as const;

/** Whose the pictures are and what may be done with them. */
export function RightsForm({ ids, references }: Props) {
  const change = useChangeMany();
  const first = references[0].rights;
  const same = references.every((r) => JSON.stringify(r.rights) === JSON.stringify(first));
  const rights = same ? first : undefined;
  const save = (part: Partial<Reference['rights']>) =>
    change.mutate({
      ids,
      change: {
        rights: Object.fromEntries(
          Object.entries({ ...(rights ?? { kind: 'not cleared' as const }), ...part }).filter(([, v]) => v),
        ) as Reference['rights'],
      },
    });
  const text = (label: string, key: 'credit' | 'source') => (
    <Line key={`${key}${rights?.[key]}`} label={label} value={rights?.[key] ?? ''} onSave={(v) => save({ [key]: v })} />
  );
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="mb-1 text-sm font-semibold text-muted">Rights</legend>
      <select
        aria-label="What may be done with it"
        value={rights?.kind ?? ''}
        onChange={(e) => save({ kind: e.target.value as Reference['rights']['kind'] })}
        className="rounded-md border border-line bg-card px-2 py-1"
      >
        {!rights && <option value="">different ones</option>}
        {RIGHTS.map((r) => (
          <option key={r} value={r}>
            {r}
          </option>
        ))}
      </select>
      {rights?.kind === 'licensed' && (
        <label className="flex items-center gap-2 text-sm text-muted">
          until
          <input
            type="date"
            value={rights.until ?? ''}
            onChange={(e) => save({ until: e.target.value })}
            className="flex-1 rounded-md border border-line bg-card px-2 py-0.5 text-ink"
          />
        </label>
      )}
      {text('credit', 'credit')}
      {text('source', 'source')}
    </fieldset>
  );
}

function Line({ label, value, onSave }: { label: string; value: string; onSave: (value: string) => void }) {
  const [text, setText] = useState(value);
  return (
    <label className="flex items-center gap-2 text-sm text-muted">
      <span className="w-12">{label}</span>
      <input
        value={text}
        maxLength={400}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => text.trim() !== value && onSave(text.trim())}
        onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
        className="min-w-0 flex-1 rounded-md border border-line bg-card px-2 py-0.5 text-ink"
      />
    </label>
  );
}

/** Tags that are put on, or taken off, many pictures at once. */
export function ManyTags({ ids, references }: Props) {
  const change = useChangeMany();
  const counts = new Map<string, number>();
  for (const r of references) for (const t of r.tags) counts.set(t, (counts.get(t) ?? 0) + 1);
  return (
    <section>
      <h3 className="mb-1 text-sm font-semibold text-muted">Tags</h3>
      <div className="flex flex-wrap gap-1.5">
        {[...counts].map(([tag, n]) => (
          <button
            key={tag}
            type="button"
            title={n === references.length ? 'Take it off all of them' : 'Put it on all of them'}
            onClick={() =>
              change.mutate({ ids, change: n === references.length ? { removeTags: [tag] } : { addTags: [tag] } })
            }
            className={`rounded-full border px-2.5 py-0.5 text-sm ${n === references.length ? 'border-ink bg-card' : 'border-dashed border-edge text-muted'}`}
          >
            {tag}
          </button>
        ))}
        <input
          aria-label="New tag for all of them"
          placeholder="new tag"
          maxLength={60}
          className="w-24 rounded-full border border-dashed border-edge bg-transparent px-2.5 py-0.5 text-sm"
          onKeyDown={(e) => {
            const tag = e.currentTarget.value.trim();
            if (e.key !== 'Enter' || !tag) return;
            change.mutate({ ids, change: { addTags: [tag] } });
            e.currentTarget.value = '';
          }}
        />
      </div>
    </section>
  );
}
