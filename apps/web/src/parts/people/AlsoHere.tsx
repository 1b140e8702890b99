import { Link, useLocation } from 'react-router';
import type { Place } from '../../api/presence';
import { Tip } from '../Tip';
import { PersonMark } from './PersonMark';
import { usePlaces } from './PlacesProvider';

/** So many are shown by their marks, the others by their number. */
const SHOWN = 4;
const VIEWS: Readonly<Record<string, string>> = {
  library: 'in the library',
  looks: 'in the looks',
  cast: 'in the cast',
  bench: 'at the bench',
  series: 'in the series',
  sequences: 'in a sequence',
  takes: 'with a take',
  compare: 'comparing pictures',
  studio: 'in the studio',
  first: 'at the first steps',
};

/** Where somebody is, in words that follow their name. */
export const whereabouts = (at: string, here: string): string =>
  at === here ? 'is here too' : `is ${VIEWS[at.split('/')[1]] ?? 'somewhere else'}`;

/** Each person once: by the window that is here, else by the first of theirs. */
export function eachOnce(others: readonly Place[], here: string): Place[] {
  const of = new Map<string, Place>();
  for (const place of others) if (!of.has(place.person) || place.at === here) of.set(place.person, place);
  return [...of.values()].sort((a, b) => Number(b.at === here) - Number(a.at === here));
}

/** Who else is in the studio, those on the same page first; a click goes to where they are. */
export function AlsoHere() {
  const { pathname } = useLocation();
  const people = eachOnce(usePlaces().others, pathname);
  if (!people.length) return null;
  return (
    <ul aria-label="Who else is in the studio" className="flex items-center gap-1">
      {people.slice(0, SHOWN).map((place) => {
        const says = `${place.name} ${whereabouts(place.at, pathname)}`;
        const here = place.at === pathname;
        return (
          <li key={place.person}>
            <Tip text={says}>
              <Link
                to={place.at}
                aria-label={says}
                className="block border-b-2 pb-0.5"
                style={{ borderColor: here ? `oklch(0.46 0.1 ${place.hue})` : 'transparent' }}
              >
                <PersonMark person={place} />
              </Link>
            </Tip>
          </li>
        );
      })}
      {people.length > SHOWN && <li className="figures text-sm text-muted">and {people.length - SHOWN} more</li>}
    </ul>
  );
}
