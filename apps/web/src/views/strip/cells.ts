import type { Take } from '../../api/client';

/** What the best cell is chosen by: the influence that arrives furthest, the words, or references and words together. */
export type BestBy = 'balanced' | 'words' | { readonly influence: string };

const arrivalOf = (take: Take, influence: string): number | undefined =>
  take.arrivals.find((a) => a.influenceId === influence)?.overall;

/** How good a cell is by a target, or undefined while it is not measured. */
export function scoreOf(take: Take, by: BestBy): number | undefined {
  if (take.status !== 'done') return undefined;
  if (by === 'words') return take.wordsKept;
  if (by !== 'balanced') return arrivalOf(take, by.influence);
  const acting = take.influences.filter((i) => i.on && i.weight > 0);
  const heard = acting.flatMap(({ id, weight }) => {
    const arrival = arrivalOf(take, id);
    return arrival === undefined ? [] : [{ arrival, weight }];
  });
  const total = heard.reduce((s, h) => s + h.weight, 0);
  if (!total) return undefined;
  // the geometric mean: neither counts without the other
  const arrived = heard.reduce((s, h) => s + (h.weight / total) * Math.max(0, h.arrival), 0);
  return Math.sqrt(arrived * (take.wordsKept ?? 1));
}

/** The index of the best cell; undefined as long as any of them is still to come: a mark may not move under the hand. */
export function bestCell(cells: readonly Take[], by: BestBy): number | undefined {
  if (cells.some(({ status }) => status === 'queued' || status === 'rendering')) return undefined;
  let best: number | undefined;
  cells.forEach((take, k) => {
    const score = scoreOf(take, by);
    if (score !== undefined && (best === undefined || score > scoreOf(cells[best], by)!)) best = k;
  });
  return best;
}

/** The curve of an influence (or of the words) over cells; null where it is not measured. */
export const curveOf = (cells: readonly Take[], influence: string | 'words'): (number | null)[] =>
  cells.map((take) => {
    const value = influence === 'words' ? take.wordsKept : arrivalOf(take, influence);
    return take.status === 'done' && value !== undefined ? Math.max(0, value) : null;
  });
