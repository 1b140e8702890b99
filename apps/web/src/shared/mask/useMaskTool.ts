import { clamp } from '@urbild/core';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useZoom } from '../../parts/zoom';
import type { Place } from './maskDrawing';
import { maskAct } from './maskKeys';
import type { useMaskDrawing } from './useMaskDrawing';

/** Width of the brush, px of the canvas. */
const [THINNEST, WIDEST] = [4, 200];
const USUAL = 48;

/** The hand over the sheet: a brush or an eraser that is led by the pointer or by keys. */
export function useMaskTool({ canvas, paint, measure }: ReturnType<typeof useMaskDrawing>) {
  const [brush, setBrush] = useState(USUAL);
  const [erasing, setErasing] = useState(false);
  const [cursor, setCursor] = useState<Place>([0.5, 0.5]);
  const stroke = useRef<Place | undefined>(undefined);
  const { zoom, handlers } = useZoom();
  const width = () => ({ width: brush / zoom.scale, erasing });
  const begin = (at: Place) => {
    stroke.current = at;
    paint((d) => {
      d.begin();
      d.stroke(at, at, width());
    });
  };
  const goTo = (to: Place) => {
    const from = stroke.current;
    if (from) paint((d) => d.stroke(from, to, width()));
    if (from) stroke.current = to;
    setCursor(to);
  };
  const end = () => {
    stroke.current = undefined;
    measure();
  };
  /** Does something to all of it. */
  const whole = (act: Parameters<typeof paint>[0]) => {
    paint(act);
    measure();
  };
  const onKey = (e: KeyboardEvent) => {
    if ((e.target as HTMLElement).closest('input, [role=slider]')) return;
    if (e.altKey || '+-=0'.includes(e.key)) return handlers.onKeyDown(e);
    const act = maskAct(e, zoom.scale);
    if (!act) return;
    e.preventDefault();
    if (act.does === 'undo') whole((d) => d.undo());
    else if (act.does === 'eraser') setErasing(!erasing);
    else if (act.does === 'brush') setBrush((b) => clamp(b + act.by, THINNEST, WIDEST));
    else if (act.does === 'move') goTo([clamp(cursor[0] + act.by[0]), clamp(cursor[1] + act.by[1])]);
    else if (!stroke.current) begin(cursor);
  };
  const at = (e: PointerEvent): Place => {
    const box = canvas.current!.getBoundingClientRect();
    return [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height];
  };
  const onSheet = {
    onWheel: handlers.onWheel,
    onKeyUp: (e: KeyboardEvent) => e.key === ' ' && end(),
    onPointerDown: (e: PointerEvent) => {
      e.currentTarget.setPointerCapture(e.pointerId);
      begin(at(e));
    },
    onPointerMove: (e: PointerEvent) => goTo(at(e)),
    onPointerUp: end,
  };
  return { brush, setBrush, erasing, setErasing, cursor, zoom, whole, onKey, onSheet };
}
