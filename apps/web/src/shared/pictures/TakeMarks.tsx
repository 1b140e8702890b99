import type { Take } from '../../api/client';
import { useChangeTake } from '../../api/trials';
import { Cross, Ring, Stroke } from '../../parts/PencilMarks';
import { useMarkKeys } from '../keys/useMarkKeys';

/** What a person says of a take: keeper, rejected, rating, note; K, X and the digits do the same. */
export function TakeMarks({ take, noted = true }: { take: Take; noted?: boolean }) {
  const change = useChangeTake();
  const mark = (fields: Parameters<typeof change.mutate>[0]['change']) => change.mutate({ take, change: fields });
  useMarkKeys(take);
  if (take.status !== 'done') return null;
  const button = 'rounded-lg border px-2 py-1 disabled:cursor-not-allowed';
  const locked = take.approved && 'This keeper is approved; take the approval back first';
  return (
    <section aria-label="Marks" className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-1.5">
        <button
          type="button"
          aria-pressed={take.keeper}
          aria-keyshortcuts="K"
          disabled={!!take.approved}
          title={locked}
          onClick={() => mark({ keeper: !take.keeper })}
          className={`${button} flex items-center gap-1.5 ${take.keeper ? 'border-ink bg-ink text-paper' : 'border-line bg-card hover:border-edge'}`}
        >
          <Ring size={15} /> Keeper
        </button>
        <button
          type="button"
          aria-pressed={take.rejected}
          aria-keyshortcuts="X"
          disabled={!!take.approved}
          title={locked}
          onClick={() => mark({ rejected: !take.rejected })}
          className={`${button} flex items-center gap-1.5 ${take.rejected ? 'border-ink bg-ink text-paper' : 'border-line bg-card hover:border-edge'}`}
        >
          <Cross size={14} /> Reject
        </button>
        <span role="radiogroup" aria-label="Rating" className="flex">
          {[1, 2, 3, 4, 5].map((n) => (
            <button
              key={n}
              type="button"
              role="radio"
              aria-checked={take.rating === n}
              aria-label={`${n} of 5`}
              onClick={() => mark({ rating: take.rating === n ? 0 : n })}
              className="rounded px-[7px] py-1 hover:bg-shade"
            >
              <Stroke nth={n} size={20} faint={take.rating < n} />
            </button>
          ))}
        </span>
      </div>
      {noted && (
        <textarea
          key={take.id}
          aria-label="Note"
          placeholder="a note on this take"
          defaultValue={take.note}
          maxLength={2000}
          rows={2}
          onBlur={(e) => e.target.value !== take.note && mark({ note: e.target.value })}
          className="rounded-lg border border-line bg-card px-2 py-1"
        />
      )}
    </section>
  );
}
