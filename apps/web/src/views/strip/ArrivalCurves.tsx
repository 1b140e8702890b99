import { CategoryScale, Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import type { MixInfluence, Take } from '../../api/client';
import { HUES } from '../../theme/kinds';
import { percent, type Lookup } from '../bench/influences';
import { curveOf } from './cells';

Chart.register(CategoryScale, LinearScale, LineElement, PointElement, Tooltip);

interface Props {
  readonly cells: readonly Take[];
  readonly labels: readonly string[];
  readonly influences: readonly MixInfluence[];
  readonly lookup: Lookup;
}

/** Arrival of every influence, and what is left of the words, over the cells of a strip: each point under its cell. */
export function ArrivalCurves({ cells, labels, influences, lookup }: Props) {
  const curves = [
    ...influences.map((i, k) => ({
      id: i.id,
      name: lookup.name(i),
      hue: HUES[lookup.hue(i)],
      dash: k % 2 ? [6, 4] : [],
      data: curveOf(cells, i.id),
    })),
    { id: 'words', name: 'words kept', hue: HUES.words, dash: [2, 3], data: curveOf(cells, 'words') },
  ].filter((c) => c.data.some((v) => v !== null));
  const said = curves
    .map(
      (c) =>
        `${c.name}: ${c.data.map((v, k) => `${labels[k]} ${v === null ? 'not measured' : percent(v)}`).join(', ')}`,
    )
    .join('; ');
  return (
    <figure aria-label="Arrival over the strip">
      <div className="h-24">
        <Line
          role="img"
          aria-label={said || 'Nothing is measured yet'}
          data={{
            labels: [...labels],
            datasets: curves.map((c) => ({
              label: c.name,
              data: c.data,
              borderColor: c.hue,
              backgroundColor: c.hue,
              borderDash: c.dash,
              borderWidth: 2,
              pointRadius: 4,
              spanGaps: true,
            })),
          }}
          options={{
            animation: false,
            maintainAspectRatio: false,
            layout: { padding: 0, autoPadding: false },
            scales: {
              x: { offset: true, display: false },
              y: {
                min: 0,
                max: 1,
                afterFit: (scale) => (scale.width = 0),
                ticks: { display: false, stepSize: 0.5 },
                border: { display: false },
                grid: { color: '#d9d2c4', drawTicks: false },
              },
            },
            plugins: { tooltip: { callbacks: { label: (c) => `${c.dataset.label}: ${percent(c.parsed.y ?? 0)}` } } },
          }}
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
