import { useState } from 'react';
import { useMe } from '../../api/me';

/** Why somebody was not let in through the directory, as the studio's answer says it. */
const REFUSALS: Readonly<Record<string, string>> = {
  unknown: 'You are known there, but not in this studio. Ask an owner for a link, and come in by it.',
  taken: 'Somebody else in this studio is known there as the one you came as.',
  failed: 'That did not work, or took too long. Try again.',
  away: 'It does not answer. Sign in with your password, or try again later.',
};

/** What the address says of a way in that did not lead in; read once, then it is gone from the address. */
function takeRefusal(): string | undefined {
  const { searchParams, pathname } = new URL(window.location.href);
  const refused = searchParams.get('way');
  if (refused === null) return undefined;
  window.history.replaceState(window.history.state, '', pathname);
  return REFUSALS[refused];
}

interface Props {
  /** What one does there: it stands before the name of the directory. */
  readonly act: string;
  /** The link by which one is invited. */
  readonly join?: string;
}

/** The way in through the directory, where the studio has one, and why it did not lead in the last time. */
export function DirectoryWay({ act, join }: Props) {
  const { data: me } = useMe();
  const [refusal] = useState(takeRefusal);
  if (!me?.directory) return null;
  const query = new URLSearchParams(join ? { join } : { to: window.location.pathname });
  return (
    <div className="flex flex-col gap-1.5">
      {refusal && (
        <p role="alert" className="rounded-lg bg-blush px-3 py-2">
          {refusal}
        </p>
      )}
      <a
        href={`/api/v1/me/directory?${query.toString()}`}
        className="rounded-lg border border-edge bg-card px-3 py-1.5 text-center hover:bg-shade"
      >
        {act} {me.directory}
      </a>
    </div>
  );
}
