import { Link } from 'react-router';
import { useSequences } from '../../api/sequences';
import { moveInWords } from '../../shared/pictures/windows';

/** The sequences that were made of a shot. */
export function SequencesOf({ seriesId, shotId }: { seriesId: string; shotId: string }) {
  const { data } = useSequences(seriesId);
  const own = (data ?? []).filter((s) => s.shotId === shotId);
  if (!own.length) return null;
  return (
    <ul aria-label="Sequences of the shot" className="flex flex-col gap-1">
      {own.map((s) => (
        <li key={s.id}>
          <Link to={`/sequences/${s.id}`} className="flex items-center gap-2 hover:underline">
            <img src={s.free[0]?.thumbnailUrl ?? undefined} alt="" className="h-8 rounded-sm bg-shade" />
            <span className="line-clamp-2 text-sm">
              {s.free.length} frames: {moveInWords(s.move).join('; ')}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
