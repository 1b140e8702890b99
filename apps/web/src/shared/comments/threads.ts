import type { Comment } from '../../api/comments';

/** A comment with what was answered to it. */
export interface Thread {
  readonly first: Comment;
  readonly answers: readonly Comment[];
  /** Its number on the picture, from 1; undefined where it is about no point of it. */
  readonly number?: number;
}

/** Comments by their threads, in the order in which they began; those with a point are numbered in that order. */
export function threadsOf(comments: readonly Comment[]): Thread[] {
  let pinned = 0;
  return comments
    .filter((c) => c.id === c.threadId)
    .map((first) => ({
      first,
      answers: comments.filter((c) => c.threadId === first.id && c.id !== first.id),
      number: first.point ? ++pinned : undefined,
    }));
}
