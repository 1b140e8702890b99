import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';

/** What narrows the library, as it stands in the address. */
export const NARROWING = [
  'words',
  'kind',
  'tag',
  'rights',
  'state',
  'rating',
  'favourite',
  'look',
  'character',
  'collection',
  'used',
  'away',
  'colour',
  'tolerance',
  'like',
  'by',
] as const;
export type Narrowing = (typeof NARROWING)[number];

export interface LibraryState {
  readonly search: URLSearchParams;
  /** The query string for the server: what narrows, and the order. */
  readonly query: string;
  readonly narrowed: boolean;
  readonly selected: readonly string[];
  readonly set: (changes: Record<string, string | readonly string[] | null>) => void;
  readonly clear: () => void;
}

/** What is looked at in the library: all of it lives in the address, so that a reload or a link shows the same. */
export function useLibraryState(): LibraryState {
  const [search, setSearch] = useSearchParams();
  const set = useCallback(
    (changes: Record<string, string | readonly string[] | null>) =>
      setSearch(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [key, value] of Object.entries(changes)) {
            next.delete(key);
            for (const v of value === null ? [] : [value].flat()) if (v) next.append(key, v);
          }
          return next;
        },
        { replace: true },
      ),
    [setSearch],
  );
  return useMemo(() => {
    const query = new URLSearchParams();
    for (const key of [...NARROWING, 'sort']) {
      const value = search.get(key);
      if (value) query.set(key, value);
    }
    return {
      search,
      query: query.toString(),
      narrowed: NARROWING.some((k) => search.has(k)),
      selected: search.getAll('sel'),
      set,
      clear: () => set(Object.fromEntries([...NARROWING, 'sel'].map((k) => [k, null]))),
    };
  }, [search, set]);
}
