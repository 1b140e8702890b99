import { useState } from 'react';
import { api, ask } from '../../api/client';
import { useMe } from '../../api/me';
import { usePeopleActs, useSessions } from '../../api/people';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/notices';
import { isLongEnough } from '../../parts/people/NewPersonFields';
import { DirectoryWay } from '../../parts/people/DirectoryWay';
import { EntryField } from '../../parts/people/EntryFrame';

/** What is one's own: by which browsers one is in, and one's password. */
export function OwnSide() {
  const { data: me } = useMe();
  const { data: sessions = [] } = useSessions();
  const { endSession } = usePeopleActs();
  const [changing, setChanging] = useState(false);
  return (
    <section aria-label="You" className="flex flex-col gap-3">
      <h2 className="font-title text-xl font-semibold">You</h2>
      <ul aria-label="Where you are signed in" className="flex flex-col divide-y divide-line border-y border-line">
        {sessions.map((session) => (
          <li key={session.id} className="flex items-center gap-2 py-2 text-sm">
            <span className="min-w-0 flex-1">
              <span className="block truncate">{session.own ? 'This browser' : browserOf(session.browser)}</span>
              <span className="text-muted">seen {new Date(session.seenAt).toLocaleString(undefined, SEEN)}</span>
            </span>
            {!session.own && (
              <Button look="plain" onClick={() => void endSession(session.id)}>
                Sign out there
              </Button>
            )}
          </li>
        ))}
      </ul>
      {!me?.listed && <DirectoryWay act="Also sign in through" />}
      {changing ? (
        <Password onDone={() => setChanging(false)} />
      ) : (
        <Button className="self-start" onClick={() => setChanging(true)}>
          Change the password
        </Button>
      )}
    </section>
  );
}

const SEEN = { dateStyle: 'medium', timeStyle: 'short' } as const;

/** A browser and its system, from what it says of itself (RFC 9110, 10.1.5); what it says where that tells nothing. */
export function browserOf(agent: string): string {
  const browser = /(Firefox|Edg|Chrome|Safari)\//.exec(agent)?.[1];
  const system = /(Windows|Macintosh|Android|iPhone|iPad|Linux)/.exec(agent)?.[1];
  const told = [browser === 'Edg' ? 'Edge' : browser, system && `on ${system}`].filter(Boolean).join(' ');
  return told || agent || 'A program that does not say which';
}

function Password({ onDone }: { onDone: () => void }) {
  const tell = useNotice();
  const [now, setNow] = useState('');
  const [then, setThen] = useState('');
  const save = async () => {
    try {
      await ask(api.POST('/api/v1/me/password', { body: { now, then } }));
      tell('Your password is changed; you are signed out everywhere else.');
      onDone();
    } catch (error) {
      tell((error as Error).message, { grave: true });
    }
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <EntryField
        secret
        autoFocus
        label="Your present password"
        fills="current-password"
        value={now}
        onChange={setNow}
      />
      <EntryField
        secret
        label="Your new password"
        hint="10 characters or more"
        fills="new-password"
        value={then}
        onChange={setThen}
      />
      <div className="flex gap-2">
        <Button look="main" type="submit" disabled={!now || !isLongEnough(then)}>
          Change it
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </form>
  );
}
