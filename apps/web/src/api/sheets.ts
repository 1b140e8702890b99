import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import type { CastMember, KnownName } from '@urbild/core';
import { useMemo } from 'react';
import { useNotice } from '../parts/notices';
import { api, ask } from './client';
import { changeDocument } from './changeDocument';
import { characterDocument, characterFields, lookDocument, lookFields, withEdits } from './documents';
import { keys } from './keys';
import type { SaveQueue } from '../shared/save/saveQueue';
import type { Character, Look } from './client';

export type { Character, Look } from './client';

export type LookReading = Schemas['LookReadingDto'];
export type CharacterReading = Schemas['CharacterReadingDto'];
export type Trait = Schemas['TraitDto'];
export type Slot = Schemas['Slot'];
export type Outfit = Schemas['OutfitDto'];
export type ShelfItem = Schemas['ShelfItemDto'];

export const useLooks = () =>
  useQuery({
    queryKey: keys.looks,
    queryFn: async () =>
      (await ask(api.GET('/api/v1/looks'))).map((look) => withEdits(`look ${look.id}`, look, lookFields)),
  });

export const useCast = () =>
  useQuery({
    queryKey: keys.cast,
    queryFn: async () =>
      (await ask(api.GET('/api/v1/cast'))).map((c) => withEdits(`character ${c.id}`, c, characterFields)),
  });

/** The cast as its names call it into mixes; nobody while it is not known yet. */
export function useCastMembers(): readonly CastMember[] {
  const { data: cast } = useCast();
  return useMemo(
    () => (cast ?? []).map(({ id, name, usualWeight, items }) => ({ id, name, usualWeight, pictures: items.length })),
    [cast],
  );
}

/** The cast as prompts name it, with what its words say; pictures are read when a take is made. */
export function useKnownNames(): readonly KnownName[] {
  const { data: cast } = useCast();
  return useMemo(() => (cast ?? []).map(({ name, description, outfits }) => ({ name, description, outfits })), [cast]);
}

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

/** What a take shows, as masks by their outlines; they never change. */
export const useOutlines = (id: string | undefined) =>
  useQuery({
    queryKey: [...keys.take(id ?? ''), 'outlines'],
    enabled: !!id,
    staleTime: Infinity,
    queryFn: () => ask(api.GET('/api/v1/takes/{id}/outlines', { params: { path: { id: id! } } })),
  });

export const useKeepers = () =>
  useQuery({ queryKey: keys.keepers, queryFn: () => ask(api.GET('/api/v1/takes/keepers')) });

/** Changes one of a list by its queue: at once on the screen, taken back with a message when the server refuses. */
function useListChange<T extends { id: string }, S extends object>(
  kind: string,
  open: (client: QueryClient, item: T) => SaveQueue<S>,
  fields: (item: T) => S,
) {
  const client = useQueryClient();
  const tell = useNotice();
  return {
    mutate: ({ item, change }: { item: T; change: Partial<S> }) => {
      const queue = open(client, item);
      queue.listen({ onRefused: (reason) => tell(reason, { grave: true }) });
      changeDocument(queue, change, fields(item), { name: `${kind} ${item.id}` });
    },
  };
}

export const useChangeLook = () => useListChange('look', lookDocument, lookFields);

export const useChangeCharacter = () => useListChange('character', characterDocument, characterFields);

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
