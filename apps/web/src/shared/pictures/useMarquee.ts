import { useRef, useState, type PointerEvent, type RefObject } from 'react';

/** A frame that is drawn, px of the scrolled content. */
export interface Frame {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** True where two frames share more than an edge. */
export const overlap = (a: Frame, b: Frame): boolean =>
  a.left < b.left + b.width && b.left < a.left + a.width && a.top < b.top + b.height && b.top < a.top + a.height;

/**
 * A frame drawn from an empty spot of what scrolls selects what it touches, by `touched`; a click there selects none. What carries
 * `data-id`, and buttons, are not empty.
 */
export function useMarquee(
  scrolled: RefObject<HTMLDivElement | null>,
  touched: (frame: Frame) => readonly string[],
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
        if ((e.target as HTMLElement).closest('[data-id], button') || e.button !== 0) return;
        start.current = at(e);
        scrolled.current!.setPointerCapture(e.pointerId);
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
