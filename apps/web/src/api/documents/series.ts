import type { QueryClient } from '@tanstack/react-query';
import { documentOf } from '../../shared/save/documents';
import type { SaveQueue } from '../../shared/save/saveQueue';
import { api, ask, type Series, type Shot } from '../client';
import { keys } from '../keys';
import { meaning, mirrored, portOf, storedOf, withEdits } from './port';

/** What of a shot is edited; its place is not among it, for moving it moves others too. */
export type ShotFields = Pick<Shot, 'title' | 'prompt' | 'notes' | 'seed' | 'skipped' | 'own'>;

export const shotFields = ({ title, prompt, notes, seed, skipped, own }: Shot): ShotFields => ({
  title,
  prompt,
  notes,
  seed,
  skipped,
  own,
});

/** Shows a whole series that the server answered, with what is not saved yet of it and of its shots. */
export function putSeries(client: QueryClient, series: Series): void {
  client.setQueryData(keys.oneSeries(series.id), withShotEdits(series));
}

/** A series with what was changed here of its name and shots and is not saved yet. */
export const withShotEdits = (series: Series): Series => ({
  ...withEdits(`series ${series.id}`, series, seriesFields),
  shots: series.shots.map((shot) => withEdits(`shot ${shot.id}`, shot, shotFields)),
});

export const shotDocument = (client: QueryClient, seriesId: string, shot: Shot): SaveQueue<ShotFields> => {
  const key = keys.oneSeries(seriesId);
  const queue = documentOf<ShotFields>(`shot ${shot.id}`, storedOf(shot, shotFields), {
    async send(change, version, keepalive) {
      try {
        const body = { ...change, version };
        const series = await ask(
          api.PATCH('/api/v1/shots/{id}', { params: { path: { id: shot.id } }, body, keepalive }),
        );
        putSeries(client, series);
        void client.invalidateQueries({ queryKey: [...key, 'consistency'] });
        return storedOf(
          series.shots.find((s) => s.id === shot.id)!,
          shotFields,
        );
      } catch (error) {
        throw meaning<Shot, ShotFields>(error, (s) => storedOf(s, shotFields));
      }
    },
  });
  return mirrored(queue, (state) =>
    client.setQueryData<Series>(
      key,
      (s) => s && { ...s, shots: s.shots.map((x) => (x.id === shot.id ? { ...x, ...state } : x)) },
    ),
  );
};

/** What of a series itself is edited. */
export interface SeriesFields {
  readonly name: string;
  /** The version of the mix that it is pinned to; null for its newest state. */
  readonly mixVersion: number | null;
}

export const seriesFields = ({ name, mixVersion }: Series): SeriesFields => ({ name, mixVersion: mixVersion ?? null });

export const seriesDocument = (client: QueryClient, series: Series): SaveQueue<SeriesFields> =>
  mirrored(
    documentOf(
      `series ${series.id}`,
      storedOf(series, seriesFields),
      portOf<Series, SeriesFields>(
        seriesFields,
        (body, keepalive) =>
          ask(api.PATCH('/api/v1/series/{id}', { params: { path: { id: series.id } }, body, keepalive })),
        (saved) => {
          putSeries(client, saved);
          void client.invalidateQueries({ queryKey: keys.series, exact: true });
        },
      ),
    ),
    ({ name }) => client.setQueryData<Series>(keys.oneSeries(series.id), (s) => s && { ...s, name }),
  );
