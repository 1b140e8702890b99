import { MAX_WEIGHT } from '@urbild/core';
import type { KeyboardEvent } from 'react';
import type { MixInfluence } from '../../api/client';
import { HeldBy } from '../../parts/people/HeldBy';
import { HUES, type Hue } from '../../theme/kinds';
import { READY_SPANS } from './influences';
import { LaneBar } from './LaneBar';
import { SpanHandles } from './SpanHandles';
import { WeightHandle } from './WeightHandle';

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
  const onKey = (e: KeyboardEvent) => {
    const span = READY_SPANS.find((s) => s.key === e.key.toLowerCase());
    if (e.ctrlKey || e.metaKey) return;
    if (e.altKey && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) onMove(e.key === 'ArrowUp' ? -1 : 1);
    else if (span) onChange({ from: span.from, to: span.to }, false);
    else if (e.key.toLowerCase() === 'o') onChange({ on: !on }, false);
    else if (e.key.toLowerCase() === 's') onSolo();
    else if (e.key === 'Delete') onRemove();
    else return;
    e.preventDefault();
  };
  return (
    <div
      data-held={`influence ${influence.id}`}
      className="relative border-t border-line/70"
      style={{ height: LANE }}
      onKeyDown={onKey}
    >
      {worked && <Worked worked={worked} hue={hue} />}
      <div
        className="absolute bottom-0.5 rounded-sm"
        style={{
          left: `${from * 100}%`,
          width: `${Math.max(0.4, (to - from) * 100)}%`,
          height: Math.max(SHORTEST, heightOf(weight)),
          opacity: on ? 1 : 0.35,
        }}
      >
        <LaneBar span={{ from, to }} on={on} hue={hue} band={band} onChange={onChange} />
        <SpanHandles name={name} span={{ from, to }} hue={hue} band={band} onChange={onChange} />
        <WeightHandle name={name} weight={weight} tallest={TALLEST} onChange={onChange} />
      </div>
      <HeldBy what={`influence ${influence.id}`} />
    </div>
  );
}

/** Height of a weight on a lane, px. */
const heightOf = (weight: number): number => (Math.min(weight, MAX_WEIGHT) / MAX_WEIGHT) * TALLEST;

/** The weights with which it was in kept takes, as a band behind it. */
function Worked({ worked: { low, high, count }, hue }: { worked: NonNullable<Props['worked']>; hue: Hue }) {
  return (
    <div
      title={`kept takes had it at ${low.toFixed(2)} to ${high.toFixed(2)} (${count})`}
      className="absolute right-0 left-0 border-y border-dashed"
      style={{
        bottom: 1 + heightOf(low),
        height: heightOf(high) - heightOf(low) + 3,
        borderColor: HUES[hue],
        background: `color-mix(in srgb, ${HUES[hue]} 14%, transparent)`,
      }}
    />
  );
}
