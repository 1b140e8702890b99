import { arrivalText } from '@urbild/core';
import { Filler, Chart as Base } from 'chart.js';
import { Line } from 'react-chartjs-2';
import type { Consistency, MixInfluence, Shot } from '../../api/client';
import { ARRIVAL_TOOLTIP, arrivalCurve, arrivalOptions } from '../../parts/arrivalChart';
import { paintOf } from '../../theme/colours';
import { HUES } from '../../theme/kinds';
import { useLight } from '../../theme/lighting';
import type { Lookup } from '../../shared/mix/lookup';
import { arrivalAt, fallOf, lead, usualBand } from './shots';

Base.register(Filler);

interface Props {
  /** The shots of one row, in their order: each point stands above its shot. */
  readonly shots: readonly Shot[];
  /** All shots, for the band in which most of them lie. */
  readonly all: readonly Shot[];
  readonly influences: readonly MixInfluence[];
  readonly consistency: Consistency | undefined;
  readonly lookup: Lookup;
  /** Height in px. */
  readonly height: number;
}

/** Arrival of every influence over a row of shots; shots that fall out stand out. */
export function DriftChart({ shots, all, influences, consistency, lookup, height }: Props) {
  // charts know no custom properties: drawn anew in another light
  useLight();
  const acting = influences.filter((i) => i.on && i.weight > 0);
  const curves = acting.map((i, k) => {
    const colour = paintOf(lookup.hue(i));
    const out = shots.map((s) => fallOf(s, consistency)?.influenceId === i.id);
    return {
      ...arrivalCurve(
        lookup.name(i),
        shots.map((s) => arrivalAt(lead(s), i.id)),
        colour,
        k % 2 ? [6, 4] : [],
      ),
      pointRadius: out.map((o) => (o ? 7 : 3.5)),
      pointBackgroundColor: out.map((o) => (o ? paintOf('cinnabar') : colour)),
      pointBorderColor: out.map((o) => (o ? paintOf('cinnabar') : colour)),
    };
  });
  const bands = acting.flatMap((i, k) => {
    const band = usualBand(all.map((s) => arrivalAt(lead(s), i.id)));
    if (!band) return [];
    const flat = (value: number, fill: false | string) => ({
      label: '',
      data: shots.map(() => value),
      borderWidth: 0,
      pointRadius: 0,
      pointHitRadius: 0,
      backgroundColor: `${paintOf(lookup.hue(i))}1f`,
      fill,
      order: 10 + k,
    });
    return [flat(band.high, false), flat(band.low, '-1')];
  });
  const said = acting
    .map(
      (i) => `${lookup.name(i)}: ${shots.map((s) => `${s.title} ${arrivalText(arrivalAt(lead(s), i.id))}`).join(', ')}`,
    )
    .join('; ');
  return (
    <div style={{ height }} className="w-full">
      <Line
        role="img"
        aria-label={`Arrival over the shots. ${said}`}
        data={{ labels: shots.map((s) => s.title), datasets: [...curves, ...bands] as never }}
        options={{
          ...arrivalOptions(),
          plugins: {
            tooltip: { ...ARRIVAL_TOOLTIP, filter: (t) => !!t.dataset.label },
          },
        }}
      />
    </div>
  );
}

/** Which curve is what. */
export function DriftLegend({ influences, lookup }: { influences: readonly MixInfluence[]; lookup: Lookup }) {
  return (
    <p className="flex flex-wrap gap-x-4 text-sm">
      <span className="text-muted">arrival, 0 to 100 %</span>
      {influences
        .filter((i) => i.on && i.weight > 0)
        .map((i, k) => (
          <span key={i.id} className="flex items-center gap-1.5 font-semibold">
            <span
              className="w-5 border-t-2"
              style={{ borderColor: HUES[lookup.hue(i)], borderStyle: k % 2 ? 'dashed' : 'solid' }}
              aria-hidden
            />
            {lookup.name(i)}
          </span>
        ))}
      <span className="text-muted">shaded: where most shots lie</span>
    </p>
  );
}
