import { Check, Pencil, RotateCcw, Trash2 } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useCommentActs, type Comment } from '../../api/comments';
import { useMay, useMe } from '../../api/me';
import type { Person } from '../../api/people';
import { useMayHere } from '../../api/projects';
import { Button } from '../../parts/Button';
import { PersonMark } from '../../parts/people/PersonMark';
import { Tip } from '../../parts/Tip';
import { CommentField } from './CommentField';
import { CommentText } from './CommentText';
import { NumberMark } from './NumberMark';
import { useReading } from './useReading';
import type { Talk } from './useTalk';
import type { Thread } from './threads';
import { whenSaid } from './whenSaid';

interface Props {
  readonly thread: Thread;
  readonly talk: Talk;
  readonly people: readonly Person[];
}

/** A thread: what was said first, the answers, and what can be done with it. */
export function ThreadCard({ thread: { first, answers, number }, talk, people }: Props) {
  const { setResolved, answer } = useCommentActs();
  const mayComment = useMayHere('comment');
  const [answering, setAnswering] = useState(false);
  const card = useRef<HTMLLIElement>(null);
  const fresh = useReading(
    card,
    [first, ...answers].map((c) => c.id),
  );
  const chosen = talk.chosen === first.id;
  useEffect(() => {
    if (chosen) card.current?.scrollIntoView?.({ block: 'nearest' });
  }, [chosen]);
  const by = people.find((p) => p.id === first.resolvedBy)?.name;
  return (
    <li
      ref={card}
      aria-current={chosen || undefined}
      className={`flex flex-col gap-2 border-l-2 pl-2.5 ${chosen ? 'border-cinnabar' : 'border-line'}`}
    >
      <Said comment={first} talk={talk} fresh={fresh} people={people}>
        {number !== undefined && talk.thing.takeId && (
          <button
            type="button"
            aria-label={`Show point ${number} on the picture`}
            aria-pressed={chosen}
            onClick={() => talk.choose(chosen ? '' : first.id)}
          >
            <NumberMark number={number} chosen={chosen} />
          </button>
        )}
      </Said>
      {answers.map((c) => (
        <Said key={c.id} comment={c} talk={talk} fresh={fresh} people={people} />
      ))}
      {answering ? (
        <CommentField
          draft={`answer-${first.id}`}
          label="Your answer"
          send="Answer"
          autoFocus
          people={people}
          onCancel={() => setAnswering(false)}
          onSend={async (text) => {
            const done = await answer(first, text);
            if (done) setAnswering(false);
            return done;
          }}
        />
      ) : (
        mayComment && (
          <div className="flex items-center gap-3 text-sm">
            <Button look="plain" onClick={() => setAnswering(true)}>
              Answer
            </Button>
            {!first.deleted && (
              <button
                type="button"
                onClick={() => void setResolved(first, !first.resolved)}
                className="ml-auto flex items-center gap-1 rounded px-1.5 py-0.5 text-muted hover:bg-shade hover:text-ink"
              >
                {first.resolved ? <RotateCcw size={13} aria-hidden /> : <Check size={14} aria-hidden />}
                {first.resolved ? 'Reopen' : 'Resolve'}
              </button>
            )}
          </div>
        )
      )}
      {first.resolved && <p className="text-sm text-muted">{by ? `Resolved by ${by}` : 'Resolved'}</p>}
    </li>
  );
}

interface SaidProps {
  readonly comment: Comment;
  readonly talk: Talk;
  /** Ids of comments that were new when one came. */
  readonly fresh: ReadonlySet<string>;
  readonly people: readonly Person[];
  /** Before the name. */
  readonly children?: ReactNode;
}

/** One comment: who said it, when, and what. */
function Said({ comment: c, talk, fresh, people, children }: SaidProps) {
  const { setText } = useCommentActs();
  const [changing, setChanging] = useState(false);
  const person = people.find((p) => p.id === c.person);
  if (c.deleted)
    return <div className="flex items-center gap-2 text-sm text-muted">{children}This comment was deleted.</div>;
  return (
    <article aria-label={`Comment of ${person?.name ?? 'somebody'}`} className="flex flex-col gap-1">
      <div className="flex min-h-6 items-center gap-2">
        {children}
        {person && <PersonMark person={person} size="tiny" />}
        <Author comment={c} name={person?.name} />
        {fresh.has(c.id) && <span className="rounded bg-blush px-1 text-xs text-signal">new</span>}
        <time dateTime={c.createdAt} className="truncate text-sm text-muted">
          {whenSaid(c.createdAt)}
          {c.editedAt && ', changed'}
        </time>
        {!changing && <OwnActs comment={c} onChange={() => setChanging(true)} />}
      </div>
      {changing ? (
        <CommentField
          draft={`change-${c.id}`}
          label="Your comment"
          send="Save"
          text={c.text}
          autoFocus
          people={people}
          onCancel={() => setChanging(false)}
          onSend={async (text) => {
            const done = await setText(c, text);
            if (done) setChanging(false);
            return done;
          }}
        />
      ) : (
        <CommentText text={c.text} people={people} />
      )}
      {c.kind === 'take' && !talk.thing.takeId && c.id === c.threadId && (
        <Link
          to={`/takes/${c.thingId}?comment=${c.id}`}
          className="text-sm underline decoration-edge underline-offset-2"
        >
          On a take: look at it
        </Link>
      )}
    </article>
  );
}

/** Who said it; whoever wrote before there were people here has no name. */
function Author({ comment, name }: { comment: Comment; name: string | undefined }) {
  const { data: me } = useMe();
  const own = comment.person === me?.person?.id;
  return (
    <span className="truncate font-semibold">
      {name ?? (comment.person ? 'Somebody who left' : own ? 'You' : 'Before the studio was shared')}
    </span>
  );
}

/** Changing what one said oneself, and deleting it; owners delete anything. */
function OwnActs({ comment, onChange }: { comment: Comment; onChange: () => void }) {
  const { data: me } = useMe();
  const manages = useMay('manage');
  const { remove } = useCommentActs();
  const own = comment.person === me?.person?.id;
  const look = 'grid size-6 place-items-center rounded text-muted hover:bg-shade hover:text-ink';
  return (
    <span className="ml-auto flex shrink-0">
      {own && (
        <Tip text="Change">
          <button type="button" aria-label="Change the comment" onClick={onChange} className={look}>
            <Pencil size={13} aria-hidden />
          </button>
        </Tip>
      )}
      {(own || manages) && (
        <Tip text="Delete">
          <button type="button" aria-label="Delete the comment" onClick={() => void remove(comment)} className={look}>
            <Trash2 size={13} aria-hidden />
          </button>
        </Tip>
      )}
    </span>
  );
}
