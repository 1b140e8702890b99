import { useProgress } from '../../api/events';
import type { Shot } from '../../api/client';
import { percent } from '../bench/influences';

/** One shot of the contact sheet: its newest take, large, and the earlier ones small below. */
export function ShotColumn({
  shot,
  number,
  chosen,
  onChoose,
}: {
  shot: Shot;
  number: number;
  chosen: boolean;
  onChoose: () => void;
}) {
  const takes = shot.takes.filter((t) => t.status !== 'cancelled');
  const take = takes[0];
  const progress = useProgress(take?.id);
  const picture = take?.pictureUrl ?? progress?.preview ?? takes.find((t) => t.pictureUrl)?.pictureUrl;
  const busy = take && (take.status === 'queued' || take.status === 'rendering');
  return (
    <li className="flex min-w-0 flex-col">
      <button
        type="button"
        aria-pressed={chosen}
        aria-label={`Shot ${number}: ${shot.title}`}
        onClick={onChoose}
        className={`relative block w-full bg-black/15 ${chosen ? 'outline-3 outline-offset-2 outline-cinnabar' : ''}`}
        style={{ aspectRatio: take ? take.width / take.height : 1.5 }}
      >
        {picture ? (
          <img
            src={picture}
            alt={shot.prompt}
            data-testid="shot-picture"
            className={`h-full w-full shadow-lg ${take?.pictureUrl ? 'arrive' : ''}`}
          />
        ) : (
          <span className="grid h-full place-content-center text-white">not rendered yet</span>
        )}
        {busy && (
          <span className="absolute inset-x-0 bottom-0 block bg-black/60 px-2 py-1 text-left text-sm text-white">
            {take.status === 'queued'
              ? 'waits in line'
              : `${progress?.step ?? 'begins'} · ${percent(progress?.fraction ?? 0)}`}
          </span>
        )}
        {!busy && !shot.current && picture && (
          <span className="absolute top-1.5 right-1.5 rounded-full bg-card px-2 py-0.5 text-sm font-semibold text-cinnabar">
            changed since
          </span>
        )}
      </button>
      <div className="mt-2 text-white">
        <div className="font-title text-lg leading-tight font-semibold">
          <span className="figures">{number}</span> {shot.title}
        </div>
        <p className="line-clamp-2 text-sm">{shot.prompt}</p>
        {take?.error && <p className="mt-1 text-sm font-semibold">{take.error}</p>}
      </div>
      {takes.length > 1 && (
        <ul aria-label={`Earlier takes of ${shot.title}`} className="mt-2 flex flex-wrap gap-1.5">
          {takes
            .slice(1, 7)
            .map(
              (t) =>
                t.thumbnailUrl && (
                  <img key={t.id} src={t.thumbnailUrl} alt={`Earlier take, seed ${t.seed}`} className="h-9" />
                ),
            )}
        </ul>
      )}
    </li>
  );
}
