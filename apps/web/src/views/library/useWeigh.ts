import { useNavigate } from 'react-router';
import { useQueryClient } from '@tanstack/react-query';
import { api, ask, type Mix, type Reference } from '../../api/client';
import { keys } from '../../api/queries';
import { useNotice } from '../../parts/notices';
import { newInfluence } from '../bench/influences';

/** Adds references to the mix that was worked on last (or to a new one) and goes to the bench. */
export function useWeigh(): (references: readonly Reference[]) => Promise<void> {
  const go = useNavigate();
  const client = useQueryClient();
  const tell = useNotice();
  return async (references) => {
    try {
      const mixes = await client.fetchQuery({ queryKey: keys.mixes, queryFn: () => ask(api.GET('/api/v1/mixes')) });
      const last: Mix = mixes[0] ?? (await ask(api.POST('/api/v1/mixes', { body: { name: 'First mix', prompt: '' } })));
      const influences = [...last.influences, ...references.map(newInfluence)];
      await ask(
        api.PATCH('/api/v1/mixes/{id}', {
          params: { path: { id: last.id } },
          body: { version: last.version, influences },
        }),
      );
      await client.invalidateQueries({ queryKey: keys.mixes });
      await go(`/bench/${last.id}`);
    } catch (error) {
      tell((error as Error).message, { grave: true });
    }
  };
}
