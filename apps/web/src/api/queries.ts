import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useNotice } from '../parts/notices';
import { api, ask, type Kind, type Mix, type Reference } from './client';

/** The keys under which answers are kept. */
export const keys = {
  studio: ['studio'] as const,
  references: ['references'] as const,
  mixes: ['mixes'] as const,
  mix: (id: string) => ['mixes', id] as const,
  takes: (mixId: string) => ['takes', mixId] as const,
  series: ['series'] as const,
};

export const useStudio = () => useQuery({ queryKey: keys.studio, queryFn: () => ask(api.GET('/api/v1/studio')) });

/** The whole library, newest first. */
export const useReferences = () =>
  useQuery({ queryKey: keys.references, queryFn: () => ask(api.GET('/api/v1/references')) });

export const useMixes = () => useQuery({ queryKey: keys.mixes, queryFn: () => ask(api.GET('/api/v1/mixes')) });

export const useTakes = (mixId: string | undefined) =>
  useQuery({
    queryKey: keys.takes(mixId ?? ''),
    enabled: !!mixId,
    queryFn: () => ask(api.GET('/api/v1/takes', { params: { query: { mixId: mixId! } } })),
  });

export const useSeries = () => useQuery({ queryKey: keys.series, queryFn: () => ask(api.GET('/api/v1/series')) });

/** Fields of a reference that a person may change. */
export interface ReferenceChange {
  readonly kind?: Kind;
  readonly title?: string;
  readonly tags?: string[];
  readonly notes?: string;
}

const replaceReference = (client: QueryClient, id: string, change: Partial<Reference>) =>
  client.setQueryData<Reference[]>(keys.references, (all) => all?.map((r) => (r.id === id ? { ...r, ...change } : r)));

/** Changes a reference at once on the screen; rolls back with a message when the server refuses. */
export function useChangeReference() {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: ({ reference, change }: { reference: Reference; change: ReferenceChange }) =>
      ask(
        api.PATCH('/api/v1/references/{id}', {
          params: { path: { id: reference.id } },
          body: { ...change, version: reference.version },
        }),
      ),
    onMutate: ({ reference, change }) => replaceReference(client, reference.id, change),
    onSuccess: (saved) => replaceReference(client, saved.id, saved),
    onError: (error, { reference }) => {
      replaceReference(client, reference.id, reference);
      void client.invalidateQueries({ queryKey: keys.references });
      tell(error.message, { grave: true });
    },
  });
}

/** Puts a reference away; the notice offers to bring it back. */
export function useRemoveReference() {
  const client = useQueryClient();
  const tell = useNotice();
  const refresh = () => void client.invalidateQueries({ queryKey: keys.references });
  const restore = (id: string) =>
    void ask(api.POST('/api/v1/references/{id}/restore', { params: { path: { id } } })).then(refresh);
  return useMutation({
    mutationFn: (reference: Reference) =>
      ask(api.DELETE('/api/v1/references/{id}', { params: { path: { id: reference.id } } })),
    onMutate: (reference) =>
      client.setQueryData<Reference[]>(keys.references, (all) => all?.filter((r) => r.id !== reference.id)),
    onSuccess: (_, reference) =>
      tell(`“${reference.title}” was put away.`, {
        action: { label: 'Bring it back', run: () => restore(reference.id) },
      }),
    onError: (error) => {
      refresh();
      tell(error.message, { grave: true });
    },
  });
}

/** Makes a new mix and keeps it. */
export function useNewMix() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (fields: Partial<Pick<Mix, 'name' | 'prompt' | 'settings' | 'influences'>>) =>
      ask(api.POST('/api/v1/mixes', { body: fields })),
    onSuccess: (mix) => client.setQueryData<Mix[]>(keys.mixes, (all) => [mix, ...(all ?? [])]),
  });
}
