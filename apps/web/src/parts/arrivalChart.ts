import {
  CategoryScale,
  Chart,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartDataset,
  type ChartOptions,
  type TooltipItem,
} from 'chart.js';
import { paintOf } from '../theme/colours';

Chart.register(CategoryScale, LinearScale, LineElement, PointElement, Tooltip);

/** A curve of arrivals, 0..1; null where nothing is measured. */
export function arrivalCurve(
  label: string,
  data: readonly (number | null)[],
  colour: string,
  dash: readonly number[],
): ChartDataset<'line', (number | null)[]> {
  return {
    label,
    data: [...data],
    borderColor: colour,
    backgroundColor: colour,
    borderDash: [...dash],
    borderWidth: 2,
    pointRadius: 4,
    spanGaps: true,
  };
}

/** What is told of a point. */
export const ARRIVAL_TOOLTIP = {
  callbacks: { label: (c: TooltipItem<'line'>) => `${c.dataset.label}: ${Math.round((c.parsed.y ?? 0) * 100)} %` },
};

/**
 * Bands of equal width without any margin, points in their middle: just where the pictures stand that they measure. In the colours of the
 * light that is on now.
 */
export const arrivalOptions = (): ChartOptions<'line'> => ({
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
      grid: { color: paintOf('line'), drawTicks: false },
    },
  },
  plugins: { tooltip: ARRIVAL_TOOLTIP },
});
