import DataLoader from 'dataloader';
import { api, ask, type Reference } from './client';
import { referenceFields, withEdits } from './documents';

/** The most that the server answers at once. */
const AT_ONCE = 100;
/** How long those that are asked for are gathered, ms. */
const MOMENT = 8;

/** References by their ids, in their order; null for those that are gone. */
async function load(ids: readonly string[]): Promise<(Reference | null)[]> {
  const wanted = [...new Set(ids)].join(',');
  const found = await ask(api.GET('/api/v1/references', { params: { query: { ids: wanted } } }));
  const byId = new Map(found.map((r) => [r.id, withEdits(`reference ${r.id}`, r, referenceFields)] as const));
  return ids.map((id) => byId.get(id) ?? null);
}

// the query library keeps what was answered: here nothing is kept
const loader = new DataLoader(load, {
  cache: false,
  maxBatchSize: AT_ONCE,
  batchScheduleFn: (begin) => setTimeout(begin, MOMENT),
});

/** Loads one reference; those that are asked for in the same moment come in one answer. */
export const loadReference = (id: string): Promise<Reference | null> => loader.load(id);
