import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { clamp } from '@urbild/core';
import { round } from '../../shared/forms/figures';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  /** Steps of the arrow keys, and with Shift. */
  readonly step: number;
  readonly fine: number;
  readonly vertical?: boolean;
  readonly text: string;
  /** How much the value changes per px of movement. */
  readonly perPixel: () => number;
  /** `live` while the pointer moves; a last call without it ends the drag. */
  readonly onChange: (value: number, live: boolean) => void;
  readonly onReset: () => void;
  readonly className: string;
  readonly style?: React.CSSProperties;
}

/** Something that is dragged along one axis, or moved by arrow keys: a slider for screen readers. */
export function Handle({
  label,
  value,
  min,
  max,
  step,
  fine,
  vertical = false,
  text,
  perPixel,
  onChange,
  onReset,
  className,
  style,
}: Props) {
  const start = useRef<{ at: number; value: number } | undefined>(undefined);
  const at = (e: PointerEvent) => (vertical ? -e.clientY : e.clientX);
  const next = (e: PointerEvent) =>
    clamp(round(start.current!.value + (at(e) - start.current!.at) * perPixel()), min, max);
  const onKey = (e: KeyboardEvent) => {
    const more = e.key === 'ArrowUp' || e.key === 'ArrowRight';
    const less = e.key === 'ArrowDown' || e.key === 'ArrowLeft';
    // with Alt the arrows belong to the lane
    if (e.altKey) return;
    if (e.key === 'Home') onChange(min, false);
    else if (e.key === 'End') onChange(max, false);
    else if (more || less)
      onChange(clamp(round(value + (more ? 1 : -1) * (e.shiftKey ? fine : step), 3), min, max), false);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={min}
      aria-valuemax={max}
      aria-valuenow={value}
      aria-valuetext={text}
      aria-orientation={vertical ? 'vertical' : 'horizontal'}
      onKeyDown={onKey}
      onDoubleClick={onReset}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        e.currentTarget.focus();
        e.stopPropagation();
        start.current = { at: at(e), value };
      }}
      onPointerMove={(e) => start.current && onChange(next(e), true)}
      onPointerUp={(e) => {
        if (!start.current) return;
        const last = next(e);
        start.current = undefined;
        onChange(last, false);
      }}
      className={`touch-none ${className}`}
      style={style}
    />
  );
}
