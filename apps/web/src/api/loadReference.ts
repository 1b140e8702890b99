import { api, ask, type Reference } from './client';
import { referenceFields, withEdits } from './documents';

const AT_ONCE = 100;
/** Who waits for a reference. */
interface Waiter {
  readonly resolve: (reference: Reference | null) => void;
  readonly reject: (error: Error) => void;
}
let waiting = new Map<string, Waiter[]>();

/** Loads one reference; those that are asked for in the same moment come in one answer. */
export function loadReference(id: string): Promise<Reference | null> {
  return new Promise((resolve, reject) => {
    if (!waiting.size)
      setTimeout(() => {
        const batch = waiting;
        waiting = new Map();
        const ids = [...batch.keys()];
        for (let k = 0; k < ids.length; k += AT_ONCE) {
          const part = ids.slice(k, k + AT_ONCE);
          ask(api.GET('/api/v1/references', { params: { query: { ids: part.join(',') } } })).then(
            (found) => {
              const byId = new Map(
                found.map((r) => [r.id, withEdits(`reference ${r.id}`, r, referenceFields)] as const),
              );
              for (const one of part) batch.get(one)?.forEach(({ resolve: done }) => done(byId.get(one) ?? null));
            },
            (error: Error) => part.forEach((one) => batch.get(one)?.forEach(({ reject: fail }) => fail(error))),
          );
        }
      }, 8);
    waiting.set(id, [...(waiting.get(id) ?? []), { resolve, reject }]);
  });
}
