import type { MixInfluence, Series } from '../../api/client';
import type { SeriesActs } from '../../api/seriesActs';
import type { Lookup } from '../../shared/mix/lookup';
import { PasteDialog } from './PasteDialog';
import { SolveOver } from './SolveOver';
import { SwapDialog } from './SwapDialog';
import { TuneDialog } from './TuneDialog';

/** Which dialog of a series is open; a swap names the influence that something comes instead of. */
export type SeriesDialog = 'paste' | 'tune' | 'solve' | { readonly swap: string };

interface Props {
  readonly open: SeriesDialog | undefined;
  readonly series: Series;
  /** Shots that are picked. */
  readonly picked: readonly string[];
  readonly lookup: Lookup;
  readonly acts: SeriesActs;
  readonly onClose: () => void;
}

/** The dialogs of a series, one at a time. */
export function SeriesDialogs({ open, series, picked, lookup, acts, onClose }: Props) {
  if (!open) return null;
  if (open === 'paste') return <PasteDialog onAdd={acts.addShots} onClose={onClose} />;
  if (open === 'tune') return <TuneDialog series={series} shotIds={picked} lookup={lookup} onClose={onClose} />;
  if (open === 'solve') return <SolveOver series={series} shotIds={picked} lookup={lookup} onClose={onClose} />;
  const influence = series.influences.find((i) => i.id === open.swap) as MixInfluence | undefined;
  return (
    influence && <SwapDialog series={series} influence={influence} lookup={lookup} acts={acts} onClose={onClose} />
  );
}
