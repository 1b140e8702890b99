import { arrivalText } from '@urbild/core';
import type { MixInfluence } from '../../../api/client';
import { useProgress } from '../../../api/events';
import type { Solve } from '../../../api/trials';
import { Button } from '../../../parts/Button';
import { HUES } from '../../../theme/kinds';
import { percent } from '../../forms/figures';
import type { Lookup } from '../lookup';

interface Props {
  readonly solve: Solve;
  readonly influences: readonly MixInfluence[];
  readonly lookup: Lookup;
  readonly onStop: () => void;
  readonly onAdopt: (weights: ReadonlyMap<string, number>) => void;
}

/** The drafts of a search as they come, what it came to, and its end adopted. */
export function SolvePath({ solve, influences, lookup, onStop, onAdopt }: Props) {
  const running = solve.status === 'running';
  const best = solve.path[solve.best ?? solve.path.length - 1];
  return (
    <>
      <p role="status" data-testid="solve-state" data-status={solve.status} className="pb-2">
        {sentence(solve)}
      </p>
      <ul className="grid min-h-0 flex-1 auto-rows-min grid-cols-3 gap-3 overflow-auto">
        {solve.path.map((trial, k) => (
          <li key={k} className={trial === best && !running ? 'outline-3 outline-offset-2 outline-caption' : ''}>
            <Trial trial={trial} number={k + 1} lookup={lookup} influences={influences} />
          </li>
        ))}
      </ul>
      <div className="flex gap-2 pt-3">
        {running && <Button onClick={onStop}>Stop</Button>}
        {best && !running && (
          <Button look="main" onClick={() => onAdopt(new Map(best.weights.map((w) => [w.influence, w.weight])))}>
            {solve.status === 'met' ? 'Adopt these weights' : 'Adopt the nearest'}
          </Button>
        )}
      </div>
    </>
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
              {w.weight.toFixed(2)} <span className="w-12 text-right font-semibold">{arrivalText(w.arrival)}</span>
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
