import type { Take } from '../../api/client';
import { useChangeTake } from '../../api/trials';
import { useKeys } from './useKeys';

/** Marks a take by keys: K keeper, X rejected, digits rate. */
export function useMarkKeys(take: Take | undefined): void {
  const change = useChangeTake();
  useKeys(({ key, mod, alt, target }) => {
    if (mod || alt || take?.status !== 'done') return false;
    const marks = marksFor(key, take);
    // digits in a group of choices choose among them
    if (!marks || (marks.rating !== undefined && (target as HTMLElement).closest?.('[role=group]'))) return false;
    change.mutate({ take, change: marks });
    return true;
  });
}

/** What a key marks something with; nothing for other keys. */
export function marksFor<T extends Pick<Take, 'keeper' | 'rejected'>>(
  key: string,
  { keeper, rejected }: T,
): Partial<Pick<Take, 'keeper' | 'rejected' | 'rating'>> | undefined {
  if (key === 'k') return { keeper: !keeper };
  if (key === 'x') return { rejected: !rejected };
  if (/^[0-5]$/.test(key)) return { rating: Number(key) };
  return undefined;
}
