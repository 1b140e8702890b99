import { useQuery, useQueryClient } from '@tanstack/react-query';
import { may, type Permission } from '@urbild/core';
import type { Schemas } from '@urbild/api';
import { api, ask } from './client';
import { keys } from './keys';

/** Who asks, and whether anybody has to say who they are. */
export type Me = Schemas['MeDto'] & {
  /** They went out by themselves: nothing of theirs waits in the page. */
  readonly left?: boolean;
};

/** Who works in this browser. It is asked for again when somebody's role changes, or the studio no longer knows one. */
export const useMe = () =>
  useQuery({ queryKey: keys.me, queryFn: (): Promise<Me> => ask(api.GET('/api/v1/me')), staleTime: Infinity });

/** True where one may do something; by the table that the server goes by too. While it is not known, nothing is hidden. */
export function useMay(permission: Permission): boolean {
  const { data: me } = useMe();
  return !me?.person || may(me.person, permission);
}

/** Coming in and going out, in this browser. Both throw what the server says. */
export function useSignIn() {
  const client = useQueryClient();
  return {
    signIn: async (body: Schemas['SignInDto']) => {
      client.setQueryData<Me>(keys.me, await ask(api.POST('/api/v1/me/session', { body })));
      // what was refused in the meantime is asked for again
      void client.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.me[0] });
    },
    signOut: async () => {
      await ask(api.DELETE('/api/v1/me/session'));
      client.setQueryData<Me>(keys.me, (me) => me && { alone: me.alone, hasOwner: me.hasOwner, left: true });
      client.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.me[0] });
    },
  };
}
