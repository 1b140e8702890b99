import { useCallback, useMemo, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import type { Mix, Series, SeriesSummary, ShotTake } from '../../api/client';
import { useMixes, useStudio } from '../../api/queries';
import {
  useAllSeries,
  useConsistency,
  useMarkShotTake,
  useNewSeries,
  useSeries,
  useSeriesActs,
} from '../../api/series';
import { Button } from '../../parts/Button';
import { EmptyState } from '../../parts/EmptyState';
import { useSources } from '../../shared/mix/useSources';
import { ContactSheet } from './ContactSheet';
import { DriftLegend } from './DriftChart';
import { KeepersSheet } from './KeepersSheet';
import { PasteDialog } from './PasteDialog';
import { SeriesHeader } from './SeriesHeader';
import { fallOf, filtered, FILTERS, lead, ZOOMS, type Filter, type Zoom } from './shots';
import { ShotDetail } from './ShotDetail';
import { SolveOver } from './SolveOver';
import { SwapDialog } from './SwapDialog';
import { SwapView } from './SwapView';
import { TuneDialog } from './TuneDialog';
import { useSeriesKeys } from './useSeriesKeys';
import { useTitle } from '../../parts/useTitle';

/** A series as a contact sheet: the drift chart stands exactly above the shots that it measures. */
export function SeriesView() {
  const { seriesId } = useParams();
  const { data: all, isPending } = useAllSeries();
  const { data: mixes } = useMixes();
  const { data: studio } = useStudio();
  const begin = useNewSeries();
  const go = useNavigate();
  // the series of the address is asked for at once, beside the list of all
  const id = all && !all.some((s) => s.id === seriesId) ? all[0]?.id : seriesId;
  const { data: series } = useSeries(id);
  useTitle('Series', series?.name);
  const start = (mix: Mix) => {
    const { prompt, settings } = mix;
    const shots = prompt.trim() ? [{ title: 'First shot', prompt, seed: settings.seed }] : undefined;
    begin.mutate({ name: 'New series', mixId: mix.id, shots }, { onSuccess: (s) => void go(`/series/${s.id}`) });
  };
  if ((isPending && !series) || (id && !series))
    return <div className="skeleton h-full" role="status" aria-label="The series is being opened" />;
  if (!series) {
    const drawing = studio && studio.demo.done < studio.demo.total;
    return (
      <EmptyState
        whole
        title={drawing ? 'The demo studio is being drawn' : 'No series yet'}
        action={
          mixes?.length ? (
            <Button look="main" onClick={() => start(mixes[0])}>
              Begin a series over “{mixes[0].name}”
            </Button>
          ) : undefined
        }
      >
        {drawing
          ? `${studio.demo.done} of ${studio.demo.total} steps are done; the demo series comes last.`
          : 'A series is a list of shots, a prompt each, over one mix: one look and one identity for all of them.'}
      </EmptyState>
    );
  }
  return (
    <Sheet
      key={series.id}
      series={series}
      all={all ?? []}
      onNew={() => {
        const mix = mixes?.find((m) => m.id === series.mixId);
        if (mix) start(mix);
      }}
    />
  );
}

const NAMES: Readonly<Record<Zoom, string>> = { sheet: 'All', row: 'One row', shot: 'One shot', keepers: 'As a sheet' };

function Sheet({ series, all, onNew }: { series: Series; all: readonly SeriesSummary[]; onNew: () => void }) {
  const [search, setSearch] = useSearchParams();
  const acts = useSeriesActs(series);
  const lookup = useSources([...series.influences, ...series.shots.flatMap((s) => s.own.added)] as never);
  const { data: consistency } = useConsistency(series.id);
  const { mutate: markTake } = useMarkShotTake(series.id);
  const [dialog, setDialog] = useState<'paste' | 'tune' | 'solve' | { readonly swap: string } | undefined>(undefined);
  const set = useCallback(
    (fields: Readonly<Record<string, string | undefined>>) =>
      setSearch(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [k, v] of Object.entries(fields)) {
            if (v) next.set(k, v);
            else next.delete(k);
          }
          return next;
        },
        { replace: true },
      ),
    [setSearch],
  );
  const few = series.shots.length <= 14;
  const zoom = ZOOMS.find((z) => z === search.get('zoom')) ?? (few ? 'row' : 'sheet');
  const filter = FILTERS.find((f) => f === search.get('show')) ?? 'all';
  const shots = useMemo(() => filtered(series.shots, filter, consistency), [series.shots, filter, consistency]);
  const chosen = shots.find((s) => s.id === search.get('shot')) ?? shots[0];
  const take =
    chosen?.takes.find((t) => t.id === search.get('take') && (!t.trial || t.trial.kept)) ?? (chosen && lead(chosen));
  const picked = useMemo(
    () => new Set((search.get('picked') ?? '').split(',').filter((id) => series.shots.some((s) => s.id === id))),
    [search, series.shots],
  );
  const swap = series.shots.flatMap((s) => s.takes).find((t) => t.trial?.kind === 'swap' && !t.trial.kept)
    ?.trial?.batch;
  const mark = (one: ShotTake, marks: Parameters<typeof markTake>[0]['marks']) => markTake({ take: one, marks });
  const chosenId = chosen?.id;
  const choose = useCallback(
    (id: string, e?: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => {
      const next = new Set(picked.size ? picked : chosenId ? [chosenId] : []);
      if (e?.shiftKey && chosenId) {
        const [a, b] = [shots.findIndex((s) => s.id === chosenId), shots.findIndex((s) => s.id === id)].sort(
          (x, y) => x - y,
        );
        shots.slice(a, b + 1).forEach((s) => next.add(s.id));
      } else if (e?.ctrlKey || e?.metaKey) {
        if (next.has(id)) next.delete(id);
        else next.add(id);
      } else next.clear();
      set({ shot: id, take: undefined, picked: [...next].join(',') });
    },
    [chosenId, picked, set, shots],
  );
  const open = useCallback((id: string) => set({ shot: id, zoom: 'shot', take: undefined }), [set]);
  const setZoom = (z: Zoom) => set({ zoom: z });
  useSeriesKeys({
    series,
    shots,
    chosen,
    take,
    zoom,
    acts,
    choose,
    chooseTake: (id) => set({ take: id }),
    setZoom,
    mark,
  });
  const counts = (f: Filter) => (f === 'all' ? series.shots.length : filtered(series.shots, f, consistency).length);
  const detail = chosen && (
    <ShotDetail
      seriesId={series.id}
      shot={chosen}
      number={series.shots.indexOf(chosen) + 1}
      fall={fallOf(chosen, consistency)}
      influences={series.influences as never}
      lookup={lookup}
      acts={acts}
      take={take}
      onTake={(id) => set({ take: id })}
      onMark={mark}
    />
  );
  return (
    <div className="flex h-full min-h-0 flex-col">
      <SeriesHeader
        series={series}
        all={all}
        consistency={consistency}
        lookup={lookup}
        acts={acts}
        picked={[...picked]}
        onPaste={() => setDialog('paste')}
        onSwap={(id) => setDialog({ swap: id })}
        onTune={() => setDialog('tune')}
        onSolve={() => setDialog('solve')}
        onNew={onNew}
      />
      {swap ? (
        <SwapView series={series} batch={swap} acts={acts} />
      ) : (
        <>
          <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-1.5">
            <DriftLegend influences={series.influences as never} lookup={lookup} />
            <div className="ml-auto flex items-center gap-3">
              <label className="flex items-center gap-1.5 text-sm">
                Show
                <select
                  value={filter}
                  onChange={(e) => set({ show: e.target.value === 'all' ? undefined : e.target.value })}
                  className="rounded-lg border border-line bg-card px-1.5 py-1"
                >
                  {FILTERS.map((f) => (
                    <option key={f} value={f}>
                      {f} ({counts(f)})
                    </option>
                  ))}
                </select>
              </label>
              <div
                role="radiogroup"
                aria-label="How close"
                className="flex overflow-hidden rounded-lg border border-line"
              >
                {ZOOMS.map((z) => (
                  <button
                    key={z}
                    type="button"
                    role="radio"
                    aria-checked={zoom === z}
                    onClick={() => setZoom(z)}
                    className={`px-2.5 py-1 text-sm ${zoom === z ? 'bg-ink text-paper' : 'bg-card hover:bg-shade'}`}
                  >
                    {NAMES[z]}
                  </button>
                ))}
              </div>
            </div>
          </div>
          {zoom === 'keepers' ? (
            <KeepersSheet series={series} onOpen={open} />
          ) : !series.shots.length ? (
            <EmptyState
              title="No shots yet"
              action={
                <Button look="main" onClick={() => setDialog('paste')}>
                  Add shots
                </Button>
              }
            >
              Paste your prompts, a line each: every line becomes a shot over this mix.
            </EmptyState>
          ) : !shots.length ? (
            <EmptyState
              title="No such shot"
              action={<Button onClick={() => set({ show: undefined })}>Show all</Button>}
            >
              None of the {series.shots.length} shots is in this state.
            </EmptyState>
          ) : (
            <>
              {zoom !== 'shot' && (
                <div className={zoom === 'sheet' ? 'min-h-0 flex-1' : ''}>
                  <ContactSheet
                    shots={shots}
                    all={series.shots}
                    influences={series.influences as never}
                    consistency={consistency}
                    lookup={lookup}
                    zoom={zoom}
                    chosen={chosen?.id}
                    picked={picked}
                    onChoose={choose}
                    onOpen={open}
                    onMove={(id, to) => {
                      const shot = series.shots.find((s) => s.id === id);
                      if (shot)
                        void acts.moveShot(
                          shot,
                          series.shots.findIndex((s) => s.id === to),
                        );
                    }}
                  />
                </div>
              )}
              {zoom !== 'sheet' && detail}
            </>
          )}
        </>
      )}
      {dialog === 'paste' && <PasteDialog onAdd={acts.addShots} onClose={() => setDialog(undefined)} />}
      {dialog === 'tune' && (
        <TuneDialog series={series} shotIds={[...picked]} lookup={lookup} onClose={() => setDialog(undefined)} />
      )}
      {dialog === 'solve' && (
        <SolveOver series={series} shotIds={[...picked]} lookup={lookup} onClose={() => setDialog(undefined)} />
      )}
      {typeof dialog === 'object' && (
        <SwapDialog
          series={series}
          influence={series.influences.find((i) => i.id === dialog.swap)! as never}
          lookup={lookup}
          acts={acts}
          onClose={() => setDialog(undefined)}
        />
      )}
    </div>
  );
}
