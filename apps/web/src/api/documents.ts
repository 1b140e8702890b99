import type { QueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { documentOf, openDocument, unsavedDocuments } from '../shared/save/documents';
import { Refused, Stale, type Port, type SaveQueue, type Stored } from '../shared/save/saveQueue';
import { api, ask, ServerProblem, type Mix, type Reference, type Series, type Shot, type Take } from './client';
import { keys } from './keys';
import type { Character, Look } from './sheets';

/** Statuses after which the same request may go well later. */
const LATER = [0, 408, 425, 429, 500, 502, 503, 504, 507];

/** Tells what a failed write means: overtaken, refused for good, or to be sent again. */
function meaning<D, S>(error: unknown, toStored: (document: D) => Stored<S>): unknown {
  if (!(error instanceof ServerProblem)) return error;
  const { status, current } = error;
  if (status === 0) return new Error('The studio does not answer.');
  if (status === 409 && current) return new Stale(toStored(current as D));
  return LATER.includes(status) ? error : new Refused(error.message);
}

interface Versioned {
  readonly id: string;
  readonly version: number;
}

/** A port for a document of the server; `send` answers the whole document. */
function portOf<D extends Versioned, S>(
  toState: (document: D) => S,
  send: (change: Partial<S> & { version: number }, keepalive: boolean) => Promise<D>,
  arrived: (document: D) => void,
): Port<S> {
  const toStored = (d: D): Stored<S> => ({ state: toState(d), version: d.version });
  return {
    async send(change, version, urgent) {
      try {
        const document = await send({ ...change, version }, urgent);
        arrived(document);
        return toStored(document);
      } catch (error) {
        throw meaning(error, toStored);
      }
    },
  };
}

const storedOf = <D extends Versioned, S>(document: D, toState: (document: D) => S): Stored<S> => ({
  state: toState(document),
  version: document.version,
});

const mirrors = new WeakSet<object>();

/** Shows the state of a document wherever answers of the server are shown, as soon as it changes. */
function mirrored<S extends object>(queue: SaveQueue<S>, show: (state: S) => void): SaveQueue<S> {
  if (!mirrors.has(queue)) {
    mirrors.add(queue);
    queue.subscribe(() => show(queue.view().state));
  }
  return queue;
}

/** What the server answered, with what was changed here and is not saved yet. */
export function withEdits<D extends Versioned, S extends object>(
  name: string,
  document: D,
  toState: (document: D) => S,
): D {
  const queue = openDocument<S>(name);
  if (!queue) return document;
  queue.arrived(storedOf(document, toState));
  return { ...document, ...queue.view().state };
}

const inList = <T extends Versioned>(client: QueryClient, key: readonly string[], saved: T) =>
  client.setQueryData<T[]>(key, (all) => all?.map((one) => (one.id === saved.id ? { ...one, ...saved } : one)));

/** What of a mix is edited on the bench. */
export type MixFields = Pick<Mix, 'name' | 'prompt' | 'avoid' | 'settings' | 'influences'>;

export const mixFields = ({ name, prompt, avoid, settings, influences }: Mix): MixFields => ({
  name,
  prompt,
  avoid,
  settings,
  influences,
});

export const mixDocument = (client: QueryClient, mix: Mix): SaveQueue<MixFields> =>
  mirrored(
    documentOf(
      `mix ${mix.id}`,
      storedOf(mix, mixFields),
      portOf<Mix, MixFields>(
        mixFields,
        (body, keepalive) =>
          ask(api.PATCH('/api/v1/mixes/{id}', { params: { path: { id: mix.id } }, body, keepalive })),
        (saved) => inList(client, keys.mixes, saved),
      ),
    ),
    ({ name }) => inList(client, keys.mixes, { id: mix.id, name } as Mix),
  );

/** What of a reference is edited by hand, its preparation among it. */
export type ReferenceFields = Pick<Reference, 'title' | 'tags' | 'notes' | 'preparation'>;

export const referenceFields = ({ title, tags, notes, preparation }: Reference): ReferenceFields => ({
  title,
  tags,
  notes,
  preparation,
});

export const referenceDocument = (client: QueryClient, reference: Reference): SaveQueue<ReferenceFields> => {
  const at = { params: { path: { id: reference.id } } };
  const queue = documentOf(
    `reference ${reference.id}`,
    storedOf(reference, referenceFields),
    portOf<Reference, ReferenceFields>(
      referenceFields,
      async ({ preparation, version, ...said }, keepalive) => {
        let saved: Reference | undefined;
        if (Object.keys(said).length)
          saved = await ask(api.PATCH('/api/v1/references/{id}', { ...at, body: { ...said, version }, keepalive }));
        if (preparation)
          saved = await ask(
            api.PUT('/api/v1/references/{id}/preparation', {
              ...at,
              body: { version: saved?.version ?? version, preparation },
              keepalive,
            }),
          );
        return saved ?? ask(api.GET('/api/v1/references/{id}', at));
      },
      (saved) => {
        client.setQueryData(keys.reference(saved.id), saved);
        void client.invalidateQueries({ queryKey: ['search'] });
      },
    ),
  );
  return mirrored(queue, (state) =>
    client.setQueryData<Reference | null>(keys.reference(reference.id), (r) => r && { ...r, ...state }),
  );
};

/** What of a look is edited on its sheet. */
export type LookFields = Required<Omit<Schemas['ChangeLookDto'], 'version'>>;

export const lookFields = ({ name, notes, items, isDefault }: Look): LookFields => ({ name, notes, items, isDefault });

export const lookDocument = (client: QueryClient, look: Look): SaveQueue<LookFields> =>
  mirrored(
    documentOf(
      `look ${look.id}`,
      storedOf(look, lookFields),
      portOf<Look, LookFields>(
        lookFields,
        (body, keepalive) =>
          ask(api.PATCH('/api/v1/looks/{id}', { params: { path: { id: look.id } }, body, keepalive })),
        (saved) => inList(client, keys.looks, saved),
      ),
    ),
    (state) => inList(client, keys.looks, { id: look.id, ...state } as Look),
  );

/** What of a character is edited on its sheet. */
export type CharacterFields = Required<Omit<Schemas['ChangeCharacterDto'], 'version'>>;

export const characterFields = (c: Character): CharacterFields => ({
  name: c.name,
  species: c.species,
  description: c.description,
  items: c.items,
  usualWeight: c.usualWeight,
  corrected: c.corrected,
});

export const characterDocument = (client: QueryClient, character: Character): SaveQueue<CharacterFields> =>
  mirrored(
    documentOf(
      `character ${character.id}`,
      storedOf(character, characterFields),
      portOf<Character, CharacterFields>(
        characterFields,
        (body, keepalive) =>
          ask(api.PATCH('/api/v1/cast/{id}', { params: { path: { id: character.id } }, body, keepalive })),
        (saved) => inList(client, keys.cast, saved),
      ),
    ),
    (state) => inList(client, keys.cast, { id: character.id, ...state } as Character),
  );

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

/** What somebody says of a take. */
export type TakeFields = Pick<Take, 'keeper' | 'rating' | 'rejected' | 'note'>;

type Marked = TakeFields & Versioned;

export const takeFields = ({ keeper, rating, rejected, note }: TakeFields): TakeFields => ({
  keeper,
  rating,
  rejected,
  note,
});

/** The marks of a take; `show` shows them wherever the take is shown. */
export const takeDocument = (take: Marked, show: (fields: TakeFields, saved?: Take) => void): SaveQueue<TakeFields> =>
  mirrored(
    documentOf(
      `take ${take.id}`,
      storedOf(take, takeFields),
      portOf<Marked, TakeFields>(
        takeFields,
        async (body, keepalive) => {
          const saved = await ask(
            api.PATCH('/api/v1/takes/{id}', { params: { path: { id: take.id } }, body, keepalive }),
          );
          show(takeFields(saved), saved);
          return saved;
        },
        () => undefined,
      ),
    ),
    show,
  );

/** Opens a document by its name; undefined when it is gone. A shot is looked for in its series, or in all of them. */
export async function openByName(
  client: QueryClient,
  name: string,
  inSeries?: string,
): Promise<SaveQueue<object> | undefined> {
  const [kind, id] = name.split(' ');
  const at = { params: { path: { id } } };
  const opened = <S extends object>(queue: SaveQueue<S>) => queue as unknown as SaveQueue<object>;
  switch (kind) {
    case 'mix':
      return opened(mixDocument(client, await ask(api.GET('/api/v1/mixes/{id}', at))));
    case 'reference':
      return opened(referenceDocument(client, await ask(api.GET('/api/v1/references/{id}', at))));
    case 'take':
      return opened(takeDocument(await ask(api.GET('/api/v1/takes/{id}', at)), () => undefined));
    case 'series':
      return opened(seriesDocument(client, await ask(api.GET('/api/v1/series/{id}', at))));
    case 'look': {
      const look = (await ask(api.GET('/api/v1/looks'))).find((l) => l.id === id);
      return look && opened(lookDocument(client, look));
    }
    case 'character': {
      const character = (await ask(api.GET('/api/v1/cast'))).find((c) => c.id === id);
      return character && opened(characterDocument(client, character));
    }
    case 'shot': {
      const all = inSeries ? [inSeries] : (await ask(api.GET('/api/v1/series'))).map((s) => s.id);
      for (const seriesId of all) {
        const series = await ask(api.GET('/api/v1/series/{id}', { params: { path: { id: seriesId } } }));
        const shot = series.shots.find((s) => s.id === id);
        if (shot) return opened(shotDocument(client, seriesId, shot));
      }
    }
  }
  return undefined;
}

/** Sends what a closed window could not send any more: an open document takes over what was kept of it. */
export async function resumeUnsaved(client: QueryClient): Promise<void> {
  // what does not answer now is tried again with the next page
  for (const name of await unsavedDocuments()) await openByName(client, name).catch(() => undefined);
}
