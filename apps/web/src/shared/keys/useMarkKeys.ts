import { useEffect } from 'react';
import type { Take } from '../../api/client';
import { useChangeTake } from '../../api/trials';
import { inField } from '../../parts/inField';

/** Marks a take by keys: K keeper, X rejected, digits rate. */
export function useMarkKeys(take: Take | undefined): void {
  const change = useChangeTake();
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (inField(e.target) || e.ctrlKey || e.metaKey || e.altKey || take?.status !== 'done') return;
      if (/^[0-5]$/.test(e.key) && !(e.target as HTMLElement).closest?.('[role=group]'))
        change.mutate({ take, change: { rating: Number(e.key) } });
      else if (e.key.toLowerCase() === 'k') change.mutate({ take, change: { keeper: !take.keeper } });
      else if (e.key.toLowerCase() === 'x') change.mutate({ take, change: { rejected: !take.rejected } });
      else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
