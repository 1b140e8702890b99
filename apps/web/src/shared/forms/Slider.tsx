import { Slider as Radix } from 'radix-ui';
import { useState, type KeyboardEvent } from 'react';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** How a value is said to those who do not see it; as a number when absent. */
  readonly say?: (value: number) => string;
  /** Colour of the thumb and of the part up to it; ink when absent. */
  readonly tone?: string;
  readonly className?: string;
  /** Every value on the way, as soon as the hand is there. */
  readonly onMove?: (value: number) => void;
  /** A new value: at every key, and at the end of a drag. */
  readonly onSave?: (value: number) => void;
  readonly onKeyDown?: (e: KeyboardEvent<HTMLSpanElement>) => void;
}

/**
 * A slider that shows what the hand does at once and loses no key: it stays the same element while its value is saved, and a value that
 * comes from elsewhere is shown as soon as it comes.
 */
export function Slider(props: Props) {
  const { label, value, min, max, step, say, tone = 'bg-ink', className = '', onMove, onSave, onKeyDown } = props;
  const [own, setOwn] = useState<{ readonly value: number; readonly against: number } | undefined>(undefined);
  // what came meanwhile counts, also when it is what was there before
  if (own && own.against !== value) setOwn(undefined);
  const shown = own?.against === value ? own.value : value;
  return (
    <Radix.Root
      min={min}
      max={max}
      step={step}
      value={[shown]}
      onValueChange={([next]) => {
        setOwn({ value: next, against: value });
        onMove?.(next);
      }}
      onValueCommit={([next]) => onSave?.(next)}
      onPointerCancel={() => own && onSave?.(own.value)}
      className={`relative flex h-5 touch-none items-center select-none ${className}`}
    >
      <Radix.Track className="relative h-1 w-full grow rounded bg-edge">
        <Radix.Range className={`absolute h-full rounded ${tone}`} />
      </Radix.Track>
      <Radix.Thumb
        aria-label={label}
        aria-valuetext={say?.(shown)}
        onKeyDown={onKeyDown}
        className={`block size-4 rounded-full border-2 border-card shadow ${tone}`}
      />
    </Radix.Root>
  );
}
