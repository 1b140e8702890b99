import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { api, ask, type Mix } from './client';
import { keys } from './keys';
import { chosenProject } from './projectChoice';

export const useStudio = () => useQuery({ queryKey: keys.studio, queryFn: () => ask(api.GET('/api/v1/studio')) });

export const useMixes = () => useQuery({ queryKey: keys.mixes, queryFn: () => ask(api.GET('/api/v1/mixes')) });

export const useTakes = (mixId: string | undefined) =>
  useQuery({
    queryKey: keys.takes(mixId ?? ''),
    enabled: !!mixId,
    queryFn: () => ask(api.GET('/api/v1/takes', { params: { query: { mixId: mixId! } } })),
  });

/** The address of the picture that stands for each mix, by the mix's id; asked for anew whenever something shows it. */
export const useMixCovers = (): ReadonlyMap<string, string> => {
  const { data } = useQuery({
    queryKey: keys.covers,
    staleTime: 0,
    queryFn: () => ask(api.GET('/api/v1/takes/covers')),
  });
  return new Map(data?.map((c) => [c.mixId, c.thumbnailUrl]));
};

/** Makes a new mix in the project that one works in, and keeps it. */
export function useNewMix() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (fields: Partial<Pick<Mix, 'name' | 'prompt' | 'settings' | 'influences' | 'projectId'>>) =>
      ask(api.POST('/api/v1/mixes', { body: { projectId: workingIn(client), ...fields } })),
    onSuccess: (mix) => client.setQueryData<Mix[]>(keys.mixes, (all) => [mix, ...(all ?? [])]),
  });
}

/** Id of the project that was chosen, if it is still there: the first one takes what names none. */
export function workingIn(client: QueryClient): string | undefined {
  const id = chosenProject();
  return client.getQueryData<readonly { readonly id: string }[]>(keys.projects)?.some((p) => p.id === id)
    ? id
    : undefined;
}
