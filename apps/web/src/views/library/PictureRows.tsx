import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent, type MouseEvent } from 'react';
import type { Reference } from '../../api/client';
import { useRemoveReference } from '../../api/queries';
import { KindSign } from '../../parts/KindSign';
import { useWeigh } from './useWeigh';
import { justify } from './rows';

const GAP = 8;
const ROW = 212;
const PAD = 12;

interface Props {
  readonly references: readonly Reference[];
  readonly selected: readonly string[];
  readonly onSelect: (ids: readonly string[]) => void;
}

/** Pictures in justified rows, each in its own aspect; only the rows in sight exist. */
export function PictureRows({ references, selected, onSelect }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  const remove = useRemoveReference();
  const weigh = useWeigh();
  useLayoutEffect(() => {
    const watcher = new ResizeObserver(([entry]) => setWidth(entry.contentRect.width));
    watcher.observe(frame.current!);
    return () => watcher.disconnect();
  }, []);
  const rows = useMemo(
    () => (width > 0 ? justify(references, (r) => r.width / r.height, width - 2 * PAD, ROW, GAP) : []),
    [references, width],
  );
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: (i) => rows[i].height + GAP,
    overscan: 2,
  });
  useEffect(() => virtual.measure(), [rows, virtual]);
  const order = references.map((r) => r.id);
  const last = selected[selected.length - 1];

  const choose = (id: string, e: MouseEvent | KeyboardEvent) => {
    if (e.shiftKey && last) {
      const [a, b] = [order.indexOf(last), order.indexOf(id)].sort((x, y) => x - y);
      onSelect([...order.slice(a, b + 1).filter((i) => i !== id), id]);
    } else if (e.ctrlKey || e.metaKey)
      onSelect(selected.includes(id) ? selected.filter((i) => i !== id) : [...selected, id]);
    else onSelect([id]);
  };
  const focus = (id: string) => {
    const row = rows.findIndex((r) => r.items.some((p) => p.item.id === id));
    virtual.scrollToIndex(row);
    requestAnimationFrame(() => frame.current?.querySelector<HTMLElement>(`[data-id="${id}"]`)?.focus());
  };
  const onKey = (e: KeyboardEvent, id: string) => {
    const at = order.indexOf(id);
    const row = rows.findIndex((r) => r.items.some((p) => p.item.id === id));
    const step: Record<string, () => string | undefined> = {
      ArrowRight: () => order[at + 1],
      ArrowLeft: () => order[at - 1],
      ArrowDown: () => nearest(rows[row + 1]?.items, rows[row], id),
      ArrowUp: () => nearest(rows[row - 1]?.items, rows[row], id),
    };
    const target = step[e.key]?.();
    if (target) {
      e.preventDefault();
      choose(target, e);
      focus(target);
    } else if (e.key === ' ') {
      e.preventDefault();
      choose(id, e);
    } else if (e.key === 'Enter') void weigh(references.filter((r) => selected.includes(r.id) || r.id === id));
    else if (e.key === 'Delete') references.filter((r) => selected.includes(r.id)).forEach((r) => remove.mutate(r));
  };

  return (
    <div ref={frame} className="h-full overflow-auto" role="listbox" aria-multiselectable aria-label="References">
      <div className="relative" style={{ height: virtual.getTotalSize(), margin: `0 ${PAD}px` }}>
        {virtual.getVirtualItems().map((v) =>
          rows[v.index]?.items.map(({ item, x, width: w }) => (
            <button
              key={item.id}
              type="button"
              role="option"
              data-id={item.id}
              aria-selected={selected.includes(item.id)}
              aria-label={`${item.title}, ${item.kind}`}
              tabIndex={item.id === (last ?? order[0]) ? 0 : -1}
              onClick={(e) => choose(item.id, e)}
              onDoubleClick={() => void weigh([item])}
              onKeyDown={(e) => onKey(e, item.id)}
              className={`group absolute overflow-hidden bg-shade ${selected.includes(item.id) ? 'outline-3 outline-offset-2 outline-cinnabar' : ''}`}
              style={{ top: v.start + 3, left: x, width: w, height: rows[v.index].height - 1 }}
            >
              <img
                src={item.thumbnailUrl}
                alt=""
                loading="lazy"
                draggable={false}
                className="h-full w-full object-cover"
              />
              <span className="absolute inset-x-0 bottom-0 flex items-center gap-2 bg-gradient-to-t from-black/80 to-transparent px-1.5 pt-6 pb-1.5 text-left text-sm text-white">
                <span className="rounded bg-card p-0.5">
                  <KindSign kind={item.kind} />
                </span>
                <span className="truncate">{item.title}</span>
              </span>
            </button>
          )),
        )}
      </div>
    </div>
  );
}

type RowOf = ReturnType<typeof justify<Reference>>[number];

/** The picture of another row that stands nearest to the middle of this one. */
function nearest(others: RowOf['items'] | undefined, row: RowOf | undefined, id: string): string | undefined {
  const own = row?.items.find((p) => p.item.id === id);
  if (!others || !own) return undefined;
  const middle = own.x + own.width / 2;
  const distance = (p: RowOf['items'][number]) => Math.abs(p.x + p.width / 2 - middle);
  return others.reduce((best, p) => (distance(p) < distance(best) ? p : best)).item.id;
}
