import type { QueryClient } from '@tanstack/react-query';
import { documentOf } from '../../shared/save/documents';
import type { SaveQueue } from '../../shared/save/saveQueue';
import { api, ask, type Mix } from '../client';
import { keys } from '../keys';
import { inList, mirrored, portOf, storedOf } from './port';

/** What of a mix is edited on the bench, and whether it is done with. */
export type MixFields = Pick<Mix, 'name' | 'prompt' | 'avoid' | 'settings' | 'influences' | 'archived' | 'projectId'>;

export const mixFields = ({ name, prompt, avoid, settings, influences, archived, projectId }: Mix): MixFields => ({
  name,
  prompt,
  avoid,
  settings,
  influences,
  archived,
  projectId,
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
