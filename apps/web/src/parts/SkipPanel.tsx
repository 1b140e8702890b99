import { useState } from 'react';
import { FOCUSABLE } from '../shared/keys/oneStop';
import { OneStop } from '../shared/keys/OneStop';

/** A part of a view that one can go to at once. */
interface Part {
  readonly name: string;
  readonly element: HTMLElement;
}

const PARTS = '[data-main], section[aria-label], aside[aria-label]';
/** More are no shorter way. */
const MOST = 8;

/** The parts of the view, what it is there for first; parts within parts and those without anything to do are left out. */
function partsOf(view: HTMLElement): Part[] {
  const all = [...view.querySelectorAll<HTMLElement>(PARTS)].filter(
    (e) => e.matches('[data-main]') || !e.parentElement?.closest('section[aria-label], aside[aria-label]'),
  );
  return all
    .flatMap((element) => {
      const name = element.dataset.main ?? element.getAttribute('aria-label');
      return name && (element.matches(FOCUSABLE) || element.querySelector(FOCUSABLE)) ? [{ name, element }] : [];
    })
    .sort((a, b) => Number(b.element.matches('[data-main]')) - Number(a.element.matches('[data-main]')))
    .filter(({ name }, k, list) => list.findIndex((p) => p.name === name) === k)
    .slice(0, MOST);
}

/** Puts the focus on the first thing in a part that Tab would come to. */
function enter({ element }: Part): void {
  const inside = element.matches(FOCUSABLE)
    ? element
    : [...element.querySelectorAll<HTMLElement>(FOCUSABLE)].find((e) => e.tabIndex >= 0);
  inside?.focus();
  inside?.scrollIntoView?.({ block: 'nearest' });
}

const START: readonly Part[] = [];

/** The first tab stop of every view: its parts, to be gone to without passing everything before them. Unseen without the focus. */
export function SkipPanel() {
  const [parts, setParts] = useState(START);
  const [open, setOpen] = useState(false);
  return (
    <OneStop
      role="group"
      aria-label="Go to a part of this view"
      onFocus={() => {
        setParts(partsOf(document.querySelector('main')!));
        setOpen(true);
      }}
      onBlur={(e) => !e.currentTarget.contains(e.relatedTarget) && setOpen(false)}
      className={
        open
          ? 'fixed top-1.5 left-1.5 z-50 flex items-center gap-1 rounded-lg border border-line bg-card p-1.5 pl-3 shadow-xl'
          : 'sr-only'
      }
    >
      <span aria-hidden className="pr-1 text-muted">
        Go to
      </span>
      {(parts.length ? parts.map((p) => p.name) : ['the view']).map((name, k) => (
        <button
          key={k}
          type="button"
          onClick={() => parts[k] && enter(parts[k])}
          className="rounded px-2 py-1 font-semibold hover:bg-shade"
        >
          {name}
        </button>
      ))}
    </OneStop>
  );
}
