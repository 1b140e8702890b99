import { useQueries } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';
import { COMPARE_MODES, CompareModes, ComparePictures } from '../../parts/ComparePictures';
import { EmptyState } from '../../parts/EmptyState';
import { useTitle } from '../../parts/useTitle';
import { useSources } from '../../shared/mix/useSources';
import { Differences, letterOf } from './Differences';

const MOST = 12;

/** Takes against each other, under one zoom: which take, how, and which one is marked stand in the address. */
export function CompareView() {
  const [search, setSearch] = useSearchParams();
  const ids = (search.get('takes') ?? '').split(',').filter(Boolean).slice(0, MOST);
  const mode = COMPARE_MODES.find((m) => m === search.get('mode')) ?? 'beside';
  const { takes, pending } = useTakes(ids);
  const lookup = useSources(takes.flatMap((t) => t.influences));
  useTitle('Compare');
  const set = (key: string, value: string) =>
    setSearch((b) => new URLSearchParams([...[...b].filter(([k]) => k !== key), [key, value]]), { replace: true });
  if (pending && ids.length) return <div className="skeleton h-full" aria-label="The takes are being opened" />;
  if (!takes.length) return <NothingToCompare />;
  const chosen = takes.find((t) => t.id === search.get('marked')) ?? takes[takes.length - 1];
  return (
    <div className="parts grid h-full grid-cols-[minmax(0,1fr)_304px]">
      <section aria-label="Compared takes" data-main="Compared takes" className="flex min-h-0 flex-col bg-booth">
        <div className="min-h-0 flex-1 px-4 pt-4">
          <ComparePictures
            mode={mode}
            pictures={takes.map((t, k) => ({
              url: t.pictureUrl,
              label: `${letterOf(k)} · ${t.quality}, seed ${t.seed}`,
              alt: t.prompt,
              aspect: t.width / t.height,
            }))}
          />
        </div>
        <div className="flex items-center gap-3 px-4 py-2 text-caption">
          <CompareModes mode={mode} onMode={(m) => set('mode', m)} />
          {takes.length > 2 && mode !== 'beside' && <span className="text-sm">A and B are compared</span>}
        </div>
      </section>
      <Differences takes={takes} chosen={chosen} lookup={lookup} onChoose={(id) => set('marked', id)} />
    </div>
  );
}

const useTakes = (ids: readonly string[]) =>
  useQueries({
    queries: ids.map((id) => ({
      queryKey: keys.take(id),
      queryFn: () => ask(api.GET('/api/v1/takes/{id}', { params: { path: { id } } })),
    })),
    combine: (results) => ({
      takes: results.flatMap((r) => r.data ?? []),
      pending: results.some((r) => r.isPending),
    }),
  });

function NothingToCompare() {
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
}
