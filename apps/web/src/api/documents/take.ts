import { documentOf } from '../../shared/save/documents';
import type { SaveQueue } from '../../shared/save/saveQueue';
import { api, ask, type Take } from '../client';
import { mirrored, portOf, storedOf, type Versioned } from './port';

/** What somebody says of a take. */
export type TakeFields = Pick<Take, 'keeper' | 'rating' | 'rejected' | 'note'>;

type Marked = TakeFields & Versioned;

export const takeFields = ({ keeper, rating, rejected, note }: TakeFields): TakeFields => ({
  keeper,
  rating,
  rejected,
  note,
});

/** Shows the marks of a take; `saved` is the whole take, when the server has answered. */
type Show = (fields: TakeFields, saved?: Take) => void;

/** By take, who shows it: each view once. */
const shown = new Map<string, Map<string, Show>>();

/** The marks of a take. Every view that changed them, by its name, shows them as soon as they change. */
export function takeDocument(take: Marked, view: string, show: Show): SaveQueue<TakeFields> {
  const shows = shown.get(take.id) ?? new Map<string, Show>();
  shown.set(take.id, shows.set(view, show));
  const showAll: Show = (fields, saved) => shows.forEach((one) => one(fields, saved));
  const port = portOf<Marked, TakeFields>(
    takeFields,
    async (body, keepalive) => {
      const saved = await ask(api.PATCH('/api/v1/takes/{id}', { params: { path: { id: take.id } }, body, keepalive }));
      showAll(takeFields(saved), saved);
      return saved;
    },
    () => undefined,
  );
  return mirrored(documentOf(`take ${take.id}`, storedOf(take, takeFields), port), (fields) => showAll(fields));
}
