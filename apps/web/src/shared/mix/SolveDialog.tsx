import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { api, ask, type MixInfluence, type Take } from '../../api/client';
import { useProgress } from '../../api/events';
import { keys } from '../../api/keys';
import { useSolves, type Solve } from '../../api/trials';
import { Button } from '../../parts/Button';
import { DialogFrame } from '../../parts/DialogFrame';
import { useNotice } from '../../parts/notices';
import { HUES } from '../../theme/kinds';
import type { Lookup } from './lookup';
import { percent } from '../forms/figures';
import { NumberField } from '../forms/NumberField';

interface Props {
  readonly mixId: string;
  readonly influences: readonly MixInfluence[];
  readonly lookup: Lookup;
  /** The take on the table: where its arrivals are, the search starts. */
  readonly take: Take | undefined;
  /** Shots of a series: the arrivals are means over all of them. */
  readonly over?: { readonly seriesId: string; readonly shotIds: readonly string[] };
  /** Saves what lies on the bench, so that the search has it. */
  readonly save: () => Promise<void>;
  readonly onAdopt: (weights: ReadonlyMap<string, number>) => void;
  readonly onClose: () => void;
}

/** Says how far every reference shall come, and lets drafts find the weights. */
export function SolveDialog({ mixId, influences, lookup, take, over, save, onAdopt, onClose }: Props) {
  const client = useQueryClient();
  const tell = useNotice();
  const able = influences.filter((i) => i.on);
  const now = (id: string) => take?.arrivals.find((a) => a.influenceId === id)?.overall;
  const [targets, setTargets] = useState<ReadonlyMap<string, number>>(
    () => new Map(able.map((i) => [i.id, Math.round(Math.max(0.1, now(i.id) ?? 0.6) * 20) / 20])),
  );
  const [asked, setAsked] = useState<ReadonlySet<string>>(() => new Set(able.slice(0, 2).map((i) => i.id)));
  const [words, setWords] = useState<number | undefined>(undefined);
  const { data: solves } = useSolves(mixId);
  const [shown, setShown] = useState<string | undefined>(undefined);
  const solve = solves?.find((s) => s.id === shown) ?? solves?.find((s) => s.status === 'running');
  const put = (one: Solve) =>
    client.setQueryData<Solve[]>(keys.solves(mixId), (all) => [one, ...(all ?? []).filter((s) => s.id !== one.id)]);
  const begin = useMutation({
    mutationFn: async () => {
      await save();
      return ask(
        api.POST('/api/v1/solves', {
          body: {
            mixId,
            targets: [...asked].map((influence) => ({ influence, arrival: targets.get(influence)! })),
            wordsKept: words,
            ...(over ? { seriesId: over.seriesId, shotIds: [...over.shotIds] } : {}),
          },
        }),
      );
    },
    onSuccess: (made) => {
      put(made);
      setShown(made.id);
    },
    onError: (e) => tell(e.message, { grave: true }),
  });
  const stop = useMutation({
    mutationFn: (id: string) => ask(api.POST('/api/v1/solves/{id}/stop', { params: { path: { id } } })),
    onSuccess: put,
    onError: (e) => tell(e.message, { grave: true }),
  });
  const running = solve?.status === 'running';
  const best = solve && (solve.best ?? solve.path.length - 1);
  return (
    <DialogFrame
      className="fixed top-1/2 left-1/2 z-50 grid max-h-[90vh] w-[62rem] max-w-[96vw] -translate-x-1/2 -translate-y-1/2 grid-cols-[18rem_minmax(0,1fr)] overflow-hidden rounded-2xl bg-paper shadow-2xl"
      onClose={onClose}
    >
      <div className="flex min-h-0 flex-col gap-3 overflow-auto p-5">
        <Dialog.Title className="font-title text-xl">Find the weights</Dialog.Title>
        <p className="text-sm text-muted">
          {over
            ? `Say how far each reference shall come in these ${over.shotIds.length} shots, on the average. At most twelve mini series of drafts look for the weights that do it.`
            : 'Say how far each reference shall come. At most twelve drafts look for the weights that do it.'}
        </p>
        {able.map((i) => (
          <div key={i.id} className="flex items-center gap-2">
            <input
              type="checkbox"
              aria-label={`${lookup.name(i)} has a target`}
              checked={asked.has(i.id)}
              onChange={() =>
                setAsked((all) => new Set(all.has(i.id) ? [...all].filter((x) => x !== i.id) : [...all, i.id]))
              }
              className="accent-ink"
            />
            <span className={`min-w-0 flex-1 truncate ${asked.has(i.id) ? '' : 'text-muted'}`}>{lookup.name(i)}</span>
            <NumberField
              label={`Target of ${lookup.name(i)} in percent`}
              value={(targets.get(i.id) ?? 0.6) * 100}
              max={100}
              step={5}
              digits={0}
              onSave={(v) => setTargets((all) => new Map(all).set(i.id, v / 100))}
              className="w-14 border border-line bg-card px-1 text-right"
            />
            %
          </div>
        ))}
        <div className="flex items-center gap-2">
          <input
            type="checkbox"
            aria-label="The words have a target"
            checked={words !== undefined}
            onChange={(e) => setWords(e.target.checked ? 0.5 : undefined)}
            className="accent-ink"
          />
          <span className={`flex-1 ${words === undefined ? 'text-muted' : ''}`}>at least of the words</span>
          <NumberField
            label="Least of the words in percent"
            value={(words ?? 0.5) * 100}
            max={100}
            step={5}
            digits={0}
            onSave={(v) => setWords(v / 100)}
            className="w-14 border border-line bg-card px-1 text-right"
          />
          %
        </div>
        <div className="mt-auto flex flex-col gap-2 pt-3">
          <Button look="main" disabled={!asked.size || running || begin.isPending} onClick={() => begin.mutate()}>
            Search
          </Button>
          <Dialog.Close className="rounded-lg border border-line bg-card px-3 py-1.5 font-semibold">Close</Dialog.Close>
        </div>
      </div>
      <div className="flex min-h-[26rem] min-w-0 flex-col bg-booth p-4 text-white">
        {solve ? (
          <>
            <p role="status" data-testid="solve-state" data-status={solve.status} className="pb-2">
              {sentence(solve)}
            </p>
            <ul className="grid min-h-0 flex-1 auto-rows-min grid-cols-3 gap-3 overflow-auto">
              {solve.path.map((trial, k) => (
                <li key={k} className={k === best && !running ? 'outline-3 outline-offset-2 outline-white' : ''}>
                  <Trial trial={trial} number={k + 1} lookup={lookup} influences={influences} />
                </li>
              ))}
            </ul>
            <div className="flex gap-2 pt-3">
              {running && <Button onClick={() => stop.mutate(solve.id)}>Stop</Button>}
              {best !== undefined && best >= 0 && !running && (
                <Button
                  look="main"
                  onClick={() => {
                    onAdopt(new Map(solve.path[best].weights.map((w) => [w.influence, w.weight])));
                    onClose();
                  }}
                >
                  {solve.status === 'met' ? 'Adopt these weights' : 'Adopt the nearest'}
                </Button>
              )}
            </div>
          </>
        ) : (
          <p className="m-auto max-w-sm text-center">
            The drafts of the search appear here, each with its weights and what arrived.
          </p>
        )}
      </div>
    </DialogFrame>
  );
}

