import { PATTERNS } from '@urbild/core';
import { Lock, LockOpen } from 'lucide-react';
import type { Trait } from '../../api/sheets';
import { Slider } from '../../shared/forms/Slider';

interface Props {
  readonly traits: readonly Trait[];
  readonly corrected: readonly Trait[];
  readonly onCorrect: (corrected: Trait[]) => void;
}

const CHOICES: Readonly<Record<string, readonly string[]>> = {
  'hair style': ['bald', 'short', 'tousled', 'bowl', 'curly', 'tied', 'long', 'plait', 'two plaits'],
  'hair length': ['none', 'short', 'long'],
  headwear: ['none', 'straw hat', 'beret', 'knit cap', 'flat cap', 'hat'],
  beard: ['no', 'yes'],
  glasses: ['no', 'yes'],
  pattern: ['plain', ...PATTERNS],
  build: ['thin', 'usual', 'round'],
};

/** What was measured of a character, as swatches and words; what is set by hand stays, whatever pictures come. */
export function TraitList({ traits, corrected, onCorrect }: Props) {
  if (!traits.length) return <p className="text-sm text-muted">No traits were read yet.</p>;
  const set = (trait: Trait) => onCorrect([...corrected.filter((t) => t.name !== trait.name), trait]);
  const free = (name: Trait['name']) => onCorrect(corrected.filter((t) => t.name !== name));
  const drawn = traits.filter(isDrawnOtherwise);
  return (
    <section>
      <h2 className="mb-1 text-sm font-semibold text-muted">Traits</h2>
      <Rows traits={traits.filter((t) => !isDrawnOtherwise(t))} {...{ set, free }} />
      {drawn.length > 0 && (
        <details className="border-t border-line pt-1">
          <summary className="cursor-pointer text-sm text-muted">
            The face in numbers: set by hand they go before its form
          </summary>
          <Rows traits={drawn} {...{ set, free }} />
        </details>
      )}
    </section>
  );
}

/** A number of a face that is drawn by its contours. */
const isDrawnOtherwise = (t: Trait): boolean => t.number !== undefined && t.confidence === undefined && !t.locked;

interface RowsProps {
  readonly traits: readonly Trait[];
  readonly set: (trait: Trait) => void;
  readonly free: (name: Trait['name']) => void;
}

const Rows = ({ traits, set, free }: RowsProps) => (
  <ul className="flex flex-col">
    {traits.map((t) => (
      <li key={t.name} className="flex items-center gap-2 border-t border-line py-1">
        <span className="w-28 text-sm text-muted">{t.name}</span>
        <span className="flex min-w-0 flex-1 items-center gap-2">
          <Value trait={t} onSet={set} />
        </span>
        <span className="figures w-9 text-right text-sm text-muted" title="how sure the reading is">
          {t.locked || t.confidence === undefined ? '' : `${Math.round(t.confidence * 100)} %`}
        </span>
        <button
          type="button"
          aria-pressed={!!t.locked}
          aria-label={t.locked ? `Let ${t.name} be read from the pictures again` : `Hold ${t.name} as it is`}
          className={`grid size-6 place-items-center rounded ${t.locked ? 'text-signal' : 'text-muted hover:text-ink'}`}
          onClick={() => (t.locked ? free(t.name) : set(t))}
        >
          {t.locked ? <Lock size={14} aria-hidden /> : <LockOpen size={14} aria-hidden />}
        </button>
      </li>
    ))}
  </ul>
);

function Value({ trait: t, onSet }: { trait: Trait; onSet: (trait: Trait) => void }) {
  if (t.colour)
    return (
      <>
        <input
          key={t.colour}
          type="color"
          aria-label={t.name}
          defaultValue={t.colour}
          className="h-6 w-9"
          onBlur={(e) => e.target.value !== t.colour && onSet({ name: t.name, colour: e.target.value })}
        />
        <span className="truncate">{t.word}</span>
      </>
    );
  if (t.number !== undefined)
    return (
      <Slider
        label={t.name}
        min={0}
        max={2}
        step={0.05}
        value={t.number}
        tone="bg-character"
        className="min-w-0 flex-1"
        onSave={(number) => onSet({ name: t.name, number })}
      />
    );
  const choices = CHOICES[t.name] ?? [t.choice ?? ''];
  return (
    <select
      aria-label={t.name}
      value={t.choice}
      onChange={(e) => onSet({ name: t.name, choice: e.target.value })}
      className="min-w-0 flex-1 rounded border border-transparent bg-transparent hover:border-line"
    >
      {choices.map((c) => (
        <option key={c}>{c}</option>
      ))}
    </select>
  );
}
