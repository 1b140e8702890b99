import { useDraggable } from '@dnd-kit/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Heart, TriangleAlert } from 'lucide-react';
import {
  memo,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
  type PointerEvent,
} from 'react';
import type { Kind, Reference } from '../../api/client';
import { useChangeMany, useReferencesById } from '../../api/references';
import { KindSign } from '../../parts/KindSign';
import { LargeLook } from './LargeLook';
import { PictureMenu } from './PictureMenu';
import { justify, type Row } from './rows';
import { useWeigh } from '../../shared/mix/useWeigh';

const GAP = 8;
const ROW = 212;
const PAD = 12;
/** Letters of the kinds. */
const KIND_KEYS: Readonly<Record<string, Kind>> = { s: 'style', c: 'character', f: 'face', i: 'image' };

interface Cell {
  readonly id: string;
  readonly aspect: number;
}
interface Props {
  readonly ids: readonly string[];
  readonly aspects: readonly number[];
  readonly selected: readonly string[];
  readonly onSelect: (ids: readonly string[]) => void;
}

/** Pictures in justified rows, each in its own aspect; only the rows in sight exist, so that tens of thousands scroll. */
export function PictureRows({ ids, aspects, selected, onSelect }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  const [large, setLarge] = useState<string | undefined>(undefined);
  const change = useChangeMany();
  const weigh = useWeigh();
  useLayoutEffect(() => {
    const watcher = new ResizeObserver(([entry]) => setWidth(entry.contentRect.width));
    watcher.observe(frame.current!);
    return () => watcher.disconnect();
  }, []);
  const rows = useMemo(() => {
    const cells = ids.map((id, k): Cell => ({ id, aspect: aspects[k] }));
    return width > 0 ? justify(cells, (c) => c.aspect, width - 2 * PAD, ROW, GAP) : [];
  }, [ids, aspects, width]);
  const places = useMemo(() => new Map(ids.map((id, k) => [id, k])), [ids]);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: (i) => rows[i].height + GAP,
    overscan: 2,
  });
  useEffect(() => virtual.measure(), [rows, virtual]);
  const inSight = virtual.getVirtualItems();
  const references = useReferencesById(inSight.flatMap((v) => rows[v.index]?.items.map((p) => p.item.id) ?? []));
  const chosen = useMemo(() => new Set(selected), [selected]);
  const last = selected[selected.length - 1];
  const marquee = useMarquee(frame, rows, onSelect);

  const choose = (id: string, e: MouseEvent | KeyboardEvent) => {
    if (e.shiftKey && last) {
      const [a, b] = [places.get(last) ?? 0, places.get(id) ?? 0].sort((x, y) => x - y);
      onSelect([...ids.slice(a, b + 1).filter((i) => i !== id), id]);
    } else if (e.ctrlKey || e.metaKey) onSelect(chosen.has(id) ? selected.filter((i) => i !== id) : [...selected, id]);
    else onSelect([id]);
  };
  const focus = (id: string) => {
    virtual.scrollToIndex(rowOf(rows, id));
    requestAnimationFrame(() => frame.current?.querySelector<HTMLElement>(`[data-id="${id}"]`)?.focus());
  };
  const onKey = (e: KeyboardEvent, id: string) => {
    const at = places.get(id) ?? 0;
    const row = rowOf(rows, id);
    const step: Record<string, () => string | undefined> = {
      ArrowRight: () => ids[at + 1],
      ArrowLeft: () => ids[at - 1],
      ArrowDown: () => nearest(rows[row + 1]?.items, rows[row], id),
      ArrowUp: () => nearest(rows[row - 1]?.items, rows[row], id),
      Home: () => ids[0],
      End: () => ids[ids.length - 1],
    };
    const target = step[e.key]?.();
    const these = chosen.has(id) ? selected : [id];
    const command = e.ctrlKey || e.metaKey;
    const key = e.key.toLowerCase();
    if (target) {
      choose(target, e);
      focus(target);
    } else if (e.key === ' ') setLarge(id);
    else if (command && key === 'a') onSelect(ids);
    else if (command) return;
    else if (e.key === 'Enter') void weigh(these);
    else if (e.key === 'Delete')
      change.mutate({
        ids: these,
        change: { away: true },
        says: `${these.length === 1 ? 'A picture was' : `${these.length} pictures were`} put away.`,
      });
    else if (/^[0-5]$/.test(e.key)) change.mutate({ ids: these, change: { rating: Number(e.key) } });
    else if (key === 'h') change.mutate({ ids: these, change: { favourite: !references.get(id)?.favourite } });
    else if (KIND_KEYS[key]) change.mutate({ ids: these, change: { kind: KIND_KEYS[key] } });
    else return;
    e.preventDefault();
  };

  return (
    <PictureMenu references={references} selected={selected} onSelect={onSelect} onLarge={setLarge}>
      <div
        ref={frame}
        className="relative h-full overflow-auto"
        role="listbox"
        aria-multiselectable
        aria-label="References"
        {...marquee.handlers}
      >
        <div className="relative" style={{ height: virtual.getTotalSize(), margin: `0 ${PAD}px` }}>
          {inSight.map((v) =>
            rows[v.index]?.items.map(({ item: { id }, x, width: w }) => (
              <Picture
                key={id}
                id={id}
                reference={references.get(id)}
                selected={chosen.has(id)}
                tabbable={id === (last ?? ids[0])}
                group={chosen.has(id) ? selected : undefined}
                top={v.start + 3}
                left={x}
                width={w}
                height={rows[v.index].height - 1}
                onChoose={choose}
                onKey={onKey}
                onOpen={() => void weigh([id])}
              />
            )),
          )}
        </div>
        {marquee.box && (
          <div
            aria-hidden
            className="pointer-events-none absolute border border-white bg-white/20"
            style={marquee.box}
          />
        )}
      </div>
      <LargeLook id={large} ids={ids} onGo={(id) => (setLarge(id), id && onSelect([id]))} />
    </PictureMenu>
  );
}

