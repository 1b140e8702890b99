import type { QueryClient } from '@tanstack/react-query';
import { documentOf } from '../../shared/save/documents';
import type { SaveQueue } from '../../shared/save/saveQueue';
import { api, ask, type Reference } from '../client';
import { keys } from '../keys';
import { mirrored, portOf, storedOf } from './port';

/** What of a reference is edited by hand: how it is prepared and what was set right are part of it. */
export type ReferenceFields = Pick<Reference, 'title' | 'tags' | 'notes' | 'preparation' | 'corrections'>;

export const referenceFields = ({ title, tags, notes, preparation, corrections }: Reference): ReferenceFields => ({
  title,
  tags,
  notes,
  preparation,
  corrections,
});

export const referenceDocument = (client: QueryClient, reference: Reference): SaveQueue<ReferenceFields> => {
  const at = { params: { path: { id: reference.id } } };
  const queue = documentOf(
    `reference ${reference.id}`,
    storedOf(reference, referenceFields),
    portOf<Reference, ReferenceFields>(
      referenceFields,
      async ({ preparation, corrections, version, ...said }, keepalive) => {
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
        if (corrections)
          saved = await ask(
            api.PATCH('/api/v1/references/{id}/corrections', {
              ...at,
              body: { ...corrections, version: saved?.version ?? version },
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
