import type { Take } from '../../api/client';
import { saidOfUnasked } from './unasked';

/** What came into a take though its words do not bring it, and its faults; each can be shown in the picture. */
export function CameUnasked({
  take,
  shown,
  onShow,
}: {
  take: Take;
  /** Which one is marked in the picture. */
  shown: number | undefined;
  onShow: (nth: number | undefined) => void;
}) {
  if (!take.unasked.length) return null;
  return (
    <section aria-label="Uninvited" className="flex flex-col gap-1">
      <h2 className="text-sm font-semibold text-muted">Uninvited</h2>
      <ul className="flex flex-col gap-0.5">
        {take.unasked.map((found, k) => (
          <li key={k}>
            <button
              type="button"
              aria-pressed={shown === k}
              onClick={() => onShow(shown === k ? undefined : k)}
              className={`w-full rounded px-1.5 py-1 text-left text-sm leading-tight ${shown === k ? 'bg-ink text-paper' : 'hover:bg-shade'}`}
            >
              {saidOfUnasked(found)}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
