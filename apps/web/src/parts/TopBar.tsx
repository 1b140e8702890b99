import { NavLink } from 'react-router';
import { useStudio } from '../api/queries';
import { ShortcutsDialog } from './ShortcutsDialog';
import { TroubledJobs } from './TroubledJobs';

const VIEWS = [
  { to: '/library', name: 'Library' },
  { to: '/looks', name: 'Looks' },
  { to: '/cast', name: 'Cast' },
  { to: '/bench', name: 'Bench' },
  { to: '/series', name: 'Series' },
];

/** The thin bar above every view: where one is, and what the studio is doing. */
export function TopBar() {
  const { data: studio } = useStudio();
  return (
    <header className="flex h-11 items-center gap-8 border-b border-line bg-paper px-4">
      <div className="flex items-center gap-2.5">
        <svg width="24" height="24" viewBox="0 0 24 24" aria-hidden="true">
          <path d="M3 3h13v5h-2V5H5v9h3v2H3z" fill="#24211d" />
          <rect x="10" y="10" width="11" height="11" fill="#bf3d27" />
        </svg>
        <span className="font-title text-xl font-semibold">Urbild</span>
      </div>
      <nav aria-label="Views" className="flex h-full gap-6">
        {VIEWS.map(({ to, name }) => (
          <NavLink
            key={to}
            to={to}
            className={({ isActive }) =>
              `flex items-center border-b-2 pt-0.5 ${isActive ? 'border-cinnabar font-semibold text-ink' : 'border-transparent text-muted hover:text-ink'}`
            }
          >
            {name}
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto flex items-center gap-4">
        <span className="font-title text-lg font-semibold">{studio?.name}</span>
        {studio && <Doing demo={studio.demo} waiting={studio.line.length} unread={studio.unread} />}
        <TroubledJobs />
        <ShortcutsDialog />
      </div>
    </header>
  );
}

/** What the studio is busy with that matters most: its demo, takes, pictures that are looked at for who they show. */
function Doing({ demo, waiting, unread }: { demo: { done: number; total: number }; waiting: number; unread: number }) {
  const drawing = demo.done < demo.total;
  if (!drawing && !waiting && !unread) return null;
  const text = drawing
    ? `Drawing the demo studio, ${demo.done} of ${demo.total}`
    : waiting
      ? `${waiting} ${waiting === 1 ? 'take' : 'takes'} in line`
      : `Looking at ${unread} ${unread === 1 ? 'picture' : 'pictures'}`;
  return (
    <span role="status" className="figures rounded-full border border-line bg-card px-3 py-1 text-sm text-muted">
      {text}
    </span>
  );
}
