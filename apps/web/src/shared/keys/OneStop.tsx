import { useCallback, useEffect, useRef, type ComponentProps, type FocusEvent, type KeyboardEvent } from 'react';
import { inField } from './inField';
import { stepFrom, stopOf } from './oneStop';

interface Props extends ComponentProps<'div'> {
  /** Which of what is inside takes part; every button and link usually. */
  readonly of?: string;
}

const ACTS = 'button:not(:disabled), a[href]';

/**
 * A group with one tab stop: arrows lead from one to the next, as they lie, Home and End to the ends, and Tab comes back to the one that was
 * left. Fields keep their arrows.
 */
export function OneStop({ of = ACTS, onKeyDown, onFocus, className = '', ...rest }: Props) {
  const group = useRef<HTMLDivElement>(null);
  const last = useRef<HTMLElement>(undefined);
  // what is focused as it comes into the page is so before the group itself is known
  const items = useCallback(() => [...(group.current?.querySelectorAll<HTMLElement>(of) ?? [])], [of]);
  const settle = useCallback(() => {
    const all = items();
    const stop = stopOf(all, last.current);
    for (const item of all) {
      const index = item === stop ? 0 : -1;
      if (item.tabIndex !== index) item.tabIndex = index;
    }
  }, [items]);
  useEffect(() => {
    settle();
    const watcher = new MutationObserver(settle);
    watcher.observe(group.current!, {
      childList: true,
      subtree: true,
      attributeFilter: ['disabled', 'aria-pressed', 'aria-selected', 'aria-checked', 'aria-current'],
    });
    return () => watcher.disconnect();
  }, [settle]);
  const keyed = (e: KeyboardEvent<HTMLDivElement>) => {
    onKeyDown?.(e);
    if (e.defaultPrevented || e.ctrlKey || e.metaKey || e.altKey || inField(e.target)) return;
    const all = items();
    const next = stepFrom(all, all.indexOf(document.activeElement as HTMLElement), e.key);
    if (!next) return;
    e.preventDefault();
    next.focus();
  };
  const focused = (e: FocusEvent<HTMLDivElement>) => {
    onFocus?.(e);
    const item = e.target.closest<HTMLElement>(of);
    if (!item) return;
    last.current = item;
    settle();
  };
  // a list that is none of HTML's would have dots
  const plain = rest.role === 'list' ? `list-none ${className}` : className;
  return <div {...rest} className={plain} ref={group} onKeyDown={keyed} onFocus={focused} />;
}
