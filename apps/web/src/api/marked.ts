import type { Shot, ShotTake, Take } from './client';

/** What somebody says of a take. */
export type Marks = Partial<Pick<Take, 'keeper' | 'rating' | 'rejected' | 'note'>>;

/** Marks with what follows from them: a keeper is not rejected, and what is rejected is no keeper. */
export const exclusive = (marks: Marks): Marks => ({
  ...marks,
  ...(marks.keeper ? { rejected: false } : {}),
  ...(marks.rejected ? { keeper: false } : {}),
});

/** A shot after something was said of one of its takes: it has one keeper, and a keeper is not rejected. */
export function marked(shot: Shot, take: ShotTake, marks: Marks): Shot {
  if (!shot.takes.some((t) => t.id === take.id)) return shot;
  const takes = shot.takes.map((t) => {
    if (t.id !== take.id) return marks.keeper ? { ...t, keeper: false } : t;
    const next = { ...t, ...marks };
    if (marks.keeper) next.rejected = false;
    if (marks.rejected) next.keeper = false;
    return next;
  });
  return { ...shot, takes, leadId: marks.keeper ? take.id : shot.leadId };
}