function sentence({ status, path, reason }: Solve): string {
  if (status === 'running')
    return path.length ? `Draft ${path.length + 1} is being rendered.` : 'The first draft is being rendered.';
  if (status === 'met') return `The targets are met: ${reason}.`;
  if (status === 'cannot') return `These targets cannot be met together: ${reason}.`;
  return status === 'stopped' ? `The search was ${reason}.` : `The search failed: ${reason}`;
}

function Trial({
  trial,
  number,
  lookup,
  influences,
}: {
  trial: Solve['path'][number];
  number: number;
  lookup: Lookup;
  influences: readonly MixInfluence[];
}) {
  const progress = useProgress(trial.take?.id);
  const picture = trial.take?.thumbnailUrl ?? progress?.preview;
  return (
    <figure>
      <div className="bg-black/20" style={{ aspectRatio: trial.take ? trial.take.width / trial.take.height : 1.5 }}>
        {picture && <img src={picture} alt={`Draft ${number}`} className="h-full w-full" />}
      </div>
      <figcaption className="figures text-sm">
        {trial.weights.map((w) => {
          const i = influences.find((one) => one.id === w.influence);
          return (
            <span key={w.influence} className="flex items-center gap-1.5">
              <span
                aria-hidden
                className="size-2 rounded-full border border-white"
                style={{ background: i ? HUES[lookup.hue(i)] : undefined }}
              />
              <span className="min-w-0 flex-1 truncate">{i ? lookup.name(i) : ''}</span>
              {w.weight.toFixed(2)} <span className="w-12 text-right font-semibold">{percent(w.arrival)}</span>
            </span>
          );
        })}
        <span className="flex justify-between">
          <span>words kept</span>
          <span className="font-semibold">{percent(trial.wordsKept)}</span>
        </span>
      </figcaption>
    </figure>
  );
}
