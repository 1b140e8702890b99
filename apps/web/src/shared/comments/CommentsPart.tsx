import { MapPinned, X } from 'lucide-react';
import { useState } from 'react';
import { useCommentActs } from '../../api/comments';
import { usePeople, type Person } from '../../api/people';
import { useMayHere } from '../../api/projects';
import { Button } from '../../parts/Button';
import { CommentField } from './CommentField';
import { ThreadCard } from './ThreadCard';
import type { Talk } from './useTalk';

interface Props {
  readonly talk: Talk;
  /** Whether a comment can be about a point of a picture that stands beside it. */
  readonly points?: boolean;
}

const NOBODY: readonly Person[] = [];

/** What people say about something: threads that are open, those that are resolved on demand, and a field for a new one. */
export function CommentsPart({ talk, points = false }: Props) {
  const { data: people = NOBODY } = usePeople();
  const mayComment = useMayHere('comment');
  const [all, setAll] = useState(false);
  const { threads = [], chosen } = talk;
  const resolved = threads.filter((t) => t.first.resolved && t.first.id !== chosen).length;
  const shown = threads.filter((t) => all || !t.first.resolved || t.first.id === chosen);
  return (
    <section aria-label="Comments" className="flex flex-col gap-3">
      <div className="flex items-baseline">
        <h2 className="text-sm font-semibold text-muted">
          Comments{threads.length > resolved && <span className="figures"> {threads.length - resolved}</span>}
        </h2>
        {resolved > 0 && (
          <Button look="plain" className="ml-auto text-sm" aria-expanded={all} onClick={() => setAll(!all)}>
            {all ? 'Hide the resolved' : `${resolved} resolved`}
          </Button>
        )}
      </div>
      {shown.length > 0 && (
        <ul className="flex flex-col gap-3.5">
          {shown.map((thread) => (
            <ThreadCard key={thread.first.id} thread={thread} talk={talk} people={people} />
          ))}
        </ul>
      )}
      {mayComment && <NewComment talk={talk} people={people} points={points} />}
    </section>
  );
}

function NewComment({ talk, people, points }: { talk: Talk; people: readonly Person[]; points: boolean }) {
  const { write } = useCommentActs();
  const { thing, point, setPoint, pointing, setPointing, choose } = talk;
  const key = Object.values(thing).join();
  const send = async (text: string) => {
    const made = await write(thing, text, point);
    if (!made) return undefined;
    setPoint(undefined);
    choose(made.id);
    return made;
  };
  return (
    <CommentField
      // the field comes under the hand as soon as its point is chosen
      key={`${key} ${!!point}`}
      draft={key}
      label="New comment"
      send="Comment"
      people={people}
      autoFocus={!!point}
      onSend={send}
    >
      {points &&
        (point ? (
          <span className="flex items-center gap-1 text-sm">
            About a point
            <button
              type="button"
              aria-label="About the whole picture instead"
              onClick={() => setPoint(undefined)}
              className="grid size-6 place-items-center rounded hover:bg-shade"
            >
              <X size={13} aria-hidden />
            </button>
          </span>
        ) : (
          <button
            type="button"
            aria-pressed={pointing}
            onClick={() => setPointing(!pointing)}
            className={`flex items-center gap-1 rounded px-1.5 py-1 text-sm ${pointing ? 'bg-ink text-paper' : 'text-muted hover:bg-shade hover:text-ink'}`}
          >
            <MapPinned size={14} aria-hidden />
            {pointing ? 'Choose the point' : 'About a point'}
          </button>
        ))}
    </CommentField>
  );
}
