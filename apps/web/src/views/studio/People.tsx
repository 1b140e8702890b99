import { ROLE_WORDS, ROLES, type Role } from '@urbild/core';
import { useState } from 'react';
import { useMay, useMe } from '../../api/me';
import { usePeople, usePeopleActs, type Invitation, type Person } from '../../api/people';
import { Button } from '../../parts/Button';
import { PersonMark } from '../../parts/people/PersonMark';
import { MadeLink } from './MadeLink';

/** Everybody who works here, and what they may. */
export function People() {
  const { data: people } = usePeople();
  const manages = useMay('manage');
  if (!people)
    return <div className="skeleton h-40 rounded-2xl" role="status" aria-label="The people are being read" />;
  const owners = people.filter(({ role }) => role === 'owner').length;
  return (
    <section aria-label="People" className="flex flex-col gap-3">
      <h2 className="font-title text-xl font-semibold">People</h2>
      <ul className="flex flex-col divide-y divide-line border-y border-line">
        {people.map((person) => (
          <PersonRow
            key={person.id}
            person={person}
            manages={manages}
            isOnlyOwner={person.role === 'owner' && owners === 1}
          />
        ))}
      </ul>
    </section>
  );
}

interface RowProps {
  readonly person: Person;
  readonly manages: boolean;
  readonly isOnlyOwner: boolean;
}

function PersonRow({ person, manages, isOnlyOwner }: RowProps) {
  const { data: me } = useMe();
  const { change } = usePeopleActs();
  const isMe = me?.person?.id === person.id;
  const words = ROLE_WORDS[person.role];
  return (
    <li className="flex items-start gap-4 py-3.5">
      <PersonMark person={person} size="large" />
      <div className="min-w-0 flex-1">
        <div className="truncate font-semibold">
          {person.name}
          {isMe && <span className="font-normal text-muted"> (you)</span>}
        </div>
        <div className="text-sm text-muted">{words.sentence}</div>
        {manages && <RowActs person={person} isOnlyOwner={isOnlyOwner} />}
      </div>
      {manages ? (
        <div className="flex flex-col items-end gap-1.5">
          <select
            aria-label={`Role of ${person.name}`}
            value={person.role}
            disabled={isOnlyOwner}
            onChange={(e) => void change(person.id, { role: e.target.value as Role })}
            className="rounded-lg border border-edge bg-card px-2 py-1.5 disabled:text-muted"
          >
            {ROLES.map((role) => (
              <option key={role} value={role}>
                {ROLE_WORDS[role].label}
              </option>
            ))}
          </select>
          {(person.role === 'commenter' || person.role === 'viewer') && (
            <label className="flex items-center gap-1.5 text-sm">
              <input
                type="checkbox"
                checked={person.mayExport}
                onChange={() => void change(person.id, { mayExport: !person.mayExport })}
                className="accent-ink"
              />
              may hand pictures over
            </label>
          )}
        </div>
      ) : (
        <span className="text-muted">{words.label}</span>
      )}
    </li>
  );
}

/** What an owner can do for somebody, and to them: a new password, and removing them, which is asked about once more. */
function RowActs({ person, isOnlyOwner }: Pick<RowProps, 'person' | 'isOnlyOwner'>) {
  const { remove, reset } = usePeopleActs();
  const [asked, setAsked] = useState(false);
  const [link, setLink] = useState<Invitation | undefined>(undefined);
  return (
    <>
      <div className="mt-1 flex items-center gap-4 text-sm">
        <Button look="plain" onClick={() => void reset(person.id).then(setLink)}>
          Link for a new password
        </Button>
        {!isOnlyOwner &&
          (asked ? (
            <span className="flex items-center gap-3">
              Signed out at once; what they made stays.
              <Button look="plain" onClick={() => void remove(person.id)}>
                Remove {person.name}
              </Button>
              <Button look="plain" onClick={() => setAsked(false)}>
                Cancel
              </Button>
            </span>
          ) : (
            <Button look="plain" onClick={() => setAsked(true)}>
              Remove from the studio
            </Button>
          ))}
      </div>
      {link?.path && (
        <MadeLink path={link.path} says={`Send this to ${person.name}. It can be used once, within a week.`} />
      )}
    </>
  );
}
