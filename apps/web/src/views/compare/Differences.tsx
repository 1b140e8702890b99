import { arrivalText, differences } from '@urbild/core';
import { Link } from 'react-router';
import type { Take } from '../../api/client';
import { percent } from '../../shared/forms/figures';
import type { Lookup } from '../../shared/mix/lookup';
import { TakeMarks } from '../../shared/pictures/TakeMarks';

/** The letter by which a take is called beside the others. */
export const letterOf = (k: number): string => String.fromCharCode(65 + k);

interface Props {
  readonly takes: readonly Take[];
  readonly chosen: Take;
  readonly lookup: Lookup;
  readonly onChoose: (id: string) => void;
}

/** One of the compared takes: its marks, what arrived, and what it has otherwise than another. */
export function Differences({ takes, chosen, lookup, onChoose }: Props) {
  const other = takes.find((t) => t.id !== chosen.id);
  const name = (take: Take) => letterOf(takes.indexOf(take));
  const changed = other ? differences(other, chosen, lookup.name) : [];
  return (
    <aside
      aria-label="Differences"
      className="flex min-h-0 flex-col gap-4 overflow-auto border-l border-line bg-paper p-4"
    >
      <div>
        {chosen.mixId && (
          <Link to={`/bench/${chosen.mixId}`} className="text-sm text-muted underline underline-offset-2">
            Back to the bench
          </Link>
        )}
        <h1 className="font-title text-lg font-semibold">
          {takes.length === 1 ? 'One take' : `${takes.length} takes`}
        </h1>
      </div>
      <div role="tablist" aria-label="Take" className="flex flex-wrap gap-1">
        {takes.map((t) => (
          <button
            key={t.id}
            type="button"
            role="tab"
            aria-selected={t.id === chosen.id}
            onClick={() => onChoose(t.id)}
            className={`rounded-lg border px-3 py-1 font-semibold ${t.id === chosen.id ? 'border-ink bg-ink text-paper' : 'border-line bg-card'}`}
          >
            {name(t)}
          </button>
        ))}
      </div>
      <TakeMarks key={chosen.id} take={chosen} />
      <Arrived take={chosen} lookup={lookup} />
      {other && (
        <section>
          <h2 className="text-sm font-semibold text-muted">
            From {name(other)} to {name(chosen)}
          </h2>
          <ul>{changed.length ? changed.map((c) => <li key={c}>{c}</li>) : <li>nothing but the size</li>}</ul>
        </section>
      )}
      <Link to={`/takes/${chosen.id}`} className="mt-auto underline underline-offset-2">
        Open this take
      </Link>
    </aside>
  );
}

function Arrived({ take, lookup }: { take: Take; lookup: Lookup }) {
  return (
    <section className="flex flex-col gap-1">
      <h2 className="text-sm font-semibold text-muted">Arrival</h2>
      {take.arrivals.map(({ influenceId, overall }) => {
        const influence = take.influences.find((one) => one.id === influenceId);
        return influence && <Figure key={influenceId} name={lookup.name(influence)} value={arrivalText(overall)} />;
      })}
      {take.wordsKept !== undefined && <Figure name="words kept" value={percent(take.wordsKept)} />}
    </section>
  );
}

const Figure = ({ name, value }: { name: string; value: string }) => (
  <div className="flex justify-between gap-2">
    <span className="truncate">{name}</span>
    <span className="figures">{value}</span>
  </div>
);
