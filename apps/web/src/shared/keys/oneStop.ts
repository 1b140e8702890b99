/** What can have the focus. */
export const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled, [type=hidden], [type=file]), select:not(:disabled), textarea:not(:disabled), [role=slider], [tabindex]:not([tabindex="-1"])';

/** Where an arrow, Home or End leads to. */
type Step = 'left' | 'right' | 'up' | 'down' | 'first' | 'last';

const STEPS: Readonly<Record<string, Step>> = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
  Home: 'first',
  End: 'last',
};

/** Distances from here on, px, count as another row. */
const ROW = 6;

const middle = ({ left, right, top, bottom }: DOMRect) => ({ x: (left + right) / 2, y: (top + bottom) / 2 });

/** The nearest one in the next row above or below; where nothing is laid out, the one before or after. */
function across<T extends Element>(items: readonly T[], at: number, step: 'up' | 'down'): T | undefined {
  const from = middle(items[at].getBoundingClientRect());
  const sign = step === 'down' ? 1 : -1;
  const there = items
    .map((item) => ({ item, ...middle(item.getBoundingClientRect()) }))
    .filter(({ y }) => sign * (y - from.y) > ROW);
  if (!there.length) return items.every((item) => !item.getBoundingClientRect().height) ? items[at + sign] : undefined;
  const row = Math.min(...there.map(({ y }) => sign * y));
  return there
    .filter(({ y }) => sign * y < row + ROW)
    .reduce((a, b) => (Math.abs(b.x - from.x) < Math.abs(a.x - from.x) ? b : a)).item;
}

/** The item that a key leads to from another one; undefined where it leads nowhere. */
export function stepFrom<T extends Element>(items: readonly T[], at: number, key: string): T | undefined {
  const step = STEPS[key];
  if (!step || at < 0) return undefined;
  if (step === 'first') return items[0];
  if (step === 'last') return items[items.length - 1];
  if (step === 'up' || step === 'down') return across(items, at, step);
  return items[at + (step === 'right' ? 1 : -1)];
}

/** The item that Tab leads to: the one that had the focus last, else the chosen one, else the first. */
export function stopOf<T extends Element>(items: readonly T[], last: T | undefined): T | undefined {
  if (last && items.includes(last)) return last;
  return (
    items.find((i) =>
      i.matches(
        '[aria-pressed=true], [aria-selected=true], [aria-checked=true], [aria-current]:not([aria-current=false])',
      ),
    ) ?? items[0]
  );
}
