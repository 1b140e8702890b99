import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { useNotice } from '../parts/notices';
import { openDocument } from '../shared/save/documents';
import { changeDocument } from './changeDocument';
import { api, ask, type Mix, type Series, type SeriesSummary, type Shot } from './client';
import {
  putSeries,
  seriesDocument,
  seriesFields,
  shotDocument,
  shotFields,
  type SeriesFields,
  type ShotFields,
} from './documents';
import { keys } from './keys';
import type { NewShot } from './series';
import { remember, stepBack, type Call } from './undo';

export type ShotRemedy = Schemas['ShotRemedyDto'];

const at = (id: string) => ({ params: { path: { id } } });

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

/** What every act on a series stands on. */
interface Acting {
  readonly id: string;
  readonly client: QueryClient;
  /** The series as it is shown now. */
  readonly now: () => Series;
  readonly tell: ReturnType<typeof useNotice>;
  /** Tells why something was refused, and reads the series again. */
  readonly grave: (e: Error) => void;
  /** Does something that answers the whole series; what can be undone can be done again. */
  readonly act: (call: () => Promise<Series>, says?: string, back?: Undoing) => Promise<Series | undefined>;
}

/** Everything that is done to one series. Refusals are told; what can be undone goes with its undo. */
export function useSeriesActs(series: Series) {
  const acting = useActing(series);
  return { ...shotActs(acting), ...seriesActs(acting), ...tryActs(acting) };
}
export type SeriesActs = ReturnType<typeof useSeriesActs>;

function useActing(series: Series): Acting {
  const client = useQueryClient();
  const tell = useNotice();
  const { id } = series;
  const grave = (e: Error) => {
    tell(e.message, { grave: true });
    void client.invalidateQueries({ queryKey: keys.oneSeries(id) });
  };
  const act: Acting['act'] = async (call, says, back) => {
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
  const now = () => client.getQueryData<Series>(keys.oneSeries(id)) ?? series;
  return { id, client, now, tell, grave, act };
}

function shotActs({ id, client, now, tell, grave, act }: Acting) {
  const place = (shotId: string, position: number) => {
    const { version } = now().shots.find((s) => s.id === shotId)!;
    return ask(api.PATCH('/api/v1/shots/{id}', { ...at(shotId), body: { version, position } }));
  };
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

function seriesActs({ id, client, now, tell, grave, act }: Acting) {
  const self = (fields: Partial<SeriesFields>) => {
    const queue = seriesDocument(client, now());
    queue.listen({ onRefused: (reason) => tell(reason, { grave: true }) });
    changeDocument(queue, fields, seriesFields(now()), { name: `series ${id}` });
  };
  return {
    rename: (name: string) => self({ name }),
    pin: (mixVersion: number | null) => self({ mixVersion }),
    render: (wish: Schemas['RenderSeriesDto']) =>
      ask(api.POST('/api/v1/series/{id}/render', { ...at(id), body: wish }))
        .then(({ queued }) => {
          if (!queued) tell('All shots are up to date.');
          return client.invalidateQueries({ queryKey: keys.oneSeries(id) });
        })
        .catch(grave),
    pause: () => act(() => ask(api.POST('/api/v1/series/{id}/pause', at(id)))),
    resume: () => act(() => ask(api.POST('/api/v1/series/{id}/go-on', at(id)))),
    stop: () => act(() => ask(api.POST('/api/v1/series/{id}/stop', at(id)))),
  };
}

function tryActs({ id, client, act, grave }: Acting) {
  const batch = (name: string) => ({ params: { path: { id, batch: name } } });
  return {
    tryRemedy: (shot: Shot, remedy: ShotRemedy) =>
      act(() =>
        ask(
          api.POST('/api/v1/series/{id}/shots/{shotId}/tries', {
            params: { path: { id, shotId: shot.id } as never },
            body: remedy,
          }),
        ),
      ),
    /** Has the remedies of a shot that falls out tried; what comes of it is told with the consistency of the series. */
    tryOut: (shot: Shot) =>
      ask(
        api.POST('/api/v1/series/{id}/shots/{shotId}/remedies', {
          params: { path: { id, shotId: shot.id } },
        }),
      )
        .then((known) => client.setQueryData(keys.consistency(id, ''), known))
        .catch(grave),
    trySwap: (swap: Schemas['SwapDto']) =>
      act(() => ask(api.POST('/api/v1/series/{id}/swaps', { ...at(id), body: swap }))),
    keepTry: (name: string, says: string) =>
      act(() => ask(api.POST('/api/v1/series/{id}/tries/{batch}/keep', batch(name))), says, {
        undo: { method: 'POST', path: `/api/v1/series/${id}/tries/${name}/take-back` },
        redo: { method: 'POST', path: `/api/v1/series/${id}/tries/${name}/keep` },
      }),
    dropTry: (name: string) => act(() => ask(api.DELETE('/api/v1/series/{id}/tries/{batch}', batch(name)))),
  };
}
