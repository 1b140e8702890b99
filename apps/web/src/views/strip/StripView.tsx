import { Link, useNavigate, useParams } from 'react-router';
import { withCalled } from '@urbild/core';
import { useMixes } from '../../api/queries';
import { useCastMembers } from '../../api/sheets';
import { useNewStrip, useStrips, type Strip } from '../../api/trials';
import { EmptyState } from '../../parts/EmptyState';
import { useSources } from '../../shared/mix/useSources';
import { titleOf } from './axisForm';
import { StripMaker } from './StripMaker';
import { StripTable } from './StripTable';
import { useNames } from './useNames';
import { useTitle } from '../../parts/useTitle';

/** Test strips of a mix: what one or two settings do, value by value. */
export function StripView() {
  const { mixId = '', stripId } = useParams();
  const go = useNavigate();
  const { data: mixes } = useMixes();
  const { data: strips, isPending } = useStrips(mixId);
  const make = useNewStrip(mixId);
  const cast = useCastMembers();
  const stored = mixes?.find((m) => m.id === mixId);
  const mix = stored && withCalled(stored, cast);
  const shown = strips?.find((s) => s.id === stripId) ?? strips?.[0];
  useTitle('Test strips', mix?.name);
  const lookup = useSources([...(mix?.influences ?? []), ...(shown?.state.influences ?? [])]);
  const name = useNames([...(mix?.influences ?? []), ...(shown?.state.influences ?? [])], shown?.axes ?? [], lookup);
  if (!mix || isPending) return <div className="skeleton h-full" aria-label="The strips are being opened" />;
  const maker = (
    <StripMaker
      key={mix.version}
      mix={mix}
      lookup={lookup}
      busy={make.isPending}
      onMake={(axes, quality) =>
        make.mutate(
          {
            axes,
            quality,
            name: axes
              .map((a) => titleOf(a, name))
              .join(' by ')
              .slice(0, 120),
          },
          {
            onSuccess: (made) => {
              void go(`/bench/${mixId}/strips/${made.id}`);
            },
          },
        )
      }
    />
  );
  return (
    <div className="parts grid h-full grid-cols-[260px_minmax(0,1fr)]">
      <aside
        aria-label="Strips"
        className="flex min-h-0 flex-col gap-4 overflow-auto border-r border-line bg-paper p-3.5"
      >
        <div>
          <Link to={`/bench/${mixId}`} className="text-sm text-muted underline underline-offset-2">
            Back to the bench
          </Link>
          <h1 className="font-title text-lg leading-snug font-semibold">Test strips of “{mix.name}”</h1>
        </div>
        {maker}
        {!!strips?.length && <StripList strips={strips} shown={shown?.id} mixId={mixId} />}
      </aside>
      {shown ? (
        <StripTable key={shown.id} strip={shown} lookup={lookup} name={name} />
      ) : (
        <div className="h-full bg-booth">
          <EmptyState dark title="No strip of this mix yet">
            Choose on the left what to step through. Each value gets a draft, with the control first, and the curves
            tell where more stops helping.
          </EmptyState>
        </div>
      )}
    </div>
  );
}

function StripList({ strips, shown, mixId }: { strips: readonly Strip[]; shown: string | undefined; mixId: string }) {
  return (
    <nav aria-label="Earlier strips" className="flex flex-col">
      <h2 className="pb-1 text-sm font-semibold text-muted">Strips so far</h2>
      {strips.map((s) => (
        <Link
          key={s.id}
          to={`/bench/${mixId}/strips/${s.id}`}
          aria-current={s.id === shown ? 'page' : undefined}
          className={`rounded px-2 py-1 first-letter:uppercase ${s.id === shown ? 'bg-card font-semibold' : 'hover:bg-shade'}`}
        >
          {s.name} <span className="figures text-sm text-muted">{s.cells.length}</span>
        </Link>
      ))}
    </nav>
  );
}
