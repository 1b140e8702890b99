import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { arrivalText, evenly } from '@urbild/core';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { api, ask, type Series, type Take } from '../../api/client';
import { useProgress } from '../../api/events';
import { useAdopt, type Strip } from '../../api/trials';
import { Button } from '../../parts/Button';
import { DialogFrame } from '../../parts/DialogFrame';
import { useNotice } from '../../parts/notices';
import type { Lookup } from '../../shared/mix/lookup';

const STEPS = 5;

/** Steps one weight over several shots at once: each column is a small series with one weight. */
export function TuneDialog({
  series,
  shotIds,
  lookup,
  onClose,
}: {
  series: Series;
  shotIds: readonly string[];
  lookup: Lookup;
  onClose: () => void;
}) {
  const [influence, setInfluence] = useState(series.influences[0]?.id ?? '');
  const adopt = useAdopt(series.mixId);
  const { strips, make } = useTuning(series, shotIds, influence);
  const strip = strips?.find((s) => s.axes[0]?.influence === influence);
  const shots = series.shots.filter((s) => shotIds.includes(s.id));
  const chosen = series.influences.find((i) => i.id === influence);
  const use = (weight: number) =>
    void adopt(
      {
        ...strip!.state,
        influences: strip!.state.influences.map((i) => (i.id === influence ? { ...i, weight } : i)),
      },
      `${chosen ? lookup.name(chosen as never) : 'It'} weighs ${weight.toFixed(2)} in the whole series now`,
    ).then((done) => done && onClose());
  return (
    <DialogFrame
      className="fixed inset-6 z-50 flex flex-col overflow-hidden rounded-2xl bg-paper shadow-2xl"
      onClose={onClose}
    >
      <div className="flex flex-wrap items-center gap-3 p-4">
        <Dialog.Title className="font-title text-xl">Tune a weight over {shots.length} shots</Dialog.Title>
        <select
          aria-label="Whose weight"
          value={influence}
          onChange={(e) => setInfluence(e.target.value)}
          className="rounded-lg border border-line bg-card px-2 py-1"
        >
          {series.influences.map((i) => (
            <option key={i.id} value={i.id}>
              {lookup.name(i as never)}
            </option>
          ))}
        </select>
        <Button
          look="main"
          disabled={make.isPending || !shots.length || shots.length > 6}
          onClick={() => make.mutate()}
        >
          Draw {STEPS * shots.length} drafts
        </Button>
        {shots.length > 6 && <span className="text-sm text-muted">Choose at most six shots.</span>}
        <Button className="ml-auto" onClick={onClose}>
          Close
        </Button>
      </div>
      {strip?.shots ? (
        <Table strip={strip} influence={influence} onUse={use} />
      ) : (
        <p className="grid flex-1 place-content-center bg-booth text-caption">
          Each column will be these shots with one weight: judge it where it matters.
        </p>
      )}
    </DialogFrame>
  );
}

/** The strips over a series, and how one more is made. */
function useTuning(series: Series, shotIds: readonly string[], influence: string) {
  const client = useQueryClient();
  const tell = useNotice();
  const key = ['strips', 'series', series.id];
  const { data: strips } = useQuery({
    queryKey: key,
    queryFn: () => ask(api.GET('/api/v1/strips/of-series/{seriesId}', { params: { path: { seriesId: series.id } } })),
  });
  const make = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/v1/strips', {
          body: {
            mixId: series.mixId,
            seriesId: series.id,
            shotIds: [...shotIds],
            axes: [{ setting: 'weight', influence, values: evenly(0.2, 1.4, STEPS) }],
          },
        }),
      ),
    onSuccess: (made) => client.setQueryData<Strip[]>(key, (all) => [made, ...(all ?? [])]),
    onError: (e) => tell(e.message, { grave: true }),
  });
  return { strips, make };
}

function Table({ strip, influence, onUse }: { strip: Strip; influence: string; onUse: (weight: number) => void }) {
  const { shots = [] } = strip;
  const { values } = strip.axes[0];
  const cell = (column: number, row: number): Take | undefined => strip.cells[column * shots.length + row];
  const mean = (column: number) => {
    const all = shots.flatMap((_, row) => {
      const value = cell(column, row)?.arrivals.find((a) => a.influenceId === influence)?.overall;
      return value === undefined ? [] : [Math.max(0, value)];
    });
    return all.length ? all.reduce((a, b) => a + b, 0) / all.length : undefined;
  };
  return (
    <div className="min-h-0 flex-1 overflow-auto bg-booth p-4">
      <table className="w-full border-separate border-spacing-2 text-caption">
        <thead>
          <tr>
            <th scope="col" className="sr-only">
              shot
            </th>
            {values.map((v, column) => (
              <th key={column} scope="col" className="text-left align-bottom">
                <span className="figures text-lg font-semibold">{Number(v).toFixed(2)}</span>{' '}
                <span className="text-sm font-normal">
                  {mean(column) === undefined ? '' : `arrives: ${arrivalText(mean(column))}`}
                </span>
                <Button className="ml-2 text-sm text-ink" onClick={() => onUse(Number(v))}>
                  Use it
                </Button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shots.map((shot, row) => (
            <tr key={shot.id}>
              <th scope="row" className="w-24 text-left align-top text-sm font-normal">
                {shot.title}
              </th>
              {values.map((v, column) => (
                <td key={column}>
                  <Cell take={cell(column, row)} alt={`${shot.title} at ${v}`} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Cell({ take, alt }: { take: Take | undefined; alt: string }) {
  const progress = useProgress(take?.id);
  const picture = take?.pictureUrl ?? progress?.preview;
  return picture ? (
    <img src={picture} alt={alt} className="w-full" />
  ) : (
    <span className="grid aspect-[3/2] place-content-center bg-black/20 text-sm">{take?.error ?? 'queued'}</span>
  );
}
