import type { Series, Shot, ShotTake } from '../../api/client';
import { lead } from './shots';

/** How far a picture has come, to follow its title. */
function standing(take: ShotTake, { stale }: Shot): string {
  if (!take.keeper) return ' not kept yet';
  if (!take.approved) return '';
  return stale.length ? ' approval outdated' : ' approved';
}

/** All keepers as on a printed sheet: pictures, numbers and titles on white. */
export function KeepersSheet({ series, onOpen }: { series: Series; onOpen: (id: string) => void }) {
  const shots = series.shots.filter((s) => !s.skipped);
  return (
    <section aria-label="The sheet of keepers" className="min-h-0 flex-1 overflow-y-auto bg-booth p-6">
      <ul className="mx-auto grid max-w-6xl grid-cols-4 gap-x-5 gap-y-6 bg-card p-8 text-ink shadow-2xl">
        {shots.map((shot, k) => {
          const take = lead(shot);
          return (
            <li key={shot.id} className="min-w-0">
              <button
                type="button"
                aria-label={`Shot ${k + 1}: ${shot.title}`}
                onClick={() => onOpen(shot.id)}
                className="block w-full"
                style={{ aspectRatio: take ? take.width / take.height : 1.5 }}
              >
                {take ? (
                  <img src={take.pictureUrl} alt="" loading="lazy" className="h-full w-full object-cover" />
                ) : (
                  <span className="grid h-full place-content-center border border-line text-sm text-muted">
                    no picture
                  </span>
                )}
              </button>
              <p className="truncate pt-1.5 text-sm font-semibold">
                <span className="figures">{k + 1}</span> {shot.title}
                {take && <span className="font-normal text-muted">{standing(take, shot)}</span>}
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
