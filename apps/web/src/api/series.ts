import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { useNotice } from '../parts/notices';
import { api, ask, type Series, type ShotTake } from './client';
import { takeDocument, takeFields, withShotEdits } from './documents';
import { keys } from './keys';
import { exclusive, marked, type Marks } from './marked';

export type NewShot = Schemas['NewShotDto'];
export type OwnSettings = Schemas['OwnSettingsDto'];
export type SourceKind = Schemas['SourceKind'];

export const useAllSeries = () => useQuery({ queryKey: keys.series, queryFn: () => ask(api.GET('/api/v1/series')) });

const at = (id: string) => ({ params: { path: { id } } });

export const useSeries = (id: string | undefined) =>
  useQuery({
    queryKey: keys.oneSeries(id ?? ''),
    enabled: !!id,
    queryFn: async () => withShotEdits(await ask(api.GET('/api/v1/series/{id}', at(id!)))),
  });

/** How far the takes of a series hold together; those of a batch of tries when one is named. */
export const useConsistency = (id: string, batch = '', enabled = true) =>
  useQuery({
    queryKey: keys.consistency(id, batch),
    enabled,
    staleTime: 5_000,
    placeholderData: (before) => before,
    queryFn: () =>
      ask(
        api.GET('/api/v1/series/{id}/consistency', {
          params: { path: { id }, query: batch ? { batch } : ({} as { batch: string }) },
        }),
      ),
  });

/** Makes a series and answers it. */
export function useNewSeries() {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: (fields: { name: string; mixId: string; shots?: NewShot[] }) =>
      ask(api.POST('/api/v1/series', { body: fields })),
    onSuccess: (series) => {
      client.setQueryData(keys.oneSeries(series.id), series);
      void client.invalidateQueries({ queryKey: keys.series, exact: true });
    },
    onError: (e) => tell(e.message, { grave: true }),
  });
}

/** Makes a series over a mix, with the mix's own words as its first shot. */
export function useSeriesOfMix() {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: (mixId: string) => ask(api.POST('/api/v1/series/from-mix', { body: { mixId } })),
    onSuccess: (series) => {
      client.setQueryData(keys.oneSeries(series.id), series);
      return client.invalidateQueries({ queryKey: keys.series, exact: true });
    },
    onError: (e) => tell(e.message, { grave: true }),
  });
}

/** What shots a text holds. */
export const readShots = (text: string): Promise<NewShot[]> => ask(api.POST('/api/v1/shots/read', { body: { text } }));

/** Says something of a take of a shot: at once on the screen, taken back when it is refused. */
export function useMarkShotTake(seriesId: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return {
    mutate: ({ take, marks }: { take: ShotTake; marks: Marks }) => {
      const key = keys.oneSeries(seriesId);
      const queue = takeDocument(take, `series ${seriesId}`, (fields, saved) => {
        client.setQueryData<Series>(
          key,
          (s) => s && { ...s, shots: s.shots.map((shot) => marked(shot, take, fields)) },
        );
        if (saved) void client.invalidateQueries({ queryKey: key });
      });
      queue.listen({ onRefused: (reason) => tell(reason, { grave: true }) });
      queue.set(exclusive(marks), takeFields(take));
    },
  };
}
