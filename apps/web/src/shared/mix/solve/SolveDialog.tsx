import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { MixInfluence, Take } from '../../../api/client';
import { Button } from '../../../parts/Button';
import { DialogFrame } from '../../../parts/DialogFrame';
import type { Lookup } from '../lookup';
import { SolvePath } from './SolvePath';
import { Target } from './Target';
import { useSolve } from './useSolve';

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
  const able = influences.filter((i) => i.on);
  const { solve, begin, stop } = useSolve(mixId, save);
  const [targets, setTargets] = useState<ReadonlyMap<string, number>>(
    () => new Map(able.map((i) => [i.id, startOf(take?.arrivals.find((a) => a.influenceId === i.id)?.overall)])),
  );
  const [asked, setAsked] = useState<ReadonlySet<string>>(() => new Set(able.slice(0, 2).map((i) => i.id)));
  const [words, setWords] = useState<number | undefined>(undefined);
  const search = () =>
    begin.mutate({
      targets: [...asked].map((influence) => ({ influence, arrival: targets.get(influence)! })),
      wordsKept: words,
      ...(over ? { seriesId: over.seriesId, shotIds: [...over.shotIds] } : {}),
    });
  const ask = (id: string, on: boolean) =>
    setAsked((all) => new Set(on ? [...all, id] : [...all].filter((one) => one !== id)));
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
          <Target
            key={i.id}
            name={lookup.name(i)}
            labels={{ box: `${lookup.name(i)} has a target`, field: `Target of ${lookup.name(i)} in percent` }}
            asked={asked.has(i.id)}
            value={targets.get(i.id) ?? USUAL}
            onAsk={(on) => ask(i.id, on)}
            onValue={(v) => setTargets((all) => new Map(all).set(i.id, v))}
          />
        ))}
        <Target
          name="words kept, at least"
          labels={{ box: 'The prompt has a target', field: 'Words kept, at least, in percent' }}
          asked={words !== undefined}
          value={words ?? 0.5}
          onAsk={(on) => setWords(on ? 0.5 : undefined)}
          onValue={setWords}
        />
        <div className="mt-auto flex flex-col gap-2 pt-3">
          <Button look="main" disabled={!asked.size || solve?.status === 'running' || begin.isPending} onClick={search}>
            Search
          </Button>
          <Dialog.Close className="rounded-lg border border-line bg-card px-3 py-1.5 font-semibold">Close</Dialog.Close>
        </div>
      </div>
      <div className="flex min-h-[26rem] min-w-0 flex-col bg-booth p-4 text-caption">
        {solve ? (
          <SolvePath
            {...{ solve, influences, lookup }}
            onStop={() => stop.mutate(solve.id)}
            onAdopt={(weights) => {
              onAdopt(weights);
              onClose();
            }}
          />
        ) : (
          <p className="m-auto max-w-sm text-center">
            The drafts of the search appear here, each with its weights and its arrival.
          </p>
        )}
      </div>
    </DialogFrame>
  );
}

/** The target of a reference that has none yet, 0..1. */
const USUAL = 0.6;

/** Where a search begins: at what arrived, in steps of 5 %, and never at nothing. */
const startOf = (arrived: number | undefined): number => Math.round(Math.max(0.1, arrived ?? USUAL) * 20) / 20;
