import { useState, type KeyboardEvent } from 'react';
import { Scale, Trash2, X } from 'lucide-react';
import type { Reference } from '../../api/client';
import { useChangeReference, useRemoveReference } from '../../api/queries';
import { Button } from '../../parts/Button';
import { KindSign } from '../../parts/KindSign';
import { KINDS } from '../../theme/kinds';
import { useWeigh } from './useWeigh';

/** What is known of the selection, and what can be done with it. */
export function Inspector({ references }: { references: readonly Reference[] }) {
  const remove = useRemoveReference();
  const weigh = useWeigh();
  if (!references.length) {
    return (
      <aside aria-label="Selection" className="border-l border-line bg-paper p-4 text-muted">
        Choose a picture to see what it holds. Enter or a double click weighs it on the bench.
      </aside>
    );
  }
  const one = references.length === 1 ? references[0] : undefined;
  return (
    <aside
      aria-label="Selection"
      className="flex min-h-0 flex-col gap-4 overflow-auto border-l border-line bg-paper p-4"
    >
      {one ? <One key={one.id} reference={one} /> : <Many references={references} />}
      <div className="mt-auto flex gap-2 pt-2">
        <Button
          look="main"
          className="flex flex-1 items-center justify-center gap-2"
          onClick={() => void weigh(references)}
        >
          <Scale size={16} aria-hidden /> Weigh on the bench
        </Button>
        <Button aria-label="Put away" onClick={() => references.forEach((r) => remove.mutate(r))}>
          <Trash2 size={16} aria-hidden />
        </Button>
      </div>
    </aside>
  );
}

function One({ reference }: { reference: Reference }) {
  const change = useChangeReference();
  const save = (fields: Parameters<typeof change.mutate>[0]['change']) => change.mutate({ reference, change: fields });
  return (
    <>
      <Editable
        label="Title"
        value={reference.title}
        className="font-title text-xl font-semibold"
        onSave={(title) => title && save({ title })}
      />
      <figure>
        <img
          src={reference.pictureUrl}
          alt={reference.title}
          className="arrive max-h-72 w-full bg-booth object-contain"
        />
        <figcaption className="figures mt-1 text-sm text-muted">
          {reference.width} × {reference.height} · {reference.format.toUpperCase()}
        </figcaption>
      </figure>
      <KindChoice references={[reference]} />
      <section>
        <h3 className="mb-1 text-sm font-semibold text-muted">Palette, as the engine reads it</h3>
        <div
          className="flex h-8 overflow-hidden rounded-md"
          role="img"
          aria-label={`Palette: ${reference.swatches.map((s) => `${Math.round(s.weight * 100)} percent ${s.colour}`).join(', ')}`}
        >
          {reference.swatches.map((s) => (
            <div key={s.colour} style={{ background: s.colour, flexGrow: s.weight }} />
          ))}
        </div>
      </section>
      <Tags tags={reference.tags} onSave={(tags) => save({ tags })} />
      <Editable label="Notes" value={reference.notes} long onSave={(notes) => save({ notes })} />
      <p className="text-sm text-muted">
        {reference.usedIn
          ? `Used in ${reference.usedIn} ${reference.usedIn === 1 ? 'mix' : 'mixes'}`
          : 'Not used in a mix yet'}{' '}
        · came {new Date(reference.createdAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' })}
      </p>
    </>
  );
}

function Many({ references }: { references: readonly Reference[] }) {
  return (
    <>
      <h2 className="font-title text-xl font-semibold">{references.length} pictures</h2>
      <div className="grid grid-cols-4 gap-1">
        {references.slice(0, 16).map((r) => (
          <img key={r.id} src={r.thumbnailUrl} alt={r.title} className="aspect-square w-full object-cover" />
        ))}
      </div>
      <KindChoice references={references} />
    </>
  );
}

function KindChoice({ references }: { references: readonly Reference[] }) {
  const change = useChangeReference();
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold text-muted">It is a picture of kind</legend>
      <div className="grid grid-cols-2 gap-1.5">
        {KINDS.map((k) => {
          const chosen = references.every((r) => r.kind === k.kind);
          return (
            <button
              key={k.kind}
              type="button"
              aria-pressed={chosen}
              title={k.hint}
              onClick={() => references.forEach((reference) => change.mutate({ reference, change: { kind: k.kind } }))}
              className={`flex items-center gap-2 rounded-lg border px-2 py-1.5 ${chosen ? 'border-ink bg-card font-semibold' : 'border-line hover:border-edge'}`}
            >
              <KindSign kind={k.kind} /> {k.name}
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}

function Editable({
  label,
  value,
  long = false,
  className = '',
  onSave,
}: {
  label: string;
  value: string;
  long?: boolean;
  className?: string;
  onSave: (value: string) => void;
}) {
  const [text, setText] = useState(value);
  const save = () => text.trim() !== value && onSave(text.trim());
  const shared = {
    'aria-label': label,
    value: text,
    onBlur: save,
    className: `w-full rounded-md border border-transparent bg-transparent px-1 py-0.5 hover:border-line focus:bg-card ${className}`,
  };
  return long ? (
    <label className="block">
      <span className="mb-1 block text-sm font-semibold text-muted">{label}</span>
      <textarea
        {...shared}
        rows={3}
        maxLength={5000}
        placeholder="What to remember about it"
        className={`${shared.className} resize-none border-line`}
        onChange={(e) => setText(e.target.value)}
      />
    </label>
  ) : (
    <input
      {...shared}
      maxLength={200}
      onChange={(e) => setText(e.target.value)}
      onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
    />
  );
}

function Tags({ tags, onSave }: { tags: readonly string[]; onSave: (tags: string[]) => void }) {
  const [text, setText] = useState('');
  const onKey = (e: KeyboardEvent) => {
    if (e.key !== 'Enter' || !text.trim()) return;
    onSave([...tags, text.trim()]);
    setText('');
  };
  return (
    <section>
      <h3 className="mb-1 text-sm font-semibold text-muted">Tags</h3>
      <div className="flex flex-wrap gap-1.5">
        {tags.map((t) => (
          <span
            key={t}
            className="flex items-center gap-1 rounded-full border border-line bg-card py-0.5 pr-1 pl-2.5 text-sm"
          >
            {t}
            <button
              type="button"
              aria-label={`Remove the tag ${t}`}
              className="rounded-full p-0.5 hover:bg-shade"
              onClick={() => onSave(tags.filter((x) => x !== t))}
            >
              <X size={12} aria-hidden />
            </button>
          </span>
        ))}
        <input
          aria-label="New tag"
          placeholder="new tag"
          value={text}
          maxLength={60}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={onKey}
          className="w-24 rounded-full border border-dashed border-edge bg-transparent px-2.5 py-0.5 text-sm"
        />
      </div>
    </section>
  );
}
