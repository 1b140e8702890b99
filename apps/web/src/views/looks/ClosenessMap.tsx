import { Chart as ChartJs, LinearScale, PointElement, Tooltip } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import type { Reference } from '../../api/client';
import type { LookReading } from '../../api/sheets';
import { paintOf } from '../../theme/colours';
import { useLight } from '../../theme/lighting';

ChartJs.register(LinearScale, PointElement, Tooltip);

/** A map on which pictures of the same manner lie close; the stranger stands out. */
export function ClosenessMap({
  reading,
  references,
}: {
  reading: LookReading;
  references: ReadonlyMap<string, Reference>;
}) {
  // charts know no custom properties: drawn anew in another light
  useLight();
  const title = (id: string) => references.get(id)?.title ?? 'a picture';
  const strange = (id: string) => reading.stranger === id;
  return (
    <figure>
      <figcaption className="mb-1 text-sm font-semibold text-muted">Closeness map</figcaption>
      <div className="h-52 rounded-md border border-line bg-card">
        <Scatter
          aria-label={`Map of ${reading.map.length} pictures${reading.stranger ? `; ${title(reading.stranger)} lies apart` : ''}`}
          role="img"
          data={{
            datasets: [
              {
                data: reading.map.map(({ x, y }) => ({ x, y })),
                pointRadius: reading.map.map((p) => (strange(p.referenceId) ? 8 : 5)),
                pointStyle: reading.map.map((p) => (strange(p.referenceId) ? 'rectRot' : 'circle')),
                backgroundColor: reading.map.map((p) =>
                  strange(p.referenceId) ? paintOf('cinnabar') : paintOf('style'),
                ),
              },
            ],
          }}
          options={{
            animation: false,
            maintainAspectRatio: false,
            plugins: {
              legend: { display: false },
              tooltip: {
                callbacks: {
                  label: ({ dataIndex }) => {
                    const p = reading.map[dataIndex];
                    return `${title(p.referenceId)}: ${p.off.toFixed(1)} times the usual distance`;
                  },
                },
              },
            },
            scales: {
              x: { min: -1.15, max: 1.15, ticks: { display: false }, grid: { color: paintOf('shade') } },
              y: { min: -1.15, max: 1.15, ticks: { display: false }, grid: { color: paintOf('shade') } },
            },
          }}
        />
      </div>
    </figure>
  );
}
