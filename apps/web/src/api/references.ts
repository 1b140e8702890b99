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
import { keys } from './keys';
import { remember } from './undo';

export type Found = Schemas['SearchDto'];
export type Gives = Schemas['GivesDto'];
export type BulkChange = Omit<Schemas['BulkChangeDto'], 'ids'>;
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

const AT_ONCE = 100;
let waiting = new Map<string, ((r: Reference | null) => void)[]>();

/** Loads one reference; those that are asked for in the same moment come in one answer. */
function loadReference(id: string): Promise<Reference | null> {
  return new Promise((resolve, reject) => {
    if (!waiting.size)
      setTimeout(() => {
        const batch = waiting;
        waiting = new Map();
        const ids = [...batch.keys()];
        for (let k = 0; k < ids.length; k += AT_ONCE)
          ask(api.GET('/api/v1/references', { params: { query: { ids: ids.slice(k, k + AT_ONCE).join(',') } } })).then(
            (found) => {
              const byId = new Map(found.map((r) => [r.id, r]));
              for (const one of ids.slice(k, k + AT_ONCE))
                batch.get(one)?.forEach((done) => done(byId.get(one) ?? null));
            },
            reject,
          );
      }, 8);
    waiting.set(id, [...(waiting.get(id) ?? []), resolve]);
  });
}

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

const put = (client: QueryClient, reference: Reference) => client.setQueryData(keys.reference(reference.id), reference);

/** Shows a change at once. */
function foresee(client: QueryClient, id: string, change: Partial<Reference>): void {
  client.setQueryData<Reference | null>(keys.reference(id), (r) => r && { ...r, ...change });
}

function refresh(client: QueryClient, ids: readonly string[]): void {
  for (const id of ids) void client.invalidateQueries({ queryKey: keys.reference(id) });
  void client.invalidateQueries({ queryKey: ['search'] });
}

/** Changes title, tags or notes of one reference: at once on the screen, rolled back with a message when refused. */
export function useChangeReference() {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: ({
      reference,
      change,
    }: {
      reference: Reference;
      change: { title?: string; tags?: string[]; notes?: string };
    }) =>
      ask(
        api.PATCH('/api/v1/references/{id}', {
          params: { path: { id: reference.id } },
          body: { ...change, version: reference.version },
        }),
      ),
    onMutate: ({ reference, change }) => foresee(client, reference.id, change),
    onSuccess: (saved, { reference, change }) => {
      put(client, saved);
      void client.invalidateQueries({ queryKey: ['search'] });
      const before = Object.fromEntries(Object.keys(change).map((k) => [k, reference[k as keyof typeof change]]));
      remember(async () => {
        const now = await ask(api.GET('/api/v1/references/{id}', { params: { path: { id: saved.id } } }));
        put(
          client,
          await ask(
            api.PATCH('/api/v1/references/{id}', {
              params: { path: { id: saved.id } },
              body: { ...before, version: now.version },
            }),
          ),
        );
      });
    },
    onError: (error, { reference }) => {
      put(client, reference);
      refresh(client, [reference.id]);
      tell(error.message, { grave: true });
    },
  });
}

type Before = Schemas['BulkChangedDto']['before'];

/** Changes many references in one go; Ctrl+Z and the notice undo it. */
export function useChangeMany() {
  const client = useQueryClient();
  const tell = useNotice();
  const putBack = (before: Before) => async () => {
    const now = await ask(api.POST('/api/v1/references/undo', { body: { before } }));
    refresh(
      client,
      before.map((b) => b.id),
    );
    return putBack(now.before);
  };
  return useMutation({
    mutationFn: ({ ids, change }: { ids: readonly string[]; change: BulkChange; says?: string }) =>
      ask(api.POST('/api/v1/references/change', { body: { ids: [...ids], ...change } })),
    onMutate: ({ ids, change }) => {
      const { kind, rating, favourite, rights } = change;
      const plain = Object.fromEntries(
        Object.entries({ kind, rating, favourite, rights }).filter(([, v]) => v !== undefined),
      );
      for (const id of ids) foresee(client, id, plain);
    },
    onSuccess: ({ before }, { ids, says }) => {
      refresh(client, ids);
      const undo = putBack(before);
      remember(undo);
      if (says) tell(says, { action: { label: 'Undo', run: () => void undo() } });
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

/** Sets how a picture is prepared; undoable. */
export function usePrepare() {
  const client = useQueryClient();
  const tell = useNotice();
  const send = async (id: string, preparation: Preparation) => {
    const now = await ask(api.GET('/api/v1/references/{id}', { params: { path: { id } } }));
    const saved = await ask(
      api.PUT('/api/v1/references/{id}/preparation', {
        params: { path: { id } },
        body: { version: now.version, preparation },
      }),
    );
    put(client, saved);
    void client.invalidateQueries({ queryKey: ['search'] });
    return now.preparation;
  };
  return useMutation({
    mutationFn: ({ reference, preparation }: { reference: Reference; preparation: Preparation }) =>
      send(reference.id, preparation),
    onMutate: ({ reference, preparation }) => foresee(client, reference.id, { preparation }),
    onSuccess: (before, { reference }) => {
      const back = (preparation: Preparation) => async () => back(await send(reference.id, preparation));
      remember(back(before));
    },
    onError: (error, { reference }) => {
      put(client, reference);
      tell(error.message, { grave: true });
    },
  });
}

/** Sets right what was read of a picture. */
export function useCorrect() {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: ({ reference, corrections }: { reference: Reference; corrections: Corrections }) =>
      ask(
        api.PATCH('/api/v1/references/{id}/corrections', {
          params: { path: { id: reference.id } },
          body: { ...corrections, version: reference.version },
        }),
      ),
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
