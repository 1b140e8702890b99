import { useContext } from 'react';
import { api, ask } from '../../api/client';
import { useNotice } from '../../parts/notices';
import { newInfluence } from './newInfluences';
import { WeighContext, type Weigh } from './weighContext';

/** How many references go onto the bench at once. */
const MOST = 12;

/** Asks in which mix influences are to be weighed, adds them to it, and goes to the bench. */
export const useWeighInfluences = (): Weigh => useContext(WeighContext);

/** As {@link useWeighInfluences}, for references by id. */
export function useWeigh(): (ids: readonly string[]) => Promise<void> {
  const weigh = useWeighInfluences();
  const tell = useNotice();
  return async (ids) => {
    const wanted = ids.slice(0, MOST).join(',');
    try {
      const references = await ask(api.GET('/api/v1/references', { params: { query: { ids: wanted } } }));
      await weigh(references.map((r) => newInfluence(r)));
    } catch (error) {
      tell((error as Error).message, { grave: true });
    }
  };
}
