import { useRef, type PointerEvent } from 'react';
import { round } from '../../shared/forms/figures';
import { HUES, type Hue } from '../../theme/kinds';

/** From where to where something acts, 0..1. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

interface Props {
  readonly span: Span;
  readonly on: boolean;
  readonly hue: Hue;
  /** Width of the band in px. */
  readonly band: () => number;
  readonly onChange: (span: Span, live: boolean) => void;
}

/** The body of a lane: drawn along, it moves the whole span. */
export function LaneBar({ span, on, hue, band, onChange }: Props) {
  const drag = useRef<({ x: number } & Span) | undefined>(undefined);
  const move = (e: PointerEvent, live: boolean) => {
    const d = drag.current!;
    const length = d.to - d.from;
    const start = Math.min(1 - length, Math.max(0, round(d.from + (e.clientX - d.x) / band())));
    onChange({ from: round(start), to: round(start + length) }, live);
  };
  return (
    <div
      className="absolute inset-0 cursor-grab touch-none rounded-sm active:cursor-grabbing"
      style={{
        background: on
          ? `color-mix(in srgb, ${HUES[hue]} 88%, var(--color-card))`
          : `repeating-linear-gradient(45deg, ${HUES[hue]} 0 3px, transparent 3px 7px)`,
      }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        drag.current = { x: e.clientX, ...span };
      }}
      onPointerMove={(e) => drag.current && move(e, true)}
      onPointerUp={(e) => {
        if (!drag.current) return;
        move(e, false);
        drag.current = undefined;
      }}
    />
  );
}
