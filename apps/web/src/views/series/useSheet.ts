import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { Consistency, Series, Shot, ShotTake } from '../../api/client';
import { FILTERS, filtered, lead, ZOOMS, type Filter, type Zoom } from './shots';

/** Which keys were held while a shot was chosen. */
export interface Held {
  readonly shiftKey: boolean;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
}

/** What of a series is on the screen; the address keeps all of it. */
export interface SheetState {
  readonly zoom: Zoom;
  readonly filter: Filter;
  /** The shots that the filter lets through. */
  readonly shots: readonly Shot[];
  readonly chosen: Shot | undefined;
  /** The take on the table: of the chosen shot. */
  readonly take: ShotTake | undefined;
  /** Shots that are picked for something together. */
  readonly picked: ReadonlySet<string>;
  readonly set: (fields: Readonly<Record<string, string | undefined>>) => void;
  readonly choose: (id: string, held?: Held) => void;
  readonly pick: (ids: readonly string[]) => void;
  readonly open: (id: string) => void;
}

/** So many shots fit into one row. */
const A_ROW = 14;

/** The shots that are picked when one is chosen: with Shift all up to it, with Ctrl it too or no longer, else none. */
export function pickedWith(
  shots: readonly Pick<Shot, 'id'>[],
  before: ReadonlySet<string>,
  chosen: string | undefined,
  id: string,
  held: Held | undefined,
): string[] {
  const next = new Set(before.size ? before : chosen ? [chosen] : []);
  if (held?.shiftKey && chosen) {
    const at = (one: string) => shots.findIndex((s) => s.id === one);
    const [a, b] = [at(chosen), at(id)].sort((x, y) => x - y);
    shots.slice(a, b + 1).forEach((s) => next.add(s.id));
  } else if (held?.ctrlKey || held?.metaKey) {
    if (!next.delete(id)) next.add(id);
  } else next.clear();
  return [...next];
}

/** What of a series is on the screen, and how that is changed. */
export function useSheet(series: Series, consistency: Consistency | undefined): SheetState {
  const [search, setSearch] = useSearchParams();
  const set = useCallback(
    (fields: Readonly<Record<string, string | undefined>>) =>
      setSearch(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [k, v] of Object.entries(fields)) {
            if (v) next.set(k, v);
            else next.delete(k);
          }
          return next;
        },
        { replace: true },
      ),
    [setSearch],
  );
  const zoom = ZOOMS.find((z) => z === search.get('zoom')) ?? (series.shots.length <= A_ROW ? 'row' : 'sheet');
  const filter = FILTERS.find((f) => f === search.get('show')) ?? 'all';
  const shots = useMemo(() => filtered(series.shots, filter, consistency), [series.shots, filter, consistency]);
  const chosen = shots.find((s) => s.id === search.get('shot')) ?? shots[0];
  const take =
    chosen?.takes.find((t) => t.id === search.get('take') && (!t.trial || t.trial.kept)) ?? (chosen && lead(chosen));
  const picked = useMemo(
    () => new Set((search.get('picked') ?? '').split(',').filter((id) => series.shots.some((s) => s.id === id))),
    [search, series.shots],
  );
  const chosenId = chosen?.id;
  const choose = useCallback(
    (id: string, held?: Held) =>
      set({ shot: id, take: undefined, picked: pickedWith(shots, picked, chosenId, id, held).join(',') }),
    [chosenId, picked, set, shots],
  );
  const open = useCallback((id: string) => set({ shot: id, zoom: 'shot', take: undefined }), [set]);
  const pick = useCallback((ids: readonly string[]) => set({ picked: ids.join(',') }), [set]);
  return { zoom, filter, shots, chosen, take, picked, set, choose, pick, open };
}
