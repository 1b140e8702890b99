import { MAX_WEIGHT } from '@urbild/core';
import { Handle } from './Handle';

interface Props {
  readonly name: string;
  /** 0..2 */
  readonly weight: number;
  /** Height of the greatest weight, px. */
  readonly tallest: number;
  readonly onChange: (fields: { readonly weight: number }, live: boolean) => void;
}

/** The knob on top of a lane: pulled up and down, it changes the weight. */
export function WeightHandle({ name, weight, tallest, onChange }: Props) {
  return (
    <Handle
      label={`${name}: weight`}
      value={weight}
      min={0}
      max={MAX_WEIGHT}
      step={0.05}
      fine={0.01}
      vertical
      text={weight.toFixed(2)}
      perPixel={() => MAX_WEIGHT / tallest}
      onChange={(value, live) => onChange({ weight: value }, live)}
      onReset={() => onChange({ weight: 1 }, false)}
      className="absolute -top-2 left-1/2 z-20 flex h-4 w-12 -translate-x-1/2 cursor-ns-resize items-center justify-center before:h-1.5 before:w-7 before:rounded-full before:border before:border-ink/50 before:bg-card before:content-['']"
    />
  );
}
