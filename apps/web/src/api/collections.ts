import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { arrange, type Arrangement } from '@urbild/core';
import { useNotice } from '../parts/notices';
import { api, ask } from './client';
import { keys } from './keys';
import type { Found } from './references';
import { remember, stepBack, type Call } from './undo';

/** Pictures that somebody put together: by hand, or by a search. */
export type Collection = Schemas['CollectionDto'];

export const useCollections = () =>
  useQuery({ queryKey: keys.collections, queryFn: () => ask(api.GET('/api/v1/collections')) });

/** Pictures that are put together by hand: those of a collection, or those that a project picked. */
export interface Pile {
  readonly of: 'collections' | 'projects';
  readonly id: string;
  readonly name: string;
}

export const pileOf = ({ id, name }: Pick<Collection, 'id' | 'name'>): Pile => ({ of: 'collections', id, name });

const at = (id: string, act = '', of: Pile['of'] = 'collections'): string => `/api/v1/${of}/${id}${act}`;

/** How many pictures, in words. */
const some = (n: number): string => (n === 1 ? 'The picture is' : `${n} pictures are`);

/** Making, naming, arranging and deleting collections: what was done is told, and can be undone. */
export function useCollectionActs() {
  const client = useQueryClient();
  const tell = useNotice();
  /** Does one thing and remembers how it is taken back; refusals are told, and the page reads again what is so. */
  const act: Act = async (doing) => {
    try {
      const { answer, says, undo, redo } = await doing();
      remember({ kind: 'calls', now: undo, then: redo });
      refresh(client);
      if (says) tell(says, { action: { label: 'Undo', run: () => void stepBack() } });
      return answer;
    } catch (error) {
      tell((error as Error).message, { grave: true });
      refresh(client);
      return undefined;
    }
  };
  return {
    ...pileActs(client, act),
    /** Makes one of pictures in their order, or of a search. */
    make: (body: Schemas['NewCollectionDto'], says?: string) =>
      act(async () => {
        const answer = await ask(api.POST('/api/v1/collections', { body }));
        // known before the list is read again: its pictures can be arranged at once
        client.setQueryData<Collection[]>(keys.collections, (all) => all && [...all, answer]);
        const undo: Call = { method: 'DELETE', path: at(answer.id) };
        return { answer, says, undo, redo: { method: 'POST', path: at(answer.id, '/restore') } };
      }),
    rename: ({ id, version, name: before }: Collection, name: string) =>
      act(async () => {
        const answer = await ask(
          api.PATCH('/api/v1/collections/{id}', { params: { path: { id } }, body: { version, name } }),
        );
        const call = (to: string): Call => ({
          method: 'PATCH',
          path: at(id),
          body: { name: to },
          versionAt: at(id),
        });
        return { answer, undo: call(before), redo: call(name) };
      }),
    remove: ({ id, name }: Collection) =>
      act(async () => {
        await ask(api.DELETE('/api/v1/collections/{id}', { params: { path: { id } } }));
        return {
          answer: id,
          says: `The collection “${name}” was deleted. Its pictures stay in the library.`,
          undo: { method: 'POST', path: at(id, '/restore') },
          redo: { method: 'DELETE', path: at(id) },
        };
      }),
  };
}

type Act = <T>(doing: () => Promise<{ answer: T; says?: string; undo: Call; redo: Call }>) => Promise<T | undefined>;

/** What is done with the pictures of a collection or a project. */
function pileActs(client: QueryClient, act: Act) {
  return {
    /** Puts pictures in, or moves those that are there: at the end, or before another one. */
    place: (pile: Pile, ids: readonly string[], { before, quiet }: { before?: string; quiet?: boolean } = {}) =>
      act(() => {
        const says = quiet ? undefined : `${some(ids.length)} in “${pile.name}” now.`;
        return send(client, pile, { place: ids.map((one) => ({ id: one, before })) }, says);
      }),
    takeOut: (pile: Pile, ids: readonly string[]) =>
      act(() => send(client, pile, { takeOut: ids }, `${some(ids.length)} not in “${pile.name}” any more.`)),
  };
}

/** Arranges a pile: at once on the screen, then on the server. */
async function send(client: QueryClient, { of, id }: Pile, arrangement: Arrangement, says?: string) {
  foresee(client, id, arrangement);
  const asked = { params: { path: { id } }, body: arrangement as never };
  const { back } =
    of === 'projects'
      ? await ask(api.POST('/api/v1/projects/{id}/arrange', asked))
      : await ask(api.POST('/api/v1/collections/{id}/arrange', asked));
  const call = (body: object): Call => ({ method: 'POST', path: at(id, '/arrange', of), body });
  return { answer: back, says, undo: call(back), redo: call(arrangement) };
}

function refresh(client: QueryClient): void {
  void client.invalidateQueries({ queryKey: keys.collections });
  void client.invalidateQueries({ queryKey: keys.projects });
  void client.invalidateQueries({ queryKey: ['search'] });
}

/** Shows a collection as it will be: what was found of it in its own order is moved and taken out; what is new comes with the answer. */
function foresee(client: QueryClient, id: string, arrangement: Arrangement): void {
  const ofIt = ([, query]: readonly unknown[]) => {
    const search = new URLSearchParams(query as string);
    return search.get('collection') === id && !search.has('sort');
  };
  client.setQueriesData<Found>({ queryKey: ['search'], predicate: (q) => ofIt(q.queryKey) }, (found) => {
    if (!found) return found;
    const aspects = new Map(found.ids.map((one, k) => [one, found.aspects[k]]));
    const ids = arrange(found.ids, arrangement).items.filter((one) => aspects.has(one));
    return { ...found, ids, aspects: ids.map((one) => aspects.get(one)!), total: ids.length };
  });
}
