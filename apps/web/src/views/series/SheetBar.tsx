import { Plus } from 'lucide-react';
import type { Consistency, MixInfluence, Series } from '../../api/client';
import { Button } from '../../parts/Button';
import type { Lookup } from '../../shared/mix/lookup';
import { DriftLegend } from './DriftChart';
import { FILTERS, filtered, ZOOMS, type Filter, type Zoom } from './shots';

const NAMES: Readonly<Record<Zoom, string>> = { sheet: 'All', row: 'One row', shot: 'One shot', keepers: 'As a sheet' };

interface Props {
  readonly series: Series;
  readonly consistency: Consistency | undefined;
  readonly lookup: Lookup;
  readonly filter: Filter;
  readonly zoom: Zoom;
  readonly onFilter: (filter: Filter) => void;
  readonly onZoom: (zoom: Zoom) => void;
  readonly onAdd: () => void;
}

/** What the curves mean, which shots are shown, and how close. */
export function SheetBar({ series, consistency, lookup, filter, zoom, onFilter, onZoom, onAdd }: Props) {
  const counts = (f: Filter) => (f === 'all' ? series.shots.length : filtered(series.shots, f, consistency).length);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-1.5">
      <DriftLegend influences={series.influences as MixInfluence[]} lookup={lookup} />
      <div className="ml-auto flex items-center gap-3">
        {series.shots.length > 0 && (
          <Button className="flex items-center gap-1 py-1! text-sm" onClick={onAdd}>
            <Plus size={14} aria-hidden /> Add shots
          </Button>
        )}
        <label className="flex items-center gap-1.5 text-sm">
          Show
          <select
            value={filter}
            onChange={(e) => onFilter(e.target.value as Filter)}
            className="rounded-lg border border-line bg-card px-1.5 py-1"
          >
            {FILTERS.map((f) => (
              <option key={f} value={f}>
                {f} ({counts(f)})
              </option>
            ))}
          </select>
        </label>
        <div role="radiogroup" aria-label="How close" className="flex overflow-hidden rounded-lg border border-line">
          {ZOOMS.map((z) => (
            <button
              key={z}
              type="button"
              role="radio"
              aria-checked={zoom === z}
              onClick={() => onZoom(z)}
              className={`px-2.5 py-1 text-sm ${zoom === z ? 'bg-ink text-paper' : 'bg-card hover:bg-shade'}`}
            >
              {NAMES[z]}
            </button>
          ))}
        </div>
      </div>
    </div>
  );
}
