import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, ask, type Mix, type MixInfluence } from '../../api/client';
import { keys } from '../../api/keys';
import { useNotice } from '../../parts/notices';
import { newInfluence } from './newInfluences';

/** How many references go onto the bench at once. */
const MOST = 12;

/** Adds influences to the mix that was worked on last (or to a new one) and goes to the bench. */
export function useWeighInfluences(): (influences: readonly MixInfluence[]) => Promise<void> {
  const go = useNavigate();
  const client = useQueryClient();
  const tell = useNotice();
  return async (added) => {
    try {
      const mixes = await client.fetchQuery({ queryKey: keys.mixes, queryFn: () => ask(api.GET('/api/v1/mixes')) });
      const last: Mix = mixes[0] ?? (await ask(api.POST('/api/v1/mixes', { body: { name: 'First mix', prompt: '' } })));
      await ask(
        api.PATCH('/api/v1/mixes/{id}', {
          params: { path: { id: last.id } },
          body: { version: last.version, influences: [...last.influences, ...added].slice(0, 24) },
        }),
      );
      await client.invalidateQueries({ queryKey: keys.mixes });
      await go(`/bench/${last.id}`);
    } catch (error) {
      tell((error as Error).message, { grave: true });
    }
  };
}

/** As {@link useWeighInfluences}, for references by id. */
export function useWeigh(): (ids: readonly string[]) => Promise<void> {
  const weigh = useWeighInfluences();
  return async (ids) => {
    const wanted = ids.slice(0, MOST).join(',');
    await weigh(
      (await ask(api.GET('/api/v1/references', { params: { query: { ids: wanted } } }))).map((r) => newInfluence(r)),
    );
  };
}
