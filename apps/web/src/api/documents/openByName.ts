import type { QueryClient } from '@tanstack/react-query';
import { unsavedDocuments } from '../../shared/save/documents';
import type { SaveQueue } from '../../shared/save/saveQueue';
import { api, ask } from '../client';
import { mixDocument } from './mix';
import { referenceDocument } from './reference';
import { seriesDocument, shotDocument } from './series';
import { characterDocument, lookDocument } from './sheets';
import { takeDocument } from './take';

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
      return opened(takeDocument(await ask(api.GET('/api/v1/takes/{id}', at)), 'none', () => undefined));
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
