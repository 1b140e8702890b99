import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { useNotice } from '../parts/notices';
import { api, ask, type Mix, type Series, type SeriesSummary, type Shot, type ShotTake } from './client';
import { keys } from './keys';
import { marked, type Marks } from './marked';
import { remember, stepBack, type Undo } from './undo';

export type NewShot = Schemas['NewShotDto'];
export type ShotMend = Schemas['ShotMendDto'];
export type OwnSettings = Schemas['OwnSettingsDto'];
export type SourceKind = Schemas['SourceKind'];
type ShotFields = Omit<Schemas['ChangeShotDto'], 'version'>;

export const useAllSeries = () => useQuery({ queryKey: keys.series, queryFn: () => ask(api.GET('/api/v1/series')) });

const at = (id: string) => ({ params: { path: { id } } });

export const useSeries = (id: string | undefined) =>
  useQuery({
    queryKey: keys.oneSeries(id ?? ''),
    enabled: !!id,
    queryFn: () => ask(api.GET('/api/v1/series/{id}', at(id!))),
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
  client.setQueryData(keys.oneSeries(series.id), series);
  client.setQueryData<SeriesSummary[]>(keys.series, (all) =>
    all?.map((s) => (s.id === series.id ? { ...s, name: series.name, shots: series.shots.length } : s)),
  );
  void client.invalidateQueries({ queryKey: [...keys.oneSeries(series.id), 'consistency'] });
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
  const act = async (
    call: () => Promise<Series>,
    says?: string,
    undo?: () => Promise<Series>,
  ): Promise<Series | undefined> => {
    try {
      const done = await call();
      put(client, done);
      if (undo) {
        const back: Undo = async () => {
          put(client, await undo());
          return async () => {
            put(client, await call());
            return back;
          };
        };
        remember(back);
        if (says) tell(says, { action: { label: 'Undo', run: () => void stepBack().catch(grave) } });
      } else if (says) tell(says);
      return done;
    } catch (e) {
      grave(e as Error);
      return undefined;
    }
  };
  const patch = (shotId: string, fields: ShotFields) => {
    const { version } = now().shots.find((s) => s.id === shotId)!;
    return ask(api.PATCH('/api/v1/shots/{id}', { ...at(shotId), body: { version, ...fields } }));
  };
  const batch = (name: string) => ({ params: { path: { id, batch: name } } });
  return {
    /** Changes a shot: at once on the screen, rolled back when it is refused. */
    changeShot: (shot: Shot, fields: ShotFields, says?: string) => {
      const was = Object.fromEntries(Object.keys(fields).map((k) => [k, shot[k as keyof Shot]])) as ShotFields;
      const { position, ...shown } = fields;
      client.setQueryData<Series>(keys.oneSeries(id), (s) => {
        if (!s) return s;
        const shots = s.shots.map((x) => (x.id === shot.id ? { ...x, ...shown } : x));
        if (position === undefined) return { ...s, shots };
        const rest = shots.filter((x) => x.id !== shot.id);
        rest.splice(
          position,
          0,
          shots.find((x) => x.id === shot.id)!,
        );
        return { ...s, shots: rest };
      });
      return act(
        () => patch(shot.id, fields),
        says,
        () => patch(shot.id, was),
      );
    },
    addShots: (shots: NewShot[], place?: number) =>
      act(() => ask(api.POST('/api/v1/series/{id}/shots', { ...at(id), body: { shots, at: place } }))),
    duplicate: (shot: Shot) => act(() => ask(api.POST('/api/v1/shots/{id}/duplicate', at(shot.id)))),
    removeShot: (shot: Shot) =>
      act(
        () => ask(api.DELETE('/api/v1/shots/{id}', at(shot.id))),
        `“${shot.title}” was taken out`,
        () => ask(api.POST('/api/v1/shots/{id}/restore', at(shot.id))),
      ),
    rename: (name: string) =>
      act(() => ask(api.PATCH('/api/v1/series/{id}', { ...at(id), body: { version: now().version, name } }))),
    pin: (mixVersion: number | null) =>
      act(() => ask(api.PATCH('/api/v1/series/{id}', { ...at(id), body: { version: now().version, mixVersion } }))),
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
    tryMend: (shot: Shot, mend: ShotMend) =>
      act(() =>
        ask(
          api.POST('/api/v1/series/{id}/shots/{shotId}/tries', {
            params: { path: { id, shotId: shot.id } as never },
            body: mend,
          }),
        ),
      ),
    trySwap: (swap: Schemas['SwapDto']) =>
      act(() => ask(api.POST('/api/v1/series/{id}/swaps', { ...at(id), body: swap }))),
    keepTry: (name: string, says: string) =>
      act(
        () => ask(api.POST('/api/v1/series/{id}/tries/{batch}/keep', batch(name))),
        says,
        () => ask(api.POST('/api/v1/series/{id}/tries/{batch}/take-back', batch(name))),
      ),
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

/** Says something of a take of a shot: at once on the screen, rolled back when it is refused. */
export function useMarkShotTake(seriesId: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: ({ take, marks }: { take: ShotTake; marks: Marks }) =>
      ask(api.PATCH('/api/v1/takes/{id}', { ...at(take.id), body: { version: take.version, ...marks } })),
    onMutate: ({ take, marks }) => {
      const before = client.getQueryData<Series>(keys.oneSeries(seriesId));
      client.setQueryData<Series>(
        keys.oneSeries(seriesId),
        (s) => s && { ...s, shots: s.shots.map((shot) => marked(shot, take, marks)) },
      );
      return before;
    },
    onError: (e, _, before) => {
      if (before) client.setQueryData(keys.oneSeries(seriesId), before);
      tell(e.message, { grave: true });
    },
    onSettled: () => void client.invalidateQueries({ queryKey: keys.oneSeries(seriesId) }),
  });
}
