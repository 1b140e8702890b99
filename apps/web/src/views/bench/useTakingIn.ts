import { useCallback } from 'react';
import type { MixInfluence } from '../../api/client';
import { USUAL_CHANGE } from './StartSettings';
import type { BenchMix } from './useBenchMix';

/** What a picture becomes that comes onto the bench: an influence, or what the mix starts from. */
export function useTakingIn(change: BenchMix['change']) {
  const add = useCallback(
    (influence: MixInfluence) =>
      change((m) => ({ ...m, influences: [...m.influences, { ...influence, id: crypto.randomUUID().slice(0, 8) }] })),
    [change],
  );
  const startFrom = useCallback(
    (id: string) =>
      change((m) => ({
        ...m,
        settings: { ...m.settings, start: { of: 'reference', id, change: USUAL_CHANGE }, mask: undefined },
      })),
    [change],
  );
  return { add, startFrom };
}
