import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { useNotice } from '../parts/notices';
import { api, ask } from './client';
import { keys } from './keys';

export type Look = Schemas['LookDto'];
export type LookReading = Schemas['LookReadingDto'];
export type Character = Schemas['CharacterDto'];
export type CharacterReading = Schemas['CharacterReadingDto'];
export type Trait = Schemas['TraitDto'];
export type Slot = Schemas['Slot'];
export type ShelfItem = Schemas['ShelfItemDto'];

export const useLooks = () => useQuery({ queryKey: keys.looks, queryFn: () => ask(api.GET('/api/v1/looks')) });

export const useCast = () => useQuery({ queryKey: keys.cast, queryFn: () => ask(api.GET('/api/v1/cast')) });

export const useShelf = () => useQuery({ queryKey: keys.shelf, queryFn: () => ask(api.GET('/api/v1/shelf')) });

export const useLookReading = (look: Look) =>
  useQuery({
    queryKey: keys.lookReading(look.id, look.version),
    placeholderData: (before: LookReading | undefined) => before,
    queryFn: () => ask(api.GET('/api/v1/looks/{id}/reading', { params: { path: { id: look.id } } })),
  });

export const useCharacterReading = (character: Character) =>
  useQuery({
    queryKey: keys.castReading(character.id, character.version),
    placeholderData: (before: CharacterReading | undefined) => before,
    queryFn: () => ask(api.GET('/api/v1/cast/{id}/reading', { params: { path: { id: character.id } } })),
  });

/** Which traits of a character its takes kept. */
export const useTraitTally = (character: Character) =>
  useQuery({
    // made from takes: whatever changes them asks for it again
    queryKey: [...keys.madeWith(character.id), 'tally', character.version],
    queryFn: () => ask(api.GET('/api/v1/cast/{id}/tally', { params: { path: { id: character.id } } })),
  });

/** Takes that something had a part in. */
export const useMadeWith = (id: string) =>
  useQuery({
    queryKey: keys.madeWith(id),
    queryFn: () => ask(api.GET('/api/v1/takes/made-with/{id}', { params: { path: { id } } })),
  });

export const useTake = (id: string | undefined) =>
  useQuery({
    queryKey: keys.take(id ?? ''),
    enabled: !!id,
    queryFn: () => ask(api.GET('/api/v1/takes/{id}', { params: { path: { id: id! } } })),
  });

export const useKeepers = () =>
  useQuery({ queryKey: keys.keepers, queryFn: () => ask(api.GET('/api/v1/takes/keepers')) });

interface Versioned {
  readonly id: string;
  readonly version: number;
}

/** Changes one of a list at once on the screen; rolls back with a message when the server refuses. */
function useListChange<T extends Versioned, C>(key: readonly string[], send: (item: T, change: C) => Promise<T>) {
  const client = useQueryClient();
  const tell = useNotice();
  const replace = (id: string, change: Partial<T>) =>
    client.setQueryData<T[]>(key, (all) => all?.map((one) => (one.id === id ? { ...one, ...change } : one)));
  return useMutation({
    mutationFn: ({ item, change }: { item: T; change: C }) => send(item, change),
    onMutate: ({ item, change }) => replace(item.id, change as unknown as Partial<T>),
    onSuccess: (saved) => replace(saved.id, saved),
    onError: (error, { item }) => {
      replace(item.id, item);
      void client.invalidateQueries({ queryKey: key });
      tell(error.message, { grave: true });
    },
  });
}

export const useChangeLook = () =>
  useListChange<Look, Omit<Schemas['ChangeLookDto'], 'version'>>(keys.looks, (look, change) =>
    ask(
      api.PATCH('/api/v1/looks/{id}', {
        params: { path: { id: look.id } },
        body: { ...change, version: look.version },
      }),
    ),
  );

export const useChangeCharacter = () =>
  useListChange<Character, Omit<Schemas['ChangeCharacterDto'], 'version'>>(keys.cast, (character, change) =>
    ask(
      api.PATCH('/api/v1/cast/{id}', {
        params: { path: { id: character.id } },
        body: { ...change, version: character.version },
      }),
    ),
  );

/** Does something and refreshes a list; tells what went wrong. */
export function useAct<A extends unknown[], R>(key: readonly string[], act: (...args: A) => Promise<R>) {
  const client = useQueryClient();
  const tell = useNotice();
  return async (...args: A): Promise<R | undefined> => {
    try {
      const result = await act(...args);
      await client.invalidateQueries({ queryKey: key });
      return result;
    } catch (error) {
      tell((error as Error).message, { grave: true });
      return undefined;
    }
  };
}
