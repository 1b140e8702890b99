import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { api, ask, type Mix, type Series } from '../../api/client';
import { keys } from '../../api/keys';
import { useMixes, useSeries, useStudio } from '../../api/queries';
import { Button } from '../../parts/Button';
import { EmptyState } from '../../parts/EmptyState';
import { KindSign } from '../../parts/KindSign';
import { useNotice } from '../../parts/notices';
import type { Lookup } from '../bench/influences';
import { useSources } from '../bench/useSources';
import { DriftChart } from './DriftChart';
import { ShotColumn } from './ShotColumn';
import { ShotSheet } from './ShotSheet';

/** A series as a contact sheet: the drift chart stands exactly above the shots that it measures. */
export function SeriesView() {
  const { seriesId } = useParams();
  const { data: all, isPending } = useSeries();
  const { data: mixes } = useMixes();
  const { data: studio } = useStudio();
  const begin = useBegin();
  const series = all?.find((s) => s.id === seriesId) ?? all?.[0];
  const lookup = useSources(mixes?.find((m) => m.id === series?.mixId)?.influences ?? []);
  if (isPending) return <div className="skeleton h-full" aria-label="The series is being opened" />;
  if (!series) {
    const drawing = studio && studio.demo.done < studio.demo.total;
    return (
      <EmptyState
        title={drawing ? 'The demo studio is being drawn' : 'No series yet'}
        action={
          mixes?.length ? (
            <Button look="main" onClick={() => begin(mixes[0])}>
              Begin a series over “{mixes[0].name}”
            </Button>
          ) : undefined
        }
      >
        {drawing
          ? `${studio.demo.done} of ${studio.demo.total} pictures are ready; the demo series comes with the first of them.`
          : 'A series is a list of shots, a prompt each, over one mix: one look and one identity for all of them.'}
      </EmptyState>
    );
  }
  return <Sheet key={series.id} series={series} mix={mixes?.find((m) => m.id === series.mixId)} lookup={lookup} />;
}

function useBegin() {
  const client = useQueryClient();
  const tell = useNotice();
  const go = useNavigate();
  return (mix: Mix) =>
    void ask(
      api.POST('/api/v1/series', {
        body: { name: 'New series', mixId: mix.id, shots: [{ title: 'First shot', prompt: mix.prompt }] },
      }),
    )
      .then(async (series) => {
        await client.invalidateQueries({ queryKey: keys.series });
        await go(`/series/${series.id}`);
      })
      .catch((e: Error) => tell(e.message, { grave: true }));
}

function Sheet({ series, mix, lookup }: { series: Series; mix: Mix | undefined; lookup: Lookup }) {
  const client = useQueryClient();
  const tell = useNotice();
  const [search, setSearch] = useSearchParams();
  const chosen = series.shots.find((s) => s.id === search.get('shot')) ?? series.shots[0];
  const stale = series.shots.filter((s) => !s.current).length;
  const render = useMutation({
    mutationFn: () => ask(api.POST('/api/v1/series/{id}/render', { params: { path: { id: series.id } }, body: {} })),
    onSuccess: () => void client.invalidateQueries({ queryKey: keys.series }),
    onError: (e) => tell(e.message, { grave: true }),
  });
  const addShot = () =>
    void ask(
      api.POST('/api/v1/series/{id}/shots', {
        params: { path: { id: series.id } },
        body: { title: `Shot ${series.shots.length + 1}`, prompt: mix?.prompt ?? '' },
      }),
    )
      .then((s) => client.setQueryData<Series[]>(keys.series, (all) => all?.map((x) => (x.id === s.id ? s : x))))
      .catch((e: Error) => tell(e.message, { grave: true }));
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if ((e.ctrlKey || e.metaKey) && e.key === 'Enter') render.mutate();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  const choose = (id: string) => setSearch({ shot: id }, { replace: true });
  return (
    <div className="grid h-full grid-rows-[auto_auto_minmax(0,1fr)]">
      <header className="flex flex-wrap items-center gap-3 px-4 py-3">
        <h1 className="font-title text-2xl font-semibold">{series.name}</h1>
        {mix?.influences.map((i) => (
          <Link
            key={i.id}
            to={`/bench/${mix.id}`}
            className={`flex items-center gap-2 rounded-lg border border-line bg-card py-1 pr-3 pl-1 ${i.on ? '' : 'opacity-50'}`}
          >
            {lookup.source(i)?.thumbnailUrl && (
              <img src={lookup.source(i)!.thumbnailUrl} alt="" className="size-6 rounded object-cover" />
            )}
            <KindSign kind={lookup.hue(i)} size={14} />
            <span>{lookup.name(i)}</span>
            <span className="figures font-semibold">{i.weight.toFixed(2)}</span>
          </Link>
        ))}
        <div className="ml-auto flex gap-2">
          <Button onClick={addShot}>Add a shot</Button>
          <Button look="main" onClick={() => render.mutate()} disabled={!stale || render.isPending}>
            {stale ? `Render what changed (${stale})` : 'All shots are up to date'}
          </Button>
        </div>
      </header>
      <DriftChart series={series} mix={mix} lookup={lookup} />
      <div className="flex min-h-0 flex-col bg-booth">
        <ul
          aria-label="Shots"
          className="grid min-h-0 flex-1 gap-3 overflow-auto p-4"
          style={{ gridTemplateColumns: `repeat(${Math.max(1, series.shots.length)}, minmax(9rem, 1fr))` }}
        >
          {series.shots.map((shot, k) => (
            <ShotColumn
              key={shot.id}
              shot={shot}
              number={k + 1}
              chosen={shot.id === chosen?.id}
              onChoose={() => choose(shot.id)}
            />
          ))}
        </ul>
        {chosen && <ShotSheet key={`${chosen.id}${chosen.version}`} shot={chosen} lookup={lookup} />}
      </div>
    </div>
  );
}
