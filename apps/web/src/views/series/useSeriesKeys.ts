import type { Series, Shot, ShotTake } from '../../api/client';
import type { SeriesActs } from '../../api/seriesActs';
import { marksFor } from '../../shared/keys/useMarkKeys';
import { useKeys, type Pressed } from '../../shared/keys/useKeys';
import { useUndoKeys } from '../../shared/keys/useUndoKeys';
import { ownTakes, tries, type Zoom } from './shots';

interface Keys {
  readonly series: Series;
  /** The shots on the screen, in their order. */
  readonly shots: readonly Shot[];
  readonly chosen: Shot | undefined;
  readonly take: ShotTake | undefined;
  readonly zoom: Zoom;
  readonly acts: SeriesActs;
  readonly choose: (id: string) => void;
  readonly chooseTake: (id: string) => void;
  readonly setZoom: (zoom: Zoom) => void;
  readonly mark: (take: ShotTake, marks: Partial<Pick<ShotTake, 'keeper' | 'rating' | 'rejected'>>) => void;
}

/** The keys of the contact sheet; where the focus is in a field they belong to the field. */
export function useSeriesKeys(k: Keys): void {
  useUndoKeys();
  useKeys(
    ({ key, mod }) => {
      if (!mod || key !== 'Enter') return false;
      void k.acts.render({ quality: 'proof' });
      return true;
    },
    { everywhere: true },
  );
  useKeys((pressed) => act(pressed, k));
}

/** Does what a key stands for; true when it stands for something. */
function act({ key, mod, alt }: Pressed, { series, shots, chosen, take, zoom, acts, ...to }: Keys): boolean {
  if (mod) return false;
  const at = shots.findIndex((s) => s.id === chosen?.id);
  const step = key === 'ArrowRight' ? 1 : key === 'ArrowLeft' ? -1 : 0;
  if (step && alt && chosen) {
    const place = series.shots.findIndex((s) => s.id === chosen.id) + step;
    if (place >= 0 && place < series.shots.length) void acts.moveShot(chosen, place);
    return true;
  }
  if (alt) return false;
  if (step) {
    const next = shots[Math.min(shots.length - 1, Math.max(0, at + step))];
    if (next) to.choose(next.id);
    return true;
  }
  const closer = (by: number) => {
    const order: readonly Zoom[] = ['sheet', 'row', 'shot'];
    const now = order.indexOf(zoom);
    to.setZoom(order[Math.min(2, Math.max(0, (now < 0 ? 0 : now) + by))]);
    return true;
  };
  if (key === '+' || key === '=') return closer(1);
  if (key === '-' || key === 'Escape') return closer(-1);
  if (!chosen) return false;
  if (key === 'Delete') return (void acts.removeShot(chosen), true);
  if (key === 'd') return (void acts.duplicate(chosen), true);
  if (key === 's') return (acts.changeShot(chosen, { skipped: !chosen.skipped }), true);
  const takes = [...tries(chosen), ...ownTakes(chosen)];
  if (key === 'ArrowUp' || key === 'ArrowDown') {
    const now = takes.findIndex((t) => t.id === take?.id);
    const next = takes[Math.min(takes.length - 1, Math.max(0, now + (key === 'ArrowDown' ? 1 : -1)))];
    if (next) to.chooseTake(next.id);
    return true;
  }
  if (!take || take.status !== 'done' || (take.trial && !take.trial.kept)) return false;
  const marks = marksFor(key, take);
  if (marks) to.mark(take, marks);
  return !!marks;
}
