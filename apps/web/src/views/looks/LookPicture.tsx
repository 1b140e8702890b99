import { Trash2 } from 'lucide-react';
import type { Reference } from '../../api/client';
import { Slider } from '../../shared/forms/Slider';

/** One picture of a look: what it counts, and whether it is a stranger among the others. */
export function LookPicture({
  reference: r,
  weight,
  stranger,
  onWeight,
  onRemove,
  onMove,
}: {
  reference: Reference | undefined;
  weight: number;
  stranger: number | undefined;
  onWeight: (weight: number) => void;
  onRemove: () => void;
  onMove: (by: number) => void;
}) {
  if (!r) return <li className="skeleton h-44" />;
  return (
    <li className={`bg-card ${stranger ? 'outline-3 outline-cinnabar' : ''}`}>
      <img
        src={r.thumbnailUrl}
        alt={r.alt}
        className="h-[max(11rem,11vw)] w-full object-cover"
        style={{ opacity: 0.35 + 0.65 * Math.min(1, weight) }}
      />
      <div className="flex flex-col gap-1 p-2">
        <div className="flex items-center gap-1">
          <span className="min-w-0 flex-1 truncate font-semibold">{r.title}</span>
          <button
            type="button"
            aria-label={`Remove ${r.title}`}
            className="grid size-6 place-items-center rounded text-muted hover:text-ink"
            onClick={onRemove}
          >
            <Trash2 size={14} aria-hidden />
          </button>
        </div>
        {stranger && <p className="text-sm text-signal">A stranger here: {stranger.toFixed(1)} times as far off</p>}
        <div className="flex items-center gap-2 text-sm text-muted">
          <Slider
            label={`Weight of ${r.title}`}
            min={0}
            max={2}
            step={0.05}
            value={weight}
            onSave={onWeight}
            onKeyDown={(e) => {
              if (!e.altKey || (e.key !== 'ArrowLeft' && e.key !== 'ArrowRight')) return;
              e.preventDefault();
              onMove(e.key === 'ArrowLeft' ? -1 : 1);
            }}
            tone="bg-style"
            className="min-w-0 flex-1"
          />
          <span className="figures w-8 text-right text-ink">{weight.toFixed(2)}</span>
        </div>
      </div>
    </li>
  );
}
