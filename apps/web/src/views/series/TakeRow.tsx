import { useEffect } from 'react';
import type { ShotTake } from '../../api/client';
import { useProgress } from '../../api/events';
import { CrossedOut, Ring, Strokes } from '../../parts/PencilMarks';

/** The takes of a shot, newest first, what is tried before them. */
export function TakeRow({
  takes,
  chosen,
  leadId,
  onTake,
}: {
  takes: readonly ShotTake[];
  chosen: string | undefined;
  leadId: string | undefined;
  onTake: (id: string) => void;
}) {
  useEffect(() => {
    document.getElementById(`take-${chosen}`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [chosen]);
  if (takes.length < 2) return null;
  return (
    <ul aria-label="Takes of the shot" className="flex shrink-0 gap-2 overflow-x-auto px-3 pb-3">
      {takes.map((t) => (
        <Small key={t.id} take={t} chosen={t.id === chosen} leads={t.id === leadId} onTake={onTake} />
      ))}
    </ul>
  );
}

function Small({
  take,
  chosen,
  leads,
  onTake,
}: {
  take: ShotTake;
  chosen: boolean;
  leads: boolean;
  onTake: (id: string) => void;
}) {
  const progress = useProgress(take.id);
  const picture = take.thumbnailUrl ?? progress?.preview;
  const tried = take.trial && !take.trial.kept;
  const what = [
    tried ? `tried: ${take.trial!.label}` : `${take.quality}, seed ${take.seed}`,
    take.keeper && 'keeper',
    take.rejected && 'rejected',
    take.rating > 0 && `rated ${take.rating}`,
    take.error,
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <li className="shrink-0">
      <button
        type="button"
        id={`take-${take.id}`}
        aria-pressed={chosen}
        aria-label={`Take: ${what}`}
        title={what}
        onClick={() => onTake(take.id)}
        className={`relative block h-14 bg-black/20 ${chosen ? 'outline-2 outline-offset-2 outline-caption' : ''} ${take.rejected ? 'opacity-45' : ''}`}
        style={{ aspectRatio: take.width / take.height }}
      >
        {picture && <img src={picture} alt="" className="h-full w-full object-cover" />}
        {(take.keeper || leads) && (
          <span className="absolute top-0.5 left-0.5 text-white">
            <Ring size={20} rimmed={take.keeper} faint={!take.keeper} />
          </span>
        )}
        {take.rejected && <CrossedOut />}
        {tried && <span className="absolute inset-x-0 bottom-0 bg-scrim/80 text-center text-xs text-white">tried</span>}
        {take.rating > 0 && (
          <span className="absolute right-0.5 bottom-0.5 rounded bg-scrim/75 text-white">
            <Strokes count={take.rating} size={16} />
          </span>
        )}
      </button>
    </li>
  );
}
