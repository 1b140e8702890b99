import { Redo2, Undo2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useMayHere } from '../../api/projects';
import { Button } from '../../parts/Button';
import type { BenchMix } from './useBenchMix';

interface Props {
  readonly bench: BenchMix;
  readonly busy: boolean;
  /** A draft follows every change. */
  readonly follows: boolean;
  readonly onFollows: (on: boolean) => void;
  readonly onRender: (count: number) => void;
}

/** The foot of the bench: the main action, undo and redo. */
export function RenderFoot({ bench, busy, follows, onFollows, onRender }: Props) {
  const [count, setCount] = useState(1);
  const empty = !bench.mix.prompt.trim();
  const edits = useMayHere('edit');
  if (!edits) return <OnlyLooking />;
  return (
    <div className="flex flex-col gap-2 border-t border-line bg-paper p-3.5 pt-2.5">
      <div className="flex gap-1.5">
        <Button
          look="main"
          aria-keyshortcuts="Control+Enter"
          onClick={() => onRender(count)}
          disabled={empty || busy}
          className="flex-1 py-2.5"
        >
          {count > 1 ? `Render ${count} proofs` : 'Render a proof'}
        </Button>
        <select
          aria-label="How many proofs"
          value={count}
          onChange={(e) => setCount(Number(e.target.value))}
          className="figures w-12 rounded-lg border border-line bg-card text-center"
        >
          {[1, 2, 3, 4, 6, 8].map((n) => (
            <option key={n} value={n}>
              {n} ×
            </option>
          ))}
        </select>
      </div>
      <div className="flex items-center gap-1 text-sm text-muted">
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={follows}
            onChange={(e) => onFollows(e.target.checked)}
            className="accent-ink"
          />
          Live draft
        </label>
        <span aria-live="polite" className="ml-auto">
          {bench.problem ? 'not saved' : bench.dirty ? 'saving' : 'saved'}
        </span>
        <Step label="Undo" keys="Control+Z" onStep={bench.canUndo ? bench.undo : undefined}>
          <Undo2 size={16} aria-hidden />
        </Step>
        <Step label="Redo" keys="Control+Shift+Z" onStep={bench.canRedo ? bench.redo : undefined}>
          <Redo2 size={16} aria-hidden />
        </Step>
      </div>
    </div>
  );
}

/** What stands at the foot for whoever may look at a mix and not change it. */
const OnlyLooking = () => (
  <p className="border-t border-line bg-paper p-3.5 text-muted">
    You may look at this mix, and not change or render it. An owner of the studio can let you.
  </p>
);

/** A step back or forth; off while there is none. */
function Step(props: { label: string; keys: string; onStep: (() => void) | undefined; children: ReactNode }) {
  return (
    <button
      type="button"
      aria-label={props.label}
      aria-keyshortcuts={props.keys}
      disabled={!props.onStep}
      onClick={props.onStep}
      className="rounded p-1 enabled:hover:text-ink disabled:opacity-40"
    >
      {props.children}
    </button>
  );
}
