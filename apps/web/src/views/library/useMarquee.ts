import { useRef, useState, type PointerEvent, type RefObject } from 'react';
import type { Row } from './rows';

/** A frame that is drawn, px of the scrolled content. */
interface Frame {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** How the rows lie: the gap between them, and the room at their sides, px. */
interface Lie {
  readonly gap: number;
  readonly pad: number;
}

/** The pictures that a frame touches, in their order. */
export function touched<T extends { readonly id: string }>(
  rows: readonly Row<T>[],
  frame: Frame,
  { gap, pad }: Lie,
): string[] {
  const ids: string[] = [];
  let top = 0;
  for (const row of rows) {
    if (top < frame.top + frame.height && top + row.height > frame.top)
      for (const p of row.items)
        if (p.x + pad < frame.left + frame.width && p.x + pad + p.width > frame.left) ids.push(p.item.id);
    top += row.height + gap;
  }
  return ids;
}

/** A frame drawn over the pictures from an empty spot selects those that it touches; a click there selects none. */
export function useMarquee<T extends { readonly id: string }>(
  scrolled: RefObject<HTMLDivElement | null>,
  rows: readonly Row<T>[],
  lie: Lie,
  onSelect: (ids: readonly string[]) => void,
) {
  const [box, setBox] = useState<Frame | undefined>(undefined);
  const start = useRef<[number, number] | undefined>(undefined);
  const at = (e: PointerEvent): [number, number] => {
    const f = scrolled.current!;
    const r = f.getBoundingClientRect();
    return [e.clientX - r.left + f.scrollLeft, e.clientY - r.top + f.scrollTop];
  };
  return {
    box,
    handlers: {
      onPointerDown: (e: PointerEvent) => {
        if ((e.target as HTMLElement).closest('[data-id]') || e.button !== 0) return;
        start.current = at(e);
        scrolled.current!.setPointerCapture(e.pointerId);
      },
      onPointerMove: (e: PointerEvent) => {
        if (!start.current) return;
        const [x, y] = at(e);
        const [x0, y0] = start.current;
        const next = { left: Math.min(x, x0), top: Math.min(y, y0), width: Math.abs(x - x0), height: Math.abs(y - y0) };
        setBox(next);
        onSelect(touched(rows, next, lie));
      },
      onPointerUp: () => {
        if (start.current && !box) onSelect([]);
        start.current = undefined;
        setBox(undefined);
      },
    },
  };
}
