import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNotice } from '../parts/notices';
import { api, ask, type Take } from './client';
import { keys } from './keys';

/** What a take of a mix is asked for with. */
export interface TakeWish {
  readonly mixId: string;
  readonly quality: Take['quality'];
  /** The mix's own when absent. */
  readonly seed?: number;
}

/** Asks for a take, which stands first in the list of its mix as soon as it is queued; tells why where it is refused. */
export function useAskForTake() {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: (wish: TakeWish) => ask(api.POST('/api/v1/takes', { body: wish })),
    onSuccess: (take, { mixId }) =>
      client.setQueryData<Take[]>(keys.takes(mixId), (takes) => [
        take,
        ...(takes ?? []).filter((t) => t.id !== take.id),
      ]),
    onError: (error) => tell(error.message, { grave: true }),
  });
}
