import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { useNotice } from '../parts/notices';
import { api, ask, type Mix, type Series, type SeriesSummary, type Shot, type ShotTake } from './client';
import { keys } from './keys';
import { exclusive, marked, type Marks } from './marked';
import { remember, stepBack, type Call } from './undo';
import { openDocument } from '../shared/save/documents';
import { changeDocument } from './changeDocument';
import {
  putSeries,
  seriesDocument,
  seriesFields,
  shotDocument,
  shotFields,
  takeDocument,
  takeFields,
  withShotEdits,
  type SeriesFields,
  type ShotFields,
} from './documents';

export type NewShot = Schemas['NewShotDto'];
export type ShotRemedy = Schemas['ShotRemedyDto'];
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

function put(client: QueryClient, series: Series): void {
  putSeries(client, series);
  client.setQueryData<SeriesSummary[]>(keys.series, (all) =>
    all?.map((s) => (s.id === series.id ? { ...s, name: series.name, shots: series.shots.length } : s)),
  );
  void client.invalidateQueries({ queryKey: [...keys.oneSeries(series.id), 'consistency'] });
}

interface Undoing {
  readonly undo: Call;
  readonly redo: Call;
}

/** Everything that is done to one series. Refusals are told; what can be undone goes with its undo. */
export function useSeriesActs(series: Series) {
  const client = useQueryClient();
  const tell = useNotice();
  const { id } = series;
  const now = () => client.getQueryData<Series>(keys.oneSeries(id)) ?? series;
  const grave = (e: Error) => {
    tell(e.message, { grave: true });
    void client.invalidateQueries({ queryKey: keys.oneSeries(id) });
  };
  /** Does something that answers the whole series; what can be undone can be done again. */
  const act = async (call: () => Promise<Series>, says?: string, back?: Undoing): Promise<Series | undefined> => {
    try {
      const done = await call();
      put(client, done);
      if (back) remember({ kind: 'calls', now: back.undo, then: back.redo });
      const undo = { label: 'Undo', run: () => void stepBack().catch(grave) };
      if (says) tell(says, back && { action: undo });
      return done;
    } catch (e) {
      grave(e as Error);
      return undefined;
    }
  };
  const place = (shotId: string, position: number) => {
    const { version } = now().shots.find((s) => s.id === shotId)!;
    return ask(api.PATCH('/api/v1/shots/{id}', { ...at(shotId), body: { version, position } }));
  };
  const self = (fields: Partial<SeriesFields>) => {
    const queue = seriesDocument(client, now());
    queue.listen({ onRefused: (reason) => tell(reason, { grave: true }) });
    changeDocument(queue, fields, seriesFields(now()), { name: `series ${id}` });
  };
  const batch = (name: string) => ({ params: { path: { id, batch: name } } });
  return {
    /** Changes a shot: at once on the screen, saved by its queue, taken back when it is refused. */
    changeShot: (shot: Shot, fields: Partial<ShotFields>, says?: string) => {
      const queue = shotDocument(client, id, shot);
      queue.listen({ onRefused: (reason) => tell(reason, { grave: true }) });
      const typed = fields.prompt ?? fields.title ?? fields.notes ?? fields.seed;
      changeDocument(queue, fields, shotFields(shot), {
        name: `shot ${shot.id}`,
        seriesId: id,
        wait: typed === undefined ? undefined : 350,
      });
      if (says) tell(says, { action: { label: 'Undo', run: () => void stepBack().catch(grave) } });
    },
    /** Moves a shot to another place: at once on the screen, rolled back when it is refused. */
    moveShot: async (shot: Shot, position: number) => {
      const was = now().shots.findIndex((s) => s.id === shot.id);
      client.setQueryData<Series>(keys.oneSeries(id), (s) => {
        if (!s) return s;
        const rest = s.shots.filter((x) => x.id !== shot.id);
        rest.splice(
          position,
          0,
          s.shots.find((x) => x.id === shot.id)!,
        );
        return { ...s, shots: rest };
      });
      await openDocument(`shot ${shot.id}`)?.flush();
      const to = (place: number): Call => ({
        method: 'PATCH',
        path: `/api/v1/shots/${shot.id}`,
        body: { position: place },
        versionOf: { seriesId: id, shotId: shot.id },
      });
      return act(() => place(shot.id, position), undefined, { undo: to(was), redo: to(position) });
    },
    addShots: (shots: NewShot[], place?: number) =>
      act(() => ask(api.POST('/api/v1/series/{id}/shots', { ...at(id), body: { shots, at: place } }))),
    duplicate: (shot: Shot) => act(() => ask(api.POST('/api/v1/shots/{id}/duplicate', at(shot.id)))),
    removeShot: (shot: Shot) =>
      act(() => ask(api.DELETE('/api/v1/shots/{id}', at(shot.id))), `“${shot.title}” was taken out`, {
        undo: { method: 'POST', path: `/api/v1/shots/${shot.id}/restore` },
        redo: { method: 'DELETE', path: `/api/v1/shots/${shot.id}` },
      }),
    rename: (name: string) => self({ name }),
    pin: (mixVersion: number | null) => self({ mixVersion }),
    render: (wish: Schemas['RenderSeriesDto']) =>
      ask(api.POST('/api/v1/series/{id}/render', { ...at(id), body: wish }))
        .then(({ queued }) => {
          if (!queued) tell('Every shot has such a take already.');
          return client.invalidateQueries({ queryKey: keys.oneSeries(id) });
        })
        .catch(grave),
    pause: () => act(() => ask(api.POST('/api/v1/series/{id}/pause', at(id)))),
    goOn: () => act(() => ask(api.POST('/api/v1/series/{id}/go-on', at(id)))),
    stop: () => act(() => ask(api.POST('/api/v1/series/{id}/stop', at(id)))),
    tryRemedy: (shot: Shot, remedy: ShotRemedy) =>
      act(() =>
        ask(
          api.POST('/api/v1/series/{id}/shots/{shotId}/tries', {
            params: { path: { id, shotId: shot.id } as never },
            body: remedy,
          }),
        ),
      ),
    trySwap: (swap: Schemas['SwapDto']) =>
      act(() => ask(api.POST('/api/v1/series/{id}/swaps', { ...at(id), body: swap }))),
    keepTry: (name: string, says: string) =>
      act(() => ask(api.POST('/api/v1/series/{id}/tries/{batch}/keep', batch(name))), says, {
        undo: { method: 'POST', path: `/api/v1/series/${id}/tries/${name}/take-back` },
        redo: { method: 'POST', path: `/api/v1/series/${id}/tries/${name}/keep` },
      }),
    dropTry: (name: string) => act(() => ask(api.DELETE('/api/v1/series/{id}/tries/{batch}', batch(name)))),
    toMix: (shot: Shot): Promise<Mix | undefined> =>
      ask(api.POST('/api/v1/shots/{id}/mix', at(shot.id)))
        .then((mix) => {
          client.setQueryData<Mix[]>(keys.mixes, (all) => [mix, ...(all ?? [])]);
          return mix;
        })
        .catch((e: Error) => {
          grave(e);
          return undefined;
        }),
  };
}
export type SeriesActs = ReturnType<typeof useSeriesActs>;

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
