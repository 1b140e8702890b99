import { CircleAlert, CircleCheck, Info, TriangleAlert } from 'lucide-react';
import type { Reference } from '../../api/client';
import { useEngineView, useIsSaving, usePrepare, useSplit } from '../../api/references';
import { Button } from '../../parts/Button';

type Check = Reference['checks'][number];

const SIGNS = { serious: CircleAlert, warning: TriangleAlert, note: Info } as const;
const FIXES: Readonly<Record<NonNullable<Check['fix']>, string>> = {
  sharpen: 'Sharpen a little',
  'focus face': 'Focus on the face',
  'cut out': 'Take the background away',
  flatten: 'Lay it over white',
  split: 'Split it',
  'show double': 'Show what is like it',
};

/** What is wrong with a picture, why it matters, and the fix. */
export function Checks({
  reference: r,
  onLike,
}: {
  reference: Reference;
  onLike: (id: string, by: 'content' | 'style') => void;
}) {
  const prepare = usePrepare();
  const saving = useIsSaving(r.id);
  const split = useSplit();
  const gives = useEngineView(r);
  const fix = (check: Check) => {
    const set = (change: Partial<Reference['preparation']>) =>
      prepare.mutate({ reference: r, preparation: { ...r.preparation, ...change } });
    switch (check.fix) {
      case 'sharpen':
        return set({ sharpen: Math.min(1, r.preparation.sharpen + 0.35) });
      case 'cut out':
        return set({ cutOut: true });
      case 'flatten':
        return set({ flatten: true });
      case 'focus face':
        return gives && set({ focus: gives.proposedFocus });
      case 'split':
        return split.mutate(r.id);
      case 'show double':
        return onLike(r.id, 'content');
    }
  };
  if (!r.checks.length)
    return (
      <p className="flex items-center gap-2">
        <CircleCheck size={18} className="text-image" aria-hidden /> Nothing is wrong with it.
      </p>
    );
  return (
    <ul className="flex flex-col gap-3">
      {r.checks.map((c) => {
        const Sign = SIGNS[c.severity];
        return (
          <li
            key={c.id}
            className={`border-l-3 px-3 py-2 ${c.severity === 'note' ? 'border-edge bg-shade' : 'border-cinnabar bg-blush'}`}
          >
            <h3 className="flex items-center gap-2 font-semibold">
              <Sign size={16} aria-hidden /> {c.id}
              <span className="sr-only">, {c.severity}</span>
            </h3>
            <p className="my-1">{c.reason}</p>
            {c.fix && (
              <Button onClick={() => fix(c)} disabled={saving}>
                {FIXES[c.fix]}
              </Button>
            )}
          </li>
        );
      })}
    </ul>
  );
}
