import { Line } from 'react-chartjs-2';
import type { Mix, Series } from '../../api/client';
import { arrivalCurve, ARRIVAL_OPTIONS } from '../../parts/arrivalChart';
import { HUES } from '../../theme/kinds';
import { percent, type Lookup } from '../bench/influences';

/** Arrival of every influence over the shots, each point above its shot. */
export function DriftChart({ series, mix, lookup }: { series: Series; mix: Mix | undefined; lookup: Lookup }) {
  const takes = series.shots.map((s) => s.takes.find((t) => t.status === 'done'));
  const influences = mix?.influences.filter((i) => i.on) ?? [];
  if (!influences.length) return <div />;
  return (
    <figure aria-label="Drift: arrival of every reference over the shots" className="relative px-4 pb-1">
      <figcaption className="flex gap-4 text-sm">
        <span className="text-muted">arrival over the shots</span>
        {influences.map((i, k) => (
          <span key={i.id} className="flex items-center gap-1.5 font-semibold">
            <span
              className="w-5 border-t-2"
              style={{ borderColor: HUES[lookup.hue(i)], borderStyle: k % 2 ? 'dashed' : 'solid' }}
              aria-hidden
            />
            {lookup.name(i)}
          </span>
        ))}
      </figcaption>
      {/* half a gap wider on both sides than the row of shots, so that every point stands above the middle of its shot */}
      <div className="-mx-1.5 h-24">
        <Line
          role="img"
          aria-label={influences
            .map(
              (i) =>
                `${lookup.name(i)}: ${takes.map((t, k) => `shot ${k + 1} ${arrival(t, i.id) === null ? 'not measured' : percent(arrival(t, i.id)!)}`).join(', ')}`,
            )
            .join('; ')}
          data={{
            labels: series.shots.map((s) => s.title),
            datasets: influences.map((i, k) =>
              arrivalCurve(
                lookup.name(i),
                takes.map((t) => arrival(t, i.id)),
                HUES[lookup.hue(i)],
                k % 2 ? [6, 4] : [],
              ),
            ),
          }}
          options={ARRIVAL_OPTIONS}
        />
      </div>
    </figure>
  );
}

const arrival = (take: Series['shots'][number]['takes'][number] | undefined, influenceId: string): number | null => {
  const value = take?.arrivals.find((a) => a.influenceId === influenceId)?.overall;
  return value === undefined ? null : Math.max(0, value);
};
