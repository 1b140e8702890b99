import { ROLE_WORDS, ROLES, type Role } from '@urbild/core';
import { useState } from 'react';
import { useInvitations, usePeopleActs, type Invitation } from '../../api/people';
import { Button } from '../../parts/Button';
import { MadeLink } from './MadeLink';

/** Lets somebody in: by a role, and a link that is sent to them. */
export function Invitations() {
  const { invite } = usePeopleActs();
  const [role, setRole] = useState<Role>('editor');
  const [note, setNote] = useState('');
  const [made, setMade] = useState<Invitation | undefined>(undefined);
  const send = async () => {
    const invitation = await invite({ role, note: note.trim() });
    if (!invitation) return;
    setMade(invitation);
    setNote('');
  };
  return (
    <section aria-label="Invite somebody" className="flex flex-col gap-3">
      <h2 className="font-title text-xl font-semibold">Invite somebody</h2>
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          void send();
        }}
      >
        <fieldset className="grid grid-cols-4 gap-2 max-[900px]:grid-cols-2">
          <legend className="sr-only">Their role</legend>
          {ROLES.map((one) => (
            <label
              key={one}
              className={`flex cursor-pointer flex-col gap-0.5 rounded-xl border p-3 ${one === role ? 'border-ink bg-card' : 'border-line'}`}
            >
              <span className="flex items-center gap-1.5 font-semibold">
                <input
                  type="radio"
                  name="role"
                  checked={one === role}
                  onChange={() => setRole(one)}
                  className="accent-ink"
                />
                {ROLE_WORDS[one].label}
              </span>
              <span className="text-sm text-muted">{ROLE_WORDS[one].sentence}</span>
            </label>
          ))}
        </fieldset>
        <div className="flex gap-2">
          <input
            aria-label="Whom it is meant for"
            placeholder="whom it is meant for"
            value={note}
            maxLength={60}
            onChange={(e) => setNote(e.target.value)}
            className="min-w-0 flex-1 rounded-lg border border-edge bg-card px-2.5 py-1.5"
          />
          <Button look="main" type="submit">
            Make a link
          </Button>
        </div>
      </form>
      {made?.path && (
        <MadeLink
          path={made.path}
          says={`Send this to ${made.note || 'whom you invite'}. It lets one person in as ${ROLE_WORDS[made.role].label.toLowerCase()}, within a week.`}
        />
      )}
      <OpenLinks />
    </section>
  );
}

/** Links that nobody has used yet. */
function OpenLinks() {
  const { data: links = [] } = useInvitations();
  const { takeBack } = usePeopleActs();
  if (!links.length) return null;
  return (
    <ul aria-label="Links that nobody has used yet" className="flex flex-col divide-y divide-line border-y border-line">
      {links.map((link) => (
        <li key={link.id} className="flex items-center gap-3 py-2">
          <span className="min-w-0 flex-1 truncate">
            {link.note || 'Somebody'}
            <span className="text-muted">
              , {link.reset ? 'a new password' : ROLE_WORDS[link.role].label.toLowerCase()}, until{' '}
              {new Date(link.expiresAt).toLocaleDateString(undefined, { day: 'numeric', month: 'long' })}
            </span>
          </span>
          <Button look="plain" onClick={() => void takeBack(link.id)}>
            Take back
          </Button>
        </li>
      ))}
    </ul>
  );
}
