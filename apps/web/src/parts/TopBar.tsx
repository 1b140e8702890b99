import { Bell, BellRing } from 'lucide-react';
import { NavLink } from 'react-router';
import { useStudio } from '../api/queries';
import { LightChoice } from './LightChoice';
import { AlsoHere } from './people/AlsoHere';
import { Inbox } from './people/Inbox';
import { OwnMark } from './people/OwnMark';
import { ProjectSwitcher } from './ProjectSwitcher';
import { useReadyNotice } from './readyNotice';
import { StudioSign } from './StudioSign';
import { ShortcutsDialog } from './ShortcutsDialog';
import { Tip } from './Tip';
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
    <header className="flex h-11 items-center gap-8 max-[900px]:gap-4 border-b border-line bg-paper px-4">
      <div className="flex items-center gap-2.5">
        <StudioSign size={24} />
        <span className="font-title text-xl font-semibold">Urbild</span>
      </div>
      <nav aria-label="Views" className="flex h-full gap-6 max-[900px]:gap-3.5">
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
      <div className="ml-auto flex items-center gap-4 max-[900px]:gap-1.5">
        <ProjectSwitcher />
        {studio && (
          <Doing demo={studio.demo} waiting={studio.queue.length} left={studio.secondsLeft} unread={studio.unread} />
        )}
        <TroubledJobs />
        <LightChoice />
        <ShortcutsDialog />
        <AlsoHere />
        <Inbox />
        <OwnMark />
      </div>
    </header>
  );
}

interface DoingProps {
  readonly demo: { readonly done: number; readonly total: number };
  /** Takes in the queue, and about how many seconds it will need. */
  readonly waiting: number;
  readonly left: number | undefined;
  /** Pictures that wait to be looked at for who they show. */
  readonly unread: number;
}

/** A time that is only about right, in words. */
const about = (seconds: number): string =>
  seconds < 90 ? `about ${Math.max(5, Math.round(seconds / 5) * 5)} s` : `about ${Math.round(seconds / 60)} min`;

/** What the studio is busy with that matters most: its demo, takes, pictures that are looked at for who they show. */
function Doing({ demo, waiting, left, unread }: DoingProps) {
  const ready = useReadyNotice(waiting);
  const drawing = demo.done < demo.total;
  if (!drawing && !waiting && !unread) return null;
  const text = drawing
    ? `Drawing the demo studio, ${demo.done} of ${demo.total}`
    : waiting
      ? `${waiting} ${waiting === 1 ? 'take' : 'takes'} queued${left === undefined ? '' : `, ${about(left)}`}`
      : `Looking at ${unread} ${unread === 1 ? 'picture' : 'pictures'}`;
  const says = ready.on ? 'You will be told when they are ready; do not tell me' : 'Tell me when they are ready';
  return (
    <span className="flex items-center gap-1 rounded-full border border-line bg-card px-3 py-1 text-sm text-muted">
      <span role="status" className="figures">
        {text}
      </span>
      {waiting > 0 && ready.able && (
        <Tip text={says}>
          <button
            type="button"
            aria-label={says}
            aria-pressed={ready.on}
            onClick={() => void ready.toggle()}
            className="rounded-full p-0.5 hover:text-ink"
          >
            {ready.on ? <BellRing size={14} aria-hidden /> : <Bell size={14} aria-hidden />}
          </button>
        </Tip>
      )}
    </span>
  );
}
