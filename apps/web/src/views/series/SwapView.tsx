import type { Series, ShotTake } from '../../api/client';
import { useProgress } from '../../api/events';
import { useConsistency } from '../../api/series';
import type { SeriesActs } from '../../api/seriesActs';
import { Button } from '../../parts/Button';
import { percent } from '../../shared/forms/figures';
import { lead } from './shots';

/** A swap that is tried: before and after of all shots, side by side, with how far the layouts were held. */
export function SwapView({ series, batch, acts }: { series: Series; batch: string; acts: SeriesActs }) {
  const pairs = series.shots.flatMap((shot) => {
    const after = shot.takes.find((t) => t.trial?.batch === batch);
    return after ? [{ shot, after, before: shot.takes.find((t) => t.id === after.fromTakeId) ?? lead(shot) }] : [];
  });
  const done = pairs.filter((p) => p.after.status === 'done').length;
  const { data: compared } = useConsistency(series.id, batch, done > 0);
  const layouts = (compared?.shots ?? []).flatMap((s) => s.layout ?? []);
  const label = pairs[0]?.after.trial?.label ?? '';
  const least = layouts.length ? Math.min(...layouts) : undefined;
  return (
    <section aria-label={`Swap: ${label}`} className="flex min-h-0 flex-1 flex-col bg-booth">
      <header className="flex items-center gap-3 bg-paper px-4 py-2">
        <h2 className="font-title text-lg font-semibold">{label} over the whole series</h2>
        <p className="text-sm text-muted">
          {done} of {pairs.length} drawn
          {least !== undefined && `, layouts held ${percent(least)} or more`}
          {compared?.closer.look !== undefined && `, look ${compared.closer.look.toFixed(1)} × closer together`}
        </p>
        <div className="ml-auto flex gap-2">
          <Button onClick={() => void acts.dropTry(batch)}>Leave it as it was</Button>
          <Button
            look="main"
            disabled={done < pairs.length}
            onClick={() => void acts.keepTry(batch, `${label} is in the mix now`)}
          >
            Keep the swap
          </Button>
        </div>
      </header>
      <ul
        aria-label="Before and after"
        className="grid min-h-0 flex-1 grid-cols-2 gap-x-6 gap-y-4 overflow-y-auto p-4 xl:grid-cols-3"
      >
        {pairs.map(({ shot, before, after }) => (
          <li key={shot.id} className="text-caption">
            <div className="grid grid-cols-2 gap-1">
              {before?.thumbnailUrl ? <img src={before.thumbnailUrl} alt={`${shot.title}, before`} /> : <span />}
              <After take={after} title={shot.title} />
            </div>
            <p className="pt-1 text-sm">{shot.title}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}

function After({ take, title }: { take: ShotTake; title: string }) {
  const progress = useProgress(take.id);
  const picture = take.thumbnailUrl ?? progress?.preview;
  return picture ? (
    <img src={picture} alt={`${title}, after`} className="w-full" />
  ) : (
    <span className="grid place-content-center bg-black/20 text-sm">{take.error ?? 'queued'}</span>
  );
}
