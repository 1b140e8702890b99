import type { Gives } from '@urbild/core';
import { useCallback } from 'react';
import { api, ask, type MixInfluence } from '../../api/client';
import { useCast } from '../../api/sheets';
import type { Carried } from '../../parts/carry';
import { useNotice } from '../../parts/notices';
import { characterInfluence, lookInfluence, newInfluence } from '../../shared/mix/newInfluences';

/** Adds what was dragged here from another window of the studio. */
export function useCarried(
  gives: readonly Gives[],
  add: (influence: MixInfluence) => void,
): (carried: Carried) => void {
  const { data: cast } = useCast();
  const tell = useNotice();
  return useCallback(
    ({ of, id }) => {
      if (of === 'look') return add(lookInfluence(id));
      const character = of === 'character' ? cast?.find((c) => c.id === id) : undefined;
      if (character) return add(characterInfluence(id, character.usualWeight, gives));
      if (of === 'reference')
        ask(api.GET('/api/v1/references', { params: { query: { ids: id } } })).then(
          ([reference]) => reference && add(newInfluence(reference)),
          (e: Error) => tell(e.message, { grave: true }),
        );
    },
    [add, cast, gives, tell],
  );
}
