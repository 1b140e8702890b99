import { begunMention, type BegunMention } from '@urbild/core';
import { useId, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import type { Person } from '../../api/people';
import { Button } from '../../parts/Button';
import { PersonMark } from '../../parts/people/PersonMark';
import { useDraft } from './useDraft';

interface Props {
  /** Under which what is not sent yet is kept. */
  readonly draft: string;
  readonly label: string;
  readonly send: string;
  /** A text that is changed, rather than written anew. */
  readonly text?: string;
  readonly people: readonly Person[];
  readonly autoFocus?: boolean;
  /** Beside the buttons. */
  readonly children?: ReactNode;
  /** Sends it: what is not taken stays in the field. */
  readonly onSend: (text: string) => Promise<unknown>;
  readonly onCancel?: () => void;
}

const MOST = 4_000;
/** So many people are offered at once. */
const OFFERED = 6;

/** A field to say something in: @ offers the people, Ctrl + Enter sends. */
export function CommentField({
  draft,
  label,
  send,
  text: usual,
  people,
  autoFocus,
  children,
  onSend,
  onCancel,
}: Props) {
  const [text, setText] = useDraft(draft, usual);
  const [busy, setBusy] = useState(false);
  const { begun, look, field, onKey, take, chosen, listId } = useNaming(text, setText, people);
  const submit = async () => {
    if (!text.trim() || busy) return;
    setBusy(true);
    if (await onSend(text.trim())) setText('');
    setBusy(false);
  };
  const onKeyDown = (e: KeyboardEvent) => {
    if (onKey(e)) return;
    if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) void submit();
    else if (e.key === 'Escape' && onCancel) onCancel();
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <div className="relative flex flex-col gap-1.5">
      <textarea
        ref={field}
        autoFocus={autoFocus}
        aria-label={label}
        aria-keyshortcuts="Control+Enter"
        role="combobox"
        aria-expanded={!!begun}
        aria-autocomplete="list"
        aria-controls={begun ? listId : undefined}
        aria-activedescendant={begun ? `${listId}-${chosen}` : undefined}
        placeholder={people.length > 1 ? 'Say something; @ names somebody' : 'Say something'}
        value={text}
        maxLength={MOST}
        rows={2}
        onChange={(e) => (setText(e.target.value), look(e.target))}
        onSelect={(e) => look(e.currentTarget)}
        onBlur={() => look(undefined)}
        onKeyDown={onKeyDown}
        className="field-sizing-content max-h-48 min-h-14 w-full rounded-lg border border-line bg-card px-2 py-1"
      />
      {begun && <Names id={listId} begun={begun} people={people} chosen={chosen} onTake={take} />}
      {(text || autoFocus || children) && (
        <div className="flex flex-wrap items-center gap-2">
          {children}
          <span className="ml-auto flex gap-2">
            {onCancel && <Button onClick={onCancel}>Cancel</Button>}
            <Button disabled={!text.trim() || busy} onClick={() => void submit()}>
              {send}
            </Button>
          </span>
        </div>
      )}
    </div>
  );
}

/** Finishing a name that is being written. */
function useNaming(text: string, setText: (text: string) => void, people: readonly Person[]) {
  const [begun, setBegun] = useState<BegunMention>();
  const [chosen, setChosen] = useState(0);
  const field = useRef<HTMLTextAreaElement>(null);
  const look = (at: HTMLTextAreaElement | undefined) => {
    setBegun(at && begunMention(at.value, at.selectionStart, people));
    setChosen(0);
  };
  const take = (name: string) => {
    if (!begun) return;
    const next = `${text.slice(0, begun.from)}@${name} `;
    setText(next + text.slice(begun.to).trimStart());
    setBegun(undefined);
    // after the new text stands in the field
    setTimeout(() => field.current?.setSelectionRange(next.length, next.length));
  };
  /** True where a key was for the list. */
  const onKey = (e: KeyboardEvent): boolean => {
    if (!begun) return false;
    const fits = begun.fits.slice(0, OFFERED);
    if (e.key === 'ArrowDown') setChosen((k) => (k + 1) % fits.length);
    else if (e.key === 'ArrowUp') setChosen((k) => (k + fits.length - 1) % fits.length);
    else if (e.key === 'Enter' || e.key === 'Tab') take(fits[chosen].name);
    else if (e.key === 'Escape') setBegun(undefined);
    else return false;
    e.preventDefault();
    e.stopPropagation();
    return true;
  };
  return { begun, look, field, onKey, take, chosen, listId: useId() };
}

interface NamesProps {
  readonly id: string;
  readonly begun: BegunMention;
  readonly people: readonly Person[];
  readonly chosen: number;
  readonly onTake: (name: string) => void;
}

function Names({ id, begun, people, chosen, onTake }: NamesProps) {
  return (
    <ul
      id={id}
      role="listbox"
      aria-label="People"
      className="absolute right-0 bottom-full left-0 z-20 mb-1 rounded-lg border border-line bg-card p-1 shadow-lg"
    >
      {begun.fits.slice(0, OFFERED).map(({ id: person, name }, k) => (
        <li
          key={person}
          id={`${id}-${k}`}
          role="option"
          aria-selected={k === chosen}
          // the field keeps the focus
          onPointerDown={(e) => (e.preventDefault(), onTake(name))}
          className={`flex items-center gap-2 rounded px-1.5 py-1 ${k === chosen ? 'bg-shade' : ''}`}
        >
          <PersonMark size="tiny" person={people.find((p) => p.id === person)!} />
          {name}
        </li>
      ))}
    </ul>
  );
}
