import { useVirtualizer } from '@tanstack/react-virtual';
import {
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
  type RefObject,
} from 'react';
import { useReferencesById } from '../../api/references';
import { useArranged } from './useArranged';
import { PictureCell } from './PictureCell';
import { PictureMenu } from './PictureMenu';
import { justify, rowOf, touched, type Cell } from './rows';
import { DrawnFrame } from '../../shared/pictures/DrawnFrame';
import { useMarquee } from '../../shared/pictures/useMarquee';
import { useRowKeys } from './useRowKeys';
import { useWeigh } from '../../shared/mix/useWeigh';

const GAP = 8;
const PAD = 12;
const LIE = { gap: GAP, pad: PAD };

interface Props {
  readonly ids: readonly string[];
  readonly aspects: readonly number[];
  /** About how high a row is, px. */
  readonly height: number;
  readonly selected: readonly string[];
  readonly onSelect: (ids: readonly string[]) => void;
  /** Shows a picture large, or all that are chosen if it is one of them. */
  readonly onLarge: (id: string) => void;
}

/** Pictures in justified rows, each in its own aspect; only the rows in sight exist, so that tens of thousands scroll. */
export function PictureRows({ ids, aspects, height, selected, onSelect, onLarge }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const weigh = useWeigh();
  const arranged = useArranged();
  const rows = useJustified(frame, { ids, aspects, height });
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
  const marquee = useMarquee(frame, (drawn) => touched(rows, drawn, LIE), onSelect);

  const choose = (id: string, e: MouseEvent | KeyboardEvent) => onSelect(chosenBy(e, id, { ids, selected }));
  const focus = (id: string) => {
    virtual.scrollToIndex(rowOf(rows, id));
    requestAnimationFrame(() => frame.current?.querySelector<HTMLElement>(`[data-id="${id}"]`)?.focus());
  };
  // what is moved by a key is put elsewhere in the page and loses the focus: the next key is for it as well
  const moved = useRef<string>(undefined);
  useEffect(() => {
    if (moved.current) focus(moved.current);
    moved.current = undefined;
  });
  const onKey = useRowKeys({
    ids,
    rows,
    references,
    selected,
    arranged,
    onSelect,
    onLarge,
    onMove: (id) => (moved.current = id),
    onGo: (id, e) => (choose(id, e), focus(id)),
  });

  return (
    <PictureMenu references={references} selected={selected} onSelect={onSelect} onLarge={onLarge}>
      <div
        ref={frame}
        className="relative h-full overflow-auto"
        role="listbox"
        aria-multiselectable
        aria-label="References"
        {...marquee.handlers}
      >
        <div className="relative" style={{ height: virtual.getTotalSize(), margin: `0 ${PAD}px` }}>
          {inSight.flatMap((v) =>
            (rows[v.index]?.items ?? []).map(({ item: { id }, x, width: w }) => (
              <PictureCell
                key={id}
                id={id}
                reference={references.get(id)}
                selected={chosen.has(id)}
                tabbable={id === (last ?? ids[0])}
                group={chosen.has(id) ? selected : undefined}
                between={!!arranged}
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
        <DrawnFrame frame={marquee.box} />
      </div>
    </PictureMenu>
  );
}

/** The rows of pictures in a frame, as wide as it is; none before its width is known. */
function useJustified(
  frame: RefObject<HTMLDivElement | null>,
  { ids, aspects, height }: Pick<Props, 'ids' | 'aspects' | 'height'>,
) {
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const watcher = new ResizeObserver(([entry]) => setWidth(entry.contentRect.width));
    watcher.observe(frame.current!);
    return () => watcher.disconnect();
  }, [frame]);
  return useMemo(() => {
    const cells = ids.map((id, k): Cell => ({ id, aspect: aspects[k] }));
    return width > 0 ? justify(cells, (c) => c.aspect, width - 2 * PAD, height, GAP) : [];
  }, [ids, aspects, height, width]);
}

/** The selection after a picture was pressed: with Shift from the last one on, with Ctrl more or less, otherwise it alone. */
function chosenBy(
  e: Pick<MouseEvent | KeyboardEvent, 'shiftKey' | 'ctrlKey' | 'metaKey'>,
  id: string,
  { ids, selected }: Pick<Props, 'ids' | 'selected'>,
): readonly string[] {
  const last = selected[selected.length - 1];
  if (e.shiftKey && last) {
    const [a, b] = [Math.max(0, ids.indexOf(last)), Math.max(0, ids.indexOf(id))].sort((x, y) => x - y);
    return [...ids.slice(a, b + 1).filter((i) => i !== id), id];
  }
  if (e.ctrlKey || e.metaKey) return selected.includes(id) ? selected.filter((i) => i !== id) : [...selected, id];
  return [id];
}
