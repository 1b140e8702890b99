import type { Steadiness } from '../../api/sequences';

const ROWS = [
  ['strokes', 'Strokes'],
  ['identity', 'Who is seen'],
] as const;

/** How much strokes and faces change from frame to frame: by themselves and held, and how many times steadier that is. */
export function SteadinessList({ steadiness, holds }: { steadiness: Steadiness | undefined; holds: boolean }) {
  const { free, held, times } = steadiness ?? {};
  if (!free) return <p className="text-sm text-muted">How steady it is can be told when all frames are there.</p>;
  const bar = (value: number) => `${Math.min(100, (100 * value) / Math.max(free.strokes, free.identity ?? 0, 0.01))}%`;
  return (
    <section aria-label="Change from frame to frame" className="flex flex-col gap-2">
      <h2 className="text-sm font-semibold text-muted">Change from frame to frame</h2>
      {ROWS.map(([key, name]) => {
        const [a, b, t] = [free[key], held?.[key], times?.[key]];
        if (a === undefined) return null;
        return (
          <div key={key}>
            <div className="flex justify-between">
              <span>{name}</span>
              <span className="figures">
                {a.toFixed(2)}
                {b !== undefined && (
                  <>
                    {' → '}
                    <strong>{b.toFixed(2)}</strong>
                  </>
                )}
              </span>
            </div>
            <div className="relative mt-1 h-1.5 rounded bg-shade">
              <span className="absolute inset-y-0 left-0 rounded bg-edge" style={{ width: bar(a) }} />
              {b !== undefined && (
                <span className="absolute inset-y-0 left-0 rounded bg-ink" style={{ width: bar(b) }} />
              )}
            </div>
            {t !== undefined && (
              <p className="text-sm text-muted">
                <strong className="figures text-ink">{t.toFixed(1)} ×</strong> steadier than each by itself
              </p>
            )}
          </div>
        );
      })}
      {holds && !held && <p className="text-sm text-muted">The held frames are being rendered.</p>}
    </section>
  );
}
