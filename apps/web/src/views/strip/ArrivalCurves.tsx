import { arrivalText } from '@urbild/core';
import { Line } from 'react-chartjs-2';
import type { MixInfluence, Take } from '../../api/client';
import { arrivalCurve, arrivalOptions } from '../../parts/arrivalChart';
import { paintOf } from '../../theme/colours';
import { useLight } from '../../theme/lighting';
import type { Lookup } from '../../shared/mix/lookup';
import { curveOf } from './cells';

interface Props {
  readonly cells: readonly Take[];
  readonly labels: readonly string[];
  readonly influences: readonly MixInfluence[];
  readonly lookup: Lookup;
}

/** Arrival of every influence, and what is left of the words, over the cells of a strip: each point under its cell. */
export function ArrivalCurves({ cells, labels, influences, lookup }: Props) {
  // charts know no custom properties: drawn anew in another light
  useLight();
  const curves = [
    ...influences.map((i, k) => ({
      id: i.id,
      name: lookup.name(i),
      hue: paintOf(lookup.hue(i)),
      dash: k % 2 ? [6, 4] : [],
      data: curveOf(cells, i.id),
    })),
    { id: 'words', name: 'words kept', hue: paintOf('words'), dash: [2, 3], data: curveOf(cells, 'words') },
  ].filter((c) => c.data.some((v) => v !== null));
  const said = curves
    .map((c) => `${c.name}: ${c.data.map((v, k) => `${labels[k]} ${arrivalText(v)}`).join(', ')}`)
    .join('; ');
  return (
    <figure aria-label="Arrival over the strip">
      <div className="h-24">
        <Line
          role="img"
          aria-label={said || 'Nothing is measured yet'}
          data={{
            labels: [...labels],
            datasets: curves.map((c) => arrivalCurve(c.name, c.data, c.hue, c.dash)),
          }}
          options={arrivalOptions()}
        />
      </div>
      <figcaption className="flex flex-wrap gap-x-4 text-sm">
        {curves.map((c) => (
          <span key={c.id} className="flex items-center gap-1.5">
            <span
              className="w-5 border-t-2"
              style={{ borderColor: c.hue, borderStyle: c.dash.length ? 'dashed' : 'solid' }}
              aria-hidden
            />
            {c.name}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
