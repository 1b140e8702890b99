/** Something on the page that can be done now. */
export interface Doable {
  /** As a screen reader would say it. */
  readonly name: string;
  /** The part of the page that it stands in; empty at the top of it. */
  readonly where: string;
  /** Its key, as a person would write it: "Ctrl + Enter". */
  readonly keys?: string;
  /** Pressed when it is chosen; fields and handles only get the focus. */
  readonly pressed: boolean;
  readonly element: HTMLElement;
}

const PRESSED = 'button, a[href], summary, [role=switch], [role=tab], [role=radio]';
const FILLED = 'input:not([type=hidden], [type=file]), textarea, select, [role=slider], [contenteditable=true]';
const PARTS =
  'section[aria-label], nav[aria-label], aside[aria-label], [role=group][aria-label], [role=region][aria-label], header';

const plain = (text: string | null | undefined): string => (text ?? '').replace(/\s+/g, ' ').trim();

/** The accessible name of an element, as far as pages of ours name things. */
function nameOf(element: HTMLElement): string {
  const by = element.getAttribute('aria-labelledby')?.split(' ') ?? [];
  const labels = (element as Partial<HTMLInputElement>).labels;
  return (
    plain(by.map((id) => document.getElementById(id)?.textContent).join(' ')) ||
    plain(element.getAttribute('aria-label')) ||
    plain(labels && [...labels].map((label) => label.textContent).join(' ')) ||
    (element.matches(FILLED) ? '' : plain(element.textContent)) ||
    plain(element.title)
  );
}

const keysOf = (element: HTMLElement): string | undefined =>
  element
    .getAttribute('aria-keyshortcuts')
    ?.split(' ')
    .map((one) => one.split('+').join(' + ').replace('Control', 'Ctrl'))
    .join(', ');

/** False for what nobody can use now: switched off, unseen, or of what lies over the page. */
function usable(element: HTMLElement): boolean {
  if (
    element.matches(':disabled, [aria-disabled=true]') ||
    element.closest('[aria-hidden=true], [inert], [role=dialog]')
  )
    return false;
  // not known everywhere
  return (element.checkVisibility as (() => boolean) | undefined)?.call(element) ?? true;
}

/**
 * Everything that can be done on a page as it is now: first what has a key, last what every page has, else in the page's order. What has the
 * same name in the same part is told once.
 */
export function doableNow(page: ParentNode): Doable[] {
  const found = new Map<string, Doable>();
  for (const element of page.querySelectorAll<HTMLElement>(`${PRESSED}, ${FILLED}`)) {
    if (!usable(element)) continue;
    const name = nameOf(element);
    const where = plain(element.parentElement?.closest(PARTS)?.getAttribute('aria-label'));
    const key = `${where}/${name}`;
    if (!name || found.has(key)) continue;
    found.set(key, { name, where, keys: keysOf(element), pressed: !element.matches(FILLED), element });
  }
  const place = ({ element, keys }: Doable) => (element.closest('header') ? 2 : keys ? 0 : 1);
  return [...found.values()].sort((a, b) => place(a) - place(b));
}

/** True where every word of what was typed begins a word of the text. */
export function saysAll(text: string, typed: string): boolean {
  const words = text.toLowerCase().split(/[^\p{L}\p{N}]+/u);
  return typed
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .every((part) => words.some((word) => word.startsWith(part)));
}
