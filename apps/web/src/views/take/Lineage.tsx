import { differences } from '@urbild/core';
import { Link } from 'react-router';
import type { Take } from '../../api/client';
import type { Lookup } from '../../shared/mix/lookup';

/** Where it comes from and what went on from it. */
export function Lineage({
  take,
  from,
  siblings,
  lookup,
}: {
  take: Take;
  from: Take | undefined;
  siblings: readonly Take[];
  lookup: Lookup;
}) {
  const earlier =
    from ?? siblings.find((t) => t.createdAt < take.createdAt && t.quality !== 'draft' && t.status === 'done');
  const children = siblings.filter((t) => t.fromTakeId === take.id);
  const changed = earlier ? differences(earlier, take, lookup.name) : [];
  if (!earlier && !children.length) return null;
  return (
    <section aria-label="Lineage" className="flex flex-col gap-1.5">
      <h2 className="text-sm font-semibold text-muted">{from ? 'Goes on from' : 'Since the take before'}</h2>
      {earlier && (
        <div className="flex gap-2">
          <Link to={`/takes/${earlier.id}`} aria-label="The earlier take">
            <img src={earlier.thumbnailUrl} alt="" className="w-20" />
          </Link>
          <ul className="min-w-0 flex-1 text-sm">
            {changed.length ? changed.map((c) => <li key={c}>{c}</li>) : <li>nothing changed but its size</li>}
          </ul>
        </div>
      )}
      {children.length > 0 && (
        <>
          <h2 className="text-sm font-semibold text-muted">Led to</h2>
          <div className="flex flex-wrap gap-1.5">
            {children.map((t) => (
              <Link key={t.id} to={`/takes/${t.id}`} aria-label={`Take of seed ${t.seed}, ${t.width} px wide`}>
                {t.thumbnailUrl ? (
                  <img src={t.thumbnailUrl} alt="" className="w-20" />
                ) : (
                  <span className="skeleton block h-14 w-20" />
                )}
              </Link>
            ))}
          </div>
        </>
      )}
    </section>
  );
}
