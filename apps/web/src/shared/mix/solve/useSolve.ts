import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '@urbild/api';
import { api, ask } from '../../../api/client';
import { keys } from '../../../api/keys';
import { useSolves, type Solve } from '../../../api/trials';
import { useNotice } from '../../../parts/notices';

/** A search for weights of a mix: the one that was begun here, or the one that runs. */
export function useSolve(mixId: string, save: () => Promise<void>) {
  const client = useQueryClient();
  const tell = useNotice();
  const { data: solves } = useSolves(mixId);
  const [shown, setShown] = useState<string | undefined>(undefined);
  const put = (one: Solve) =>
    client.setQueryData<Solve[]>(keys.solves(mixId), (all) => [one, ...(all ?? []).filter((s) => s.id !== one.id)]);
  const begin = useMutation({
    mutationFn: async (wanted: Omit<Schemas['NewSolveDto'], 'mixId'>) => {
      await save();
      return ask(api.POST('/api/v1/solves', { body: { mixId, ...wanted } }));
    },
    onSuccess: (made) => {
      put(made);
      setShown(made.id);
    },
    onError: (e) => tell(e.message, { grave: true }),
  });
  const stop = useMutation({
    mutationFn: (id: string) => ask(api.POST('/api/v1/solves/{id}/stop', { params: { path: { id } } })),
    onSuccess: put,
    onError: (e) => tell(e.message, { grave: true }),
  });
  const solve = solves?.find((s) => s.id === shown) ?? solves?.find((s) => s.status === 'running');
  return { solve, begin, stop };
}
