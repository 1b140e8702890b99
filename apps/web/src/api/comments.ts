import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { useNotice } from '../parts/notices';
import { api, ask } from './client';
import { keys } from './keys';
import { useMe } from './me';
import { remember, stepBack } from './undo';
import { useTellingAct } from './useTellingAct';

/** Something that somebody said. */
export type Comment = Schemas['CommentDto'];
/** What others said, as it comes in. */
export type InboxComment = Schemas['InboxCommentDto'];
/** A point of a picture, parts of its width and height. */
export type Point = Schemas['PointDto'];
/** What is talked about: one of them. */
export type Thing = Pick<Schemas['NewCommentDto'], 'takeId' | 'shotId' | 'mixId' | 'referenceId'>;

/** What is said about something, the oldest first. */
export const useComments = (thing: Thing) =>
  useQuery({
    queryKey: keys.comments(thing),
    queryFn: () => ask(api.GET('/api/v1/comments', { params: { query: thing } })),
  });

/** The newest that others said; nobody has an inbox who works alone. */
export function useInbox(all = false) {
  const { data: me } = useMe();
  return useQuery({
    queryKey: keys.inbox(all),
    queryFn: () => ask(api.GET('/api/v1/comments/inbox', { params: { query: { all } } })),
    enabled: !!me?.person,
  });
}

/** Writing, answering, resolving and taking back. What is refused is told; what is so is read again. */
export function useCommentActs() {
  const client = useQueryClient();
  const tell = useNotice();
  const telling = useTellingAct();
  const act = <T>(doing: Promise<T>) => telling(doing, ['comments'], ['inbox']);
  /** Shown at once; what the server refuses is as it was. */
  const change = ({ id, version }: Comment, body: Omit<Schemas['ChangeCommentDto'], 'version'>) => {
    client.setQueriesData<Comment[]>({ queryKey: ['comments'] }, (all) =>
      all?.map((c) => (c.id === id ? { ...c, ...body } : c)),
    );
    return act(ask(api.PATCH('/api/v1/comments/{id}', { params: { path: { id } }, body: { ...body, version } })));
  };
  return {
    write: (thing: Thing, text: string, point?: Point) =>
      act(ask(api.POST('/api/v1/comments', { body: { ...thing, text, point } }))),
    answer: ({ id }: Comment, text: string) =>
      act(ask(api.POST('/api/v1/comments/{id}/answers', { params: { path: { id } }, body: { text } }))),
    setText: (comment: Comment, text: string) => change(comment, { text }),
    setResolved: (comment: Comment, resolved: boolean) => change(comment, { resolved }),
    /** Undo brings it back. */
    remove: async ({ id }: Comment) => {
      const done = await act(ask(api.DELETE('/api/v1/comments/{id}', { params: { path: { id } } })).then(() => true));
      if (!done) return;
      const path = `/api/v1/comments/${id}`;
      remember({
        kind: 'calls',
        now: { method: 'POST', path: `${path}/restore` },
        then: { method: 'DELETE', path },
      });
      const undo = () => void stepBack().catch((error: Error) => tell(error.message, { grave: true }));
      tell('The comment was deleted.', { action: { label: 'Undo', run: undo } });
    },
    read: (ids: readonly string[]) => act(ask(api.POST('/api/v1/comments/read', { body: { ids: [...ids] } }))),
    readAll: () => act(ask(api.POST('/api/v1/comments/read-all'))),
  };
}
