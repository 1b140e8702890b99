import { useId, useState } from 'react';
import { saysAll, type Doable } from '../shared/keys/doable';

/** More are not listed: then another word finds it sooner. */
const LISTED = 60;

interface Props {
  readonly acts: readonly Doable[];
  readonly typed: string;
  readonly onType: (typed: string) => void;
  readonly onChoose: (act: Doable) => void;
}

/** A field that finds what can be done now by some of its words; arrows go through what is found, Enter does it. */
export function FindAct({ acts, typed, onType, onChoose }: Props) {
  const id = useId();
  const [at, setAt] = useState(0);
  const found = acts.filter(({ name, where }) => saysAll(`${name} ${where}`, typed)).slice(0, LISTED);
  const here = Math.min(at, found.length - 1);
  const onKey = (e: React.KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowUp: -1 }[e.key];
    if (by) setAt((here + by + found.length) % Math.max(1, found.length));
    else if (e.key === 'Enter' && found[here]) onChoose(found[here]);
    else return;
    e.preventDefault();
  };
  return (
    <>
      <input
        role="combobox"
        aria-label="Find what you can do"
        aria-expanded
        aria-controls={`${id}-list`}
        aria-activedescendant={found[here] && `${id}-${here}`}
        placeholder="type a word of what you want to do"
        value={typed}
        maxLength={80}
        onChange={(e) => {
          onType(e.target.value);
          setAt(0);
        }}
        onKeyDown={onKey}
        className="w-full rounded-lg border border-edge bg-paper px-3 py-2 text-base"
      />
      <ul
        id={`${id}-list`}
        role="listbox"
        aria-label="What can be done now"
        className="mt-2 max-h-64 shrink-0 overflow-auto"
      >
        {found.map((act, k) => (
          <li
            key={`${act.where}/${act.name}`}
            id={`${id}-${k}`}
            role="option"
            aria-selected={k === here}
            ref={(row) => {
              if (k === here) row?.scrollIntoView?.({ block: 'nearest' });
            }}
            onClick={() => onChoose(act)}
            className={`flex cursor-pointer items-baseline gap-3 rounded px-3 py-1 ${k === here ? 'bg-shade' : ''}`}
          >
            <span className="min-w-0 flex-1 truncate">{act.name}</span>
            <span className="shrink-0 text-sm text-muted">{act.where}</span>
            {act.keys && <kbd className="shrink-0 font-sans text-sm font-semibold">{act.keys}</kbd>}
          </li>
        ))}
      </ul>
      {!found.length && (
        <p className="px-3 text-sm text-muted">Nothing on this page is called so. Try another word, or another page.</p>
      )}
    </>
  );
}
