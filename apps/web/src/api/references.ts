import {
  keepPreviousData,
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
  type QueryClient,
} from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { useMemo } from 'react';
import { useNotice } from '../parts/notices';
import { api, ask, type Reference } from './client';
import { changeDocument } from './changeDocument';
import { withCorrections, type Corrections } from './corrections';
import { referenceDocument, referenceFields, type ReferenceFields } from './documents';
import { keys } from './keys';
import { loadReference } from './loadReference';
import { useOpenDocument } from '../shared/save/useSaved';
import { remember, stepBack } from './undo';
import { mayGoWell, sendChange, type UnsentChange } from './unsentChanges';

export type Found = Schemas['SearchDto'];
export type EngineView = Schemas['EngineViewDto'];
export type Preparation = Schemas['PreparationDto'];
export type Box = Schemas['BoxDto'];

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

/** Shows a change at once. */
function foresee(client: QueryClient, id: string, change: Partial<Reference>): void {
  client.setQueryData<Reference | null>(keys.reference(id), (r) => r && { ...r, ...change });
}

function refresh(client: QueryClient, ids: readonly string[]): void {
  for (const id of ids) void client.invalidateQueries({ queryKey: keys.reference(id) });
  void client.invalidateQueries({ queryKey: ['search'] });
}

/** Milliseconds of rest before a change is sent: each makes a picture or a text anew. */
const REST = 250;

/** Changes what is edited of one reference, as a title or how it is prepared: at once on the screen, saved by its queue, undoable. */
export function useChangeReference() {
  const client = useQueryClient();
  const tell = useNotice();
  return {
    mutate: ({ reference, change }: { reference: Reference; change: Partial<ReferenceFields> }) => {
      const queue = referenceDocument(client, reference);
      queue.listen({ onRefused: (reason) => tell(reason, { grave: true }) });
      changeDocument(queue, change, referenceFields(reference), { name: `reference ${reference.id}`, wait: REST });
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

/** What the engine gets of a reference, with what was just set right. */
export function useEngineView(reference: Reference) {
  const { id, version, pictureUrl, visionState, corrections } = reference;
  const { data } = useQuery({
    queryKey: [...keys.reference(id), 'gives', version, pictureUrl, visionState],
    placeholderData: keepPreviousData,
    queryFn: () => ask(api.GET('/api/v1/references/{id}/gives', { params: { path: { id } } })),
  });
  return useMemo(() => data && withCorrections(data, corrections), [data, corrections]);
}

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

/** Sets right what was read of a picture: what is not named stays as it was. Quick moves that follow each other are one step of undo. */
export function useCorrect() {
  const change = useChangeReference();
  return (reference: Reference, corrections: Partial<Corrections>) =>
    change.mutate({ reference, change: { corrections: { ...reference.corrections, ...corrections } } });
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
