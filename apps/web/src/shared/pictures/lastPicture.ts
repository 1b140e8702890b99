import { useEffect, useSyncExternalStore } from 'react';

let last: string | undefined;
const listeners = new Set<() => void>();
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The picture that was seen last on the table, whichever mix it was of. `now`, when there is one, becomes it. */
export function useLastPicture(now: string | undefined): string | undefined {
  useEffect(() => {
    if (!now || now === last) return;
    last = now;
    listeners.forEach((listener) => listener());
  }, [now]);
  return useSyncExternalStore(subscribe, () => last);
}
