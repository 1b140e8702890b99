import { differences } from '@urbild/core';
import { useQueries } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';
import { COMPARE_MODES, CompareModes, ComparePictures, type CompareMode } from '../../parts/ComparePictures';
import { EmptyState } from '../../parts/EmptyState';
import { percent } from '../../shared/forms/figures';
import { useSources } from '../../shared/mix/useSources';
import { TakeMarks } from '../../shared/pictures/TakeMarks';
import { useTitle } from '../../parts/useTitle';

const MOST = 12;

/** Takes against each other, under one zoom: which take, how, and which one is marked stand in the address. */
export function CompareView() {
  const [search, setSearch] = useSearchParams();
  const ids = (search.get('takes') ?? '').split(',').filter(Boolean).slice(0, MOST);
  const mode = COMPARE_MODES.find((m) => m === search.get('mode')) ?? 'beside';
  const { takes, pending } = useQueries({
    queries: ids.map((id) => ({
      queryKey: keys.take(id),
      queryFn: () => ask(api.GET('/api/v1/takes/{id}', { params: { path: { id } } })),
    })),
    combine: (results) => ({
      takes: results.flatMap((r) => r.data ?? []),
      pending: results.some((r) => r.isPending),
    }),
  });
  const lookup = useSources(takes.flatMap((t) => t.influences));
  useTitle('Compare');
  const set = (key: string, value: string) =>
    setSearch((b) => new URLSearchParams([...[...b].filter(([k]) => k !== key), [key, value]]), { replace: true });
  if (pending && ids.length) return <div className="skeleton h-full" aria-label="The takes are being opened" />;
  if (!takes.length)
    return (
      <EmptyState
        whole
        title="Nothing to compare"
        action={
          <Link to="/bench" className="underline">
            To the bench
          </Link>
        }
      >
        Choose two or more takes in the strip of the light table with Shift or Ctrl, then compare them.
      </EmptyState>
    );
  const chosen = takes.find((t) => t.id === search.get('marked')) ?? takes[takes.length - 1];
  const other = takes.find((t) => t.id !== chosen.id);
  const changed = other ? differences(other, chosen, lookup.name) : [];
  const name = (k: number) => String.fromCharCode(65 + k);
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_304px]">
      <section aria-label="Compared takes" className="flex min-h-0 flex-col bg-booth">
        <div className="min-h-0 flex-1 px-4 pt-4">
          <ComparePictures
            mode={mode}
            pictures={takes.map((t, k) => ({
              url: t.pictureUrl,
              label: `${name(k)} · ${t.quality}, seed ${t.seed}`,
              alt: t.prompt,
              aspect: t.width / t.height,
            }))}
          />
        </div>
        <div className="flex items-center gap-3 px-4 py-2 text-white">
          <CompareModes mode={mode} onMode={(m: CompareMode) => set('mode', m)} />
          {takes.length > 2 && mode !== 'beside' && <span className="text-sm">A and B are compared</span>}
        </div>
      </section>
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
          <h1 className="font-title text-lg font-semibold">{takes.length} takes</h1>
        </div>
        <div role="tablist" aria-label="Take" className="flex flex-wrap gap-1">
          {takes.map((t, k) => (
            <button
              key={t.id}
              type="button"
              role="tab"
              aria-selected={t.id === chosen.id}
              onClick={() => set('marked', t.id)}
              className={`rounded-lg border px-3 py-1 font-semibold ${t.id === chosen.id ? 'border-ink bg-ink text-paper' : 'border-line bg-card'}`}
            >
              {name(k)}
            </button>
          ))}
        </div>
        <TakeMarks key={chosen.id} take={chosen} />
        <section className="flex flex-col gap-1">
          <h2 className="text-sm font-semibold text-muted">What arrived</h2>
          {chosen.arrivals.map((a) => {
            const i = chosen.influences.find((one) => one.id === a.influenceId);
            return (
              i && (
                <div key={a.influenceId} className="flex justify-between gap-2">
                  <span className="truncate">{lookup.name(i)}</span>
                  <span className="figures">{a.overall === undefined ? 'not measured' : percent(a.overall)}</span>
                </div>
              )
            );
          })}
          {chosen.wordsKept !== undefined && (
            <div className="flex justify-between gap-2">
              <span>words kept</span>
              <span className="figures">{percent(chosen.wordsKept)}</span>
            </div>
          )}
        </section>
        {other && (
          <section>
            <h2 className="text-sm font-semibold text-muted">
              From {name(takes.indexOf(other))} to {name(takes.indexOf(chosen))}
            </h2>
            <ul>{changed.length ? changed.map((c) => <li key={c}>{c}</li>) : <li>nothing but the size</li>}</ul>
          </section>
        )}
        <Link to={`/takes/${chosen.id}`} className="mt-auto underline underline-offset-2">
          Open this take
        </Link>
      </aside>
    </div>
  );
}
