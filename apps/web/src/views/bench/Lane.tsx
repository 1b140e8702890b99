import { MAX_WEIGHT } from '@urbild/core';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { MixInfluence } from '../../api/client';
import { HUES, type Hue } from '../../theme/kinds';
import { Handle } from './Handle';
import { READY_SPANS } from './influences';
import { percent, round } from '../../shared/forms/figures';

/** Height of a lane, and of the bar at weight 2, in px. */
export const LANE = 44;
const TALLEST = 40;
const SHORTEST = 5;

interface Props {
  readonly influence: MixInfluence;
  readonly name: string;
  readonly hue: Hue;
  /** Width of the band in px. */
  readonly band: () => number;
  readonly onChange: (fields: Partial<MixInfluence>, live: boolean) => void;
  readonly onRemove: () => void;
  /** Moves the lane up (-1) or down (1). */
  readonly onMove: (by: -1 | 1) => void;
  /** Silences all other lanes, or lets them speak again. */
  readonly onSolo: () => void;
  /** The weights with which it was in kept takes. */
  readonly worked?: { readonly low: number; readonly high: number; readonly count: number };
}

/** One influence on the course: its edges are the span, its height is the weight. */
export function Lane({ influence, name, hue, band, onChange, onRemove, onMove, onSolo, worked }: Props) {
  const { weight, from, to, on } = influence;
  const height = Math.max(SHORTEST, (Math.min(weight, MAX_WEIGHT) / MAX_WEIGHT) * TALLEST);
  const drag = useRef<{ x: number; from: number; to: number } | undefined>(undefined);
  const move = (e: PointerEvent, live: boolean) => {
    const d = drag.current!;
    const length = d.to - d.from;
    const start = Math.min(1 - length, Math.max(0, round(d.from + (e.clientX - d.x) / band())));
    onChange({ from: round(start), to: round(start + length) }, live);
  };
  const onKey = (e: KeyboardEvent) => {
    const span = READY_SPANS.find((s) => s.key === e.key.toLowerCase());
    if (e.ctrlKey || e.metaKey) return;
    if (e.altKey && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
      onMove(e.key === 'ArrowUp' ? -1 : 1);
      e.preventDefault();
      return;
    }
    if (span) onChange({ from: span.from, to: span.to }, false);
    else if (e.key.toLowerCase() === 'o') onChange({ on: !on }, false);
    else if (e.key.toLowerCase() === 's') onSolo();
    else if (e.key === 'Delete') onRemove();
    else return;
    e.preventDefault();
  };
  const edge = 'absolute inset-y-0 z-10 w-2.5 cursor-ew-resize rounded-sm';
  return (
    <div className="relative border-t border-line/70" style={{ height: LANE }} onKeyDown={onKey}>
      {worked && (
        <div
          title={`kept takes had it at ${worked.low.toFixed(2)} to ${worked.high.toFixed(2)} (${worked.count})`}
          className="absolute right-0 left-0 border-y border-dashed"
          style={{
            bottom: 2 + (Math.min(worked.low, MAX_WEIGHT) / MAX_WEIGHT) * TALLEST - 1,
            height: ((Math.min(worked.high, MAX_WEIGHT) - Math.min(worked.low, MAX_WEIGHT)) / MAX_WEIGHT) * TALLEST + 3,
            borderColor: HUES[hue],
            background: `color-mix(in srgb, ${HUES[hue]} 14%, transparent)`,
          }}
        />
      )}
      <div
        className="absolute bottom-0.5 rounded-sm"
        style={{
          left: `${from * 100}%`,
          width: `${Math.max(0.4, (to - from) * 100)}%`,
          height,
          opacity: on ? 1 : 0.35,
        }}
      >
        <div
          className="absolute inset-0 cursor-grab touch-none rounded-sm active:cursor-grabbing"
          style={{
            background: on
              ? `color-mix(in srgb, ${HUES[hue]} 88%, white)`
              : `repeating-linear-gradient(45deg, ${HUES[hue]} 0 3px, transparent 3px 7px)`,
          }}
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId);
            drag.current = { x: e.clientX, from, to };
          }}
          onPointerMove={(e) => drag.current && move(e, true)}
          onPointerUp={(e) => {
            if (!drag.current) return;
            move(e, false);
            drag.current = undefined;
          }}
        />
        <Handle
          label={`${name}: start of its span`}
          value={from}
          min={0}
          max={to}
          step={0.05}
          fine={0.01}
          text={percent(from)}
          perPixel={() => 1 / band()}
          onChange={(value, live) => onChange({ from: value }, live)}
          onReset={() => onChange({ from: 0 }, false)}
          className={`${edge} -left-0.5`}
          style={{ background: HUES[hue] }}
        />
        <Handle
          label={`${name}: end of its span`}
          value={to}
          min={from}
          max={1}
          step={0.05}
          fine={0.01}
          text={percent(to)}
          perPixel={() => 1 / band()}
          onChange={(value, live) => onChange({ to: value }, live)}
          onReset={() => onChange({ to: 1 }, false)}
          className={`${edge} -right-0.5`}
          style={{ background: HUES[hue] }}
        />
        <Handle
          label={`${name}: weight`}
          value={weight}
          min={0}
          max={MAX_WEIGHT}
          step={0.05}
          fine={0.01}
          vertical
          text={weight.toFixed(2)}
          perPixel={() => MAX_WEIGHT / TALLEST}
          onChange={(value, live) => onChange({ weight: value }, live)}
          onReset={() => onChange({ weight: 1 }, false)}
          className="absolute -top-2 left-1/2 z-20 flex h-4 w-12 -translate-x-1/2 cursor-ns-resize items-center justify-center before:h-1.5 before:w-7 before:rounded-full before:border before:border-ink/50 before:bg-card before:content-['']"
        />
      </div>
    </div>
  );
}
