import type { MixInfluence } from '../../api/client';
import { percent } from '../../shared/forms/figures';
import type { Lookup } from '../../shared/mix/lookup';

interface Props {
  /** What the strip tries. */
  readonly title: string;
  readonly influences: readonly MixInfluence[];
  readonly lookup: Lookup;
  /** What is best by: `balanced`, `words` or the id of an influence. */
  readonly text: string;
  readonly onBest: (by: string) => void;
  /** The best cell by that, with its score 0..1. */
  readonly best: { readonly label: string; readonly score: number } | undefined;
}

/** What a strip tries, and which of its cells is marked as the best. */
export function StripFoot({ title, influences, lookup, text, onBest, best }: Props) {
  return (
    <div className="flex flex-wrap items-center gap-x-2 border-t border-line bg-paper px-4 py-1.5 text-sm">
      <span className="font-semibold first-letter:uppercase">{title}</span>
      <label className="ml-auto flex items-center gap-2 text-muted">
        marked as best:
        <select
          value={text}
          onChange={(e) => onBest(e.target.value)}
          className="max-w-80 rounded border border-line bg-card px-1 py-0.5 text-ink"
        >
          <option value="balanced">where references and words are best together</option>
          <option value="words">where most words are kept</option>
          {influences.map((i) => (
            <option key={i.id} value={i.id}>
              where {lookup.name(i)} arrives furthest
            </option>
          ))}
        </select>
      </label>
      {best && (
        <span className="figures">
          {best.label}: {percent(best.score)}
        </span>
      )}
    </div>
  );
}
