import { createContext, use, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { useOthers, useTellPlace, type Place } from '../../api/presence';

/** What of a page somebody holds: the nearest part around the focus that has a name (`data-held`). */
function useHeld(): string | undefined {
  const [held, setHeld] = useState<string | undefined>(undefined);
  useEffect(() => {
    const onFocus = ({ target }: FocusEvent) =>
      setHeld((target as Element).closest<HTMLElement>('[data-held]')?.dataset.held);
    const onLeft = ({ relatedTarget }: FocusEvent) => !relatedTarget && setHeld(undefined);
    document.addEventListener('focusin', onFocus);
    document.addEventListener('focusout', onLeft);
    return () => {
      document.removeEventListener('focusin', onFocus);
      document.removeEventListener('focusout', onLeft);
    };
  }, []);
  return held;
}

interface Places {
  /** The others, wherever they are. */
  readonly others: readonly Place[];
  /** Those on the same page, by what they hold. */
  readonly holding: ReadonlyMap<string, readonly Place[]>;
}

const PlacesContext = createContext<Places>({ others: [], holding: new Map() });
/** Where the others are. */
export const usePlaces = (): Places => use(PlacesContext);

/** Tells the others where this window is, and the page where the others are. */
export function PlacesProvider({ children }: { children: ReactNode }) {
  const { pathname: at } = useLocation();
  useTellPlace({ at, holds: useHeld() });
  const others = useOthers();
  const places = useMemo(() => {
    const holding = new Map<string, Place[]>();
    for (const place of others)
      if (place.at === at && place.holds) holding.set(place.holds, [...(holding.get(place.holds) ?? []), place]);
    return { others, holding };
  }, [others, at]);
  return <PlacesContext value={places}>{children}</PlacesContext>;
}