interface PictureProps {
  readonly id: string;
  readonly reference: Reference | undefined;
  readonly selected: boolean;
  readonly tabbable: boolean;
  readonly group: readonly string[] | undefined;
  readonly top: number;
  readonly left: number;
  readonly width: number;
  readonly height: number;
  readonly onChoose: (id: string, e: MouseEvent) => void;
  readonly onKey: (e: KeyboardEvent, id: string) => void;
  readonly onOpen: () => void;
}

const Picture = memo(
  function Picture({
    id,
    reference: r,
    selected,
    tabbable,
    group,
    top,
    left,
    width,
    height,
    onChoose,
    onKey,
    onOpen,
  }: PictureProps) {
    const { setNodeRef, listeners, isDragging } = useDraggable({
      id,
      data: { ids: group ?? [id], thumbnailUrl: r?.thumbnailUrl },
    });
    return (
      <button
        ref={setNodeRef}
        type="button"
        role="option"
        data-id={id}
        aria-selected={selected}
        aria-label={
          r ? `${r.alt}, ${r.kind}${r.rating ? `, rated ${r.rating}` : ''}` : 'A picture that is being loaded'
        }
        tabIndex={tabbable ? 0 : -1}
        onClick={(e) => onChoose(id, e)}
        onDoubleClick={onOpen}
        {...listeners}
        onKeyDown={(e) => onKey(e, id)}
        className={`group absolute overflow-hidden bg-shade ${selected ? 'outline-3 outline-offset-2 outline-cinnabar' : ''} ${isDragging ? 'opacity-50' : ''}`}
        style={{ top, left, width, height }}
      >
        {r && (
          <>
            <img
              src={r.thumbnailUrl}
              alt=""
              decoding="async"
              draggable={false}
              className="h-full w-full object-cover"
            />
            <span className="absolute inset-x-0 bottom-0 flex items-center gap-2 bg-gradient-to-t from-black/80 to-transparent px-1.5 pt-6 pb-1.5 text-left text-sm text-white">
              <span className="rounded bg-card p-0.5">
                <KindSign kind={r.kind} />
              </span>
              <span className="min-w-0 flex-1 truncate">{r.title}</span>
              {r.rating > 0 && <span className="figures shrink-0">{r.rating}/5</span>}
              {r.favourite && <Heart size={14} className="shrink-0" fill="currentColor" aria-hidden />}
              {r.checkState === 'serious' && (
                <TriangleAlert size={14} className="shrink-0" aria-label="has a serious fault" />
              )}
            </span>
          </>
        )}
      </button>
    );
  },
  (a, b) =>
    a.reference === b.reference &&
    a.selected === b.selected &&
    a.tabbable === b.tabbable &&
    a.top === b.top &&
    a.left === b.left &&
    a.width === b.width &&
    a.height === b.height &&
    a.group === b.group &&
    a.onChoose === b.onChoose,
);

type Items = Row<Cell>['items'];

const rowOf = (rows: readonly Row<Cell>[], id: string) => rows.findIndex((r) => r.items.some((p) => p.item.id === id));

/** The picture of another row that stands nearest to the middle of this one. */
function nearest(others: Items | undefined, row: Row<Cell> | undefined, id: string): string | undefined {
  const own = row?.items.find((p) => p.item.id === id);
  if (!others || !own) return undefined;
  const middle = own.x + own.width / 2;
  const distance = (p: Items[number]) => Math.abs(p.x + p.width / 2 - middle);
  return others.reduce((best, p) => (distance(p) < distance(best) ? p : best)).item.id;
}

/** A frame drawn over the pictures from an empty spot selects those that it touches. */
function useMarquee(
  frame: React.RefObject<HTMLDivElement | null>,
  rows: readonly Row<Cell>[],
  onSelect: (ids: readonly string[]) => void,
) {
  const [box, setBox] = useState<{ left: number; top: number; width: number; height: number } | undefined>(undefined);
  const start = useRef<[number, number] | undefined>(undefined);
  const at = (e: PointerEvent): [number, number] => {
    const f = frame.current!;
    const r = f.getBoundingClientRect();
    return [e.clientX - r.left + f.scrollLeft, e.clientY - r.top + f.scrollTop];
  };
  const touched = (b: { left: number; top: number; width: number; height: number }) => {
    const ids: string[] = [];
    let top = 0;
    for (const row of rows) {
      if (top < b.top + b.height && top + row.height > b.top)
        for (const p of row.items)
          if (p.x + PAD < b.left + b.width && p.x + PAD + p.width > b.left) ids.push(p.item.id);
      top += row.height + GAP;
    }
    return ids;
  };
  return {
    box,
    handlers: {
      onPointerDown: (e: PointerEvent) => {
        if ((e.target as HTMLElement).closest('[data-id]') || e.button !== 0) return;
        start.current = at(e);
        frame.current!.setPointerCapture(e.pointerId);
      },
      onPointerMove: (e: PointerEvent) => {
        if (!start.current) return;
        const [x, y] = at(e);
        const [x0, y0] = start.current;
        const next = { left: Math.min(x, x0), top: Math.min(y, y0), width: Math.abs(x - x0), height: Math.abs(y - y0) };
        setBox(next);
        onSelect(touched(next));
      },
      onPointerUp: () => {
        if (start.current && !box) onSelect([]);
        start.current = undefined;
        setBox(undefined);
      },
    },
  };
}
