import type { Consistency, FallsOut, Shot, ShotTake } from '../../api/client';
import { overlap, type Frame } from '../../shared/pictures/useMarquee';

/** How close one looks: all shots in rows, one row with the chosen shot below it, one shot, the keepers as a printed sheet. */
export const ZOOMS = ['sheet', 'row', 'shot', 'keepers'] as const;
export type Zoom = (typeof ZOOMS)[number];

export const FILTERS = ['all', 'falls out', 'changed', 'no keeper', 'skipped'] as const;
export type Filter = (typeof FILTERS)[number];

/** The takes of a shot that count among its own, newest first: not what is only tried. */
export const ownTakes = (shot: Shot): ShotTake[] =>
  shot.takes.filter((t) => (!t.trial || t.trial.kept) && t.status !== 'cancelled');

/** What is tried for a shot and not kept yet, newest first. */
export const tries = (shot: Shot): ShotTake[] =>
  shot.takes.filter((t) => t.trial && !t.trial.kept && t.status !== 'cancelled');

/** The take that stands for a shot. */
export const lead = (shot: Shot): ShotTake | undefined => shot.takes.find((t) => t.id === shot.leadId);

/** The take of a shot that is rendered or waits, if one does. */
export const underWay = (shot: Shot): ShotTake | undefined =>
  [...ownTakes(shot)].reverse().find((t) => t.status === 'rendering' || t.status === 'queued');

/** What falls out of a shot, as long as it is still about the take that stands for it. */
export const fallOf = (shot: Shot, consistency: Consistency | undefined): FallsOut | undefined =>
  consistency?.falls.find((f) => f.shotId === shot.id && f.takeId === shot.leadId);

/** The shots that a filter leaves. */
export const filtered = (shots: readonly Shot[], filter: Filter, consistency: Consistency | undefined): Shot[] =>
  shots.filter((s) => {
    switch (filter) {
      case 'all':
        return true;
      case 'falls out':
        return !!fallOf(s, consistency);
      case 'changed':
        return s.stale.length > 0;
      case 'no keeper':
        return !s.skipped && !s.takes.some((t) => t.keeper);
      case 'skipped':
        return s.skipped;
    }
  });

/** Arrival of an influence in a take, 0..1; null where it was not measured. */
export const arrivalAt = (take: ShotTake | undefined, influenceId: string): number | null => {
  const value = take?.arrivals.find((a) => a.influenceId === influenceId)?.overall;
  return value === undefined || value === null ? null : Math.max(0, value);
};

/** Where the middle half of some values lies; undefined for fewer than four. */
export function usualBand(values: readonly (number | null)[]): { low: number; high: number } | undefined {
  const sorted = values.filter((v): v is number => v !== null).sort((a, b) => a - b);
  if (sorted.length < 4) return undefined;
  const q = (p: number) => sorted[Math.round(p * (sorted.length - 1))];
  return { low: q(0.15), high: q(0.85) };
}

/** "0:06" for six seconds. */
export const clock = (ms: number): string => {
  const s = Math.ceil(ms / 1000);
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
};

/** Cuts a list into rows of a length. */
export const rowsOf = <T>(list: readonly T[], length: number): T[][] =>
  Array.from({ length: Math.ceil(list.length / length) }, (_, k) => list.slice(k * length, (k + 1) * length));

/** How shots lie on a sheet, px. */
export interface SheetLie {
  readonly columns: number;
  /** Width of a shot, of the gap beside it, height of a row and of the chart above its pictures. */
  readonly cell: number;
  readonly gap: number;
  readonly row: number;
  readonly chart: number;
  /** The room around all of them. */
  readonly left: number;
  readonly top: number;
}

/** The shots that a frame touches, in their order, whether they are in sight or not. */
export const touchedShots = (
  shots: readonly Pick<Shot, 'id'>[],
  frame: Frame,
  { columns, cell, gap, row, chart, left, top }: SheetLie,
): string[] =>
  shots
    .filter((_, k) => {
      const above = chart + gap;
      const place = { left: left + (k % columns) * (cell + gap), top: top + Math.floor(k / columns) * row + above };
      return overlap(frame, { ...place, width: cell, height: row - above });
    })
    .map(({ id }) => id);
