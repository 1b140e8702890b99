import { MessagesSquare } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { Link } from 'react-router';
import { useCommentActs, useInbox, type InboxComment } from '../../api/comments';
import { useMe } from '../../api/me';
import { usePeople, type Person } from '../../api/people';
import { Button } from '../Button';
import { PersonMark } from './PersonMark';

/** Where something that was said can be looked at. */
export function placeOf({ kind, thingId, seriesId, mixId, id }: InboxComment): string {
  if (kind === 'take') return `/takes/${thingId}?comment=${id}`;
  if (kind === 'shot') return `/series/${seriesId}?shot=${thingId}&comment=${id}`;
  if (kind === 'mix') return `/bench/${mixId ?? thingId}?comment=${id}`;
  return `/library?sel=${thingId}&comment=${id}`;
}

/** What others said: what is new for whoever looks is counted, and all of it can be gone to. */
export function Inbox() {
  const { data: me } = useMe();
  const { data: inbox } = useInbox();
  const [open, setOpen] = useState(false);
  if (!me?.person || !inbox) return null;
  const says = inbox.unread ? `Comments: ${inbox.unread} new for you` : 'Comments';
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <button
          type="button"
          aria-label={says}
          title={says}
          className="relative rounded-lg p-1.5 text-muted hover:bg-shade hover:text-ink"
        >
          <MessagesSquare size={18} aria-hidden />
          {inbox.unread > 0 && (
            <span className="figures absolute -top-0.5 -right-1 min-w-4 bg-cinnabar px-1 text-center text-[10px] leading-4 font-semibold text-white">
              {Math.min(99, inbox.unread)}
            </span>
          )}
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={8}
          aria-label="Comments of others"
          className="z-40 flex max-h-[70vh] w-96 flex-col rounded-xl border border-line bg-paper shadow-xl"
        >
          <Incoming onGo={() => setOpen(false)} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const SCOPES = [
  [false, 'For me'],
  [true, 'All'],
] as const;

function Incoming({ onGo }: { onGo: () => void }) {
  const [all, setAll] = useState(false);
  const { data: inbox } = useInbox(all);
  const { data: people = [] } = usePeople();
  const { readAll } = useCommentActs();
  return (
    <>
      <div className="flex items-center gap-1 border-b border-line p-2">
        {SCOPES.map(([value, name]) => (
          <button
            key={name}
            type="button"
            aria-pressed={all === value}
            onClick={() => setAll(value)}
            className={`rounded-lg px-2.5 py-1 ${all === value ? 'bg-ink text-paper' : 'hover:bg-shade'}`}
          >
            {name}
          </button>
        ))}
        {!!inbox?.unread && (
          <Button look="plain" className="ml-auto px-1 text-sm" onClick={() => void readAll()}>
            Mark all as read
          </Button>
        )}
      </div>
      {inbox?.comments.length ? (
        <ul className="min-h-0 overflow-auto p-1.5">
          {inbox.comments.map((c) => (
            <li key={c.id}>
              <Entry comment={c} person={people.find((p) => p.id === c.person)} onGo={onGo} />
            </li>
          ))}
        </ul>
      ) : (
        <p className="p-4 text-muted">
          {all
            ? 'Nobody has said anything yet. Open a take and comment on it.'
            : 'Nothing for you yet: comments that name you with @, and answers where you took part, come in here.'}
        </p>
      )}
    </>
  );
}

function Entry({ comment: c, person, onGo }: { comment: InboxComment; person: Person | undefined; onGo: () => void }) {
  return (
    <Link to={placeOf(c)} onClick={onGo} className="flex gap-3 rounded-lg p-2 hover:bg-shade">
      {c.thumbnailUrl ? (
        <img src={c.thumbnailUrl} alt="" className="h-12 w-16 shrink-0 object-cover" />
      ) : (
        <span className="h-12 w-16 shrink-0 bg-shade" />
      )}
      <span className="min-w-0 flex-1">
        <span className="flex items-center gap-1.5">
          {person && <PersonMark size="tiny" person={person} />}
          <strong className="truncate">{person?.name ?? 'Somebody'}</strong>
          <span className="min-w-0 flex-1 truncate text-sm text-muted">{c.about}</span>
          {c.unread && <span className="shrink-0 rounded bg-blush px-1 text-xs text-signal">new</span>}
        </span>
        <span className="line-clamp-2 break-words">{c.text}</span>
      </span>
    </Link>
  );
}
