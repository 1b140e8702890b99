import { percent } from '../../shared/forms/figures';
import { HUES, type Hue } from '../../theme/kinds';
import { Handle } from './Handle';
import type { Span } from './LaneBar';

interface Props {
  readonly name: string;
  readonly span: Span;
  readonly hue: Hue;
  /** Width of the band in px. */
  readonly band: () => number;
  readonly onChange: (fields: Partial<Span>, live: boolean) => void;
}

/** The two ends of a lane, each moved on its own, by pointer or keys. */
export function SpanHandles({ name, span: { from, to }, hue, band, onChange }: Props) {
  const usual = {
    step: 0.05,
    fine: 0.01,
    perPixel: () => 1 / band(),
    style: { background: HUES[hue] },
  };
  const edge = 'absolute inset-y-0 z-10 w-2.5 cursor-ew-resize rounded-sm';
  return (
    <>
      <Handle
        {...usual}
        label={`${name}: start of its span`}
        value={from}
        min={0}
        max={to}
        text={percent(from)}
        onChange={(value, live) => onChange({ from: value }, live)}
        onReset={() => onChange({ from: 0 }, false)}
        className={`${edge} -left-0.5`}
      />
      <Handle
        {...usual}
        label={`${name}: end of its span`}
        value={to}
        min={from}
        max={1}
        text={percent(to)}
        onChange={(value, live) => onChange({ to: value }, live)}
        onReset={() => onChange({ to: 1 }, false)}
        className={`${edge} -right-0.5`}
      />
    </>
  );
}
