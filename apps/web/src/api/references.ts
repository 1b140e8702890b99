import {
  keepPreviousData,
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
  type QueryClient,
} from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { useNotice } from '../parts/notices';
import { api, ask, type Reference } from './client';
import { changeDocument } from './changeDocument';
import { referenceDocument, referenceFields, withEdits, type ReferenceFields } from './documents';
import { keys } from './keys';
import { loadReference } from './loadReference';
import { openDocument } from '../shared/save/documents';
import { useOpenDocument } from '../shared/save/useSaved';
import { remember, stepBack } from './undo';
import { mayGoWell, sendChange, type UnsentChange } from './unsentChanges';

export type Found = Schemas['SearchDto'];
export type Gives = Schemas['GivesDto'];
export type Preparation = Schemas['PreparationDto'];
export type Box = Schemas['BoxDto'];
export type Corrections = Omit<Schemas['CorrectDto'], 'version'>;

/** Everything that is found for a query string, as ids and aspects. */
export const useSearch = (query: string) =>
  useQuery({
    queryKey: keys.search(query),
    placeholderData: keepPreviousData,
    queryFn: () =>
      ask(api.GET('/api/v1/references/search', { params: { query: Object.fromEntries(new URLSearchParams(query)) } })),
  });

/** One function for all renders: what is combined stays the same object as long as no reference changes. */
const byId = (results: readonly { readonly data?: Reference | null }[]): ReadonlyMap<string, Reference> =>
  new Map(results.flatMap(({ data }) => (data ? [[data.id, data] as const] : [])));

/** The references with these ids, as far as they have come; those that are gone are left out. */
export function useReferencesById(ids: readonly string[]): ReadonlyMap<string, Reference> {
  return useQueries({
    queries: [...new Set(ids)].map((id) => ({
      queryKey: keys.reference(id),
      queryFn: () => loadReference(id),
      staleTime: 120_000,
    })),
    combine: byId,
  });
}

const put = (client: QueryClient, reference: Reference) =>
  client.setQueryData(keys.reference(reference.id), withEdits(`reference ${reference.id}`, reference, referenceFields));

/** Shows a change at once. */
function foresee(client: QueryClient, id: string, change: Partial<Reference>): void {
  client.setQueryData<Reference | null>(keys.reference(id), (r) => r && { ...r, ...change });
}

function refresh(client: QueryClient, ids: readonly string[]): void {
  for (const id of ids) void client.invalidateQueries({ queryKey: keys.reference(id) });
  void client.invalidateQueries({ queryKey: ['search'] });
}

/** Changes title, tags, notes or preparation of one reference: at once on the screen, saved by its queue, undoable. */
export function useChangeReference() {
  const client = useQueryClient();
  const tell = useNotice();
  return {
    mutate: ({ reference, change }: { reference: Reference; change: Partial<ReferenceFields> }) => {
      const queue = referenceDocument(client, reference);
      queue.listen({ onRefused: (reason) => tell(reason, { grave: true }) });
      // a new preparation makes a picture: it waits for the hand to rest
      const wait = change.preparation ? 250 : 300;
      changeDocument(queue, change, referenceFields(reference), { name: `reference ${reference.id}`, wait });
    },
  };
}

/** Changes many references in one go; Ctrl+Z and the notice undo it. What is not sent when the page closes is sent by the next one. */
export function useChangeMany() {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: (wish: UnsentChange & { says?: string }) => sendChange(wish),
    // quick keys: one after the other, so that the last one wins
    scope: { id: 'many references' },
    retry: (_, error) => mayGoWell(error),
    onMutate: ({ ids, change }) => {
      const { kind, rating, favourite, rights } = change;
      const plain = Object.fromEntries(
        Object.entries({ kind, rating, favourite, rights }).filter(([, v]) => v !== undefined),
      );
      for (const id of ids) foresee(client, id, plain);
    },
    onSuccess: ({ before }, { ids, says }) => {
      refresh(client, ids);
      remember({ kind: 'many', before });
      if (says) tell(says, { action: { label: 'Undo', run: () => void stepBack() } });
    },
    onError: (error, { ids }) => {
      refresh(client, ids);
      tell(error.message, { grave: true });
    },
  });
}

/** What the engine gets of a reference. */
export const useGives = (reference: Reference) =>
  useQuery({
    queryKey: [
      ...keys.reference(reference.id),
      'gives',
      reference.version,
      reference.pictureUrl,
      reference.visionState,
    ],
    placeholderData: keepPreviousData,
    queryFn: () => ask(api.GET('/api/v1/references/{id}/gives', { params: { path: { id: reference.id } } })),
  });

/** Sets how a picture is prepared; undoable. Pending while the server makes the picture. */
export function usePrepare() {
  const change = useChangeReference();
  return {
    mutate: ({ reference, preparation }: { reference: Reference; preparation: Preparation }) =>
      change.mutate({ reference, change: { preparation } }),
  };
}

/** True while changes of a reference are on their way. */
export const useIsSaving = (id: string): boolean => useOpenDocument(`reference ${id}`)?.saved === false;

/** Sets right what was read of a picture. */
export function useCorrect() {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async ({ reference, corrections }: { reference: Reference; corrections: Corrections }) => {
      const at = { params: { path: { id: reference.id } } };
      await openDocument(`reference ${reference.id}`)?.flush();
      const send = (version: number) =>
        ask(api.PATCH('/api/v1/references/{id}/corrections', { ...at, body: { ...corrections, version } }));
      const { version } = await ask(api.GET('/api/v1/references/{id}', at));
      return send(version);
    },
    // one after the other: each is based on what the one before it left
    scope: { id: 'corrections' },
    onSuccess: (saved) => put(client, saved),
    onError: (error) => tell(error.message, { grave: true }),
  });
}

/** Splits a collage; its parts come in as files do. */
export function useSplit() {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: (id: string) => ask(api.POST('/api/v1/references/{id}/split', { params: { path: { id } } })),
    onSuccess: () => void client.invalidateQueries({ queryKey: keys.imports }),
    onError: (error) => tell(error.message, { grave: true }),
  });
}
