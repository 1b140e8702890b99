import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { moveBox, WHOLE, type Box, type Grip } from './focusBox';

/** How long, in ms, keys rest before a box that they moved is taken. */
const REST = 350;
/** How far one key moves a box, in parts of the picture; the smaller with Shift. */
const STEP = 0.01;
const FINE_STEP = 0.002;

interface Wish {
  /** The box as it is kept; the whole picture when absent. */
  readonly kept: Box | undefined;
  /** Width / height that the box has to keep in px of the picture's own aspect; free when absent. */
  readonly aspect: number | undefined;
  /** Takes a box over; nothing for the whole picture. */
  readonly onSettle: (box: Box | undefined) => void;
}

/** A box over a picture that is dragged by grips and moved by keys; it is taken when the pointer or the keys come to rest. */
export function useFocusBox({ kept, aspect, onSettle }: Wish) {
  const [box, setBox] = useState<Box | undefined>(undefined);
  const [byKey, setByKey] = useState(false);
  const frame = useRef<HTMLDivElement>(null);
  const drag = useRef<{ grip: Grip; x: number; y: number; from: Box } | undefined>(undefined);
  const shown = box ?? kept ?? WHOLE;
  const settle = (next: Box) => {
    setBox(undefined);
    const whole = next.left < 0.002 && next.top < 0.002 && next.right > 0.998 && next.bottom > 0.998;
    onSettle(whole ? undefined : next);
  };
  const onDown = (grip: Grip, e: PointerEvent) => {
    e.preventDefault();
    e.stopPropagation();
    (e.currentTarget as HTMLElement).focus();
    frame.current!.setPointerCapture(e.pointerId);
    drag.current = { grip, x: e.clientX, y: e.clientY, from: shown };
  };
  const onMove = (e: PointerEvent) => {
    const d = drag.current;
    if (!d) return;
    const area = frame.current!.getBoundingClientRect();
    setBox(moveBox(d.from, d.grip, (e.clientX - d.x) / area.width, (e.clientY - d.y) / area.height, aspect));
  };
  const onUp = () => {
    if (drag.current && box) settle(box);
    drag.current = undefined;
  };
  const onKey = (grip: Grip, e: KeyboardEvent) => {
    const by = e.shiftKey ? FINE_STEP : STEP;
    const move = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[e.key];
    if (!move) return;
    e.preventDefault();
    e.stopPropagation();
    setBox((now) => moveBox(now ?? shown, grip, move[0], move[1], aspect));
    setByKey(true);
  };
  // keys come one after the other: the picture is prepared when they rest
  useEffect(() => {
    if (!byKey || !box) return;
    const rest = setTimeout(() => {
      setByKey(false);
      settle(box);
    }, REST);
    return () => clearTimeout(rest);
  });
  return { frame, shown, settle, onDown, onKey, onMove, onUp };
}

export type FocusBox = ReturnType<typeof useFocusBox>;
