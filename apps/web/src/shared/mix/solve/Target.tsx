import { NumberField } from '../../forms/NumberField';

interface Props {
  readonly name: string;
  /** How its box and its field are called. */
  readonly labels: { readonly box: string; readonly field: string };
  readonly asked: boolean;
  /** 0..1 */
  readonly value: number;
  readonly onAsk: (asked: boolean) => void;
  readonly onValue: (value: number) => void;
}

/** Whether something has a target, and which, in percent. */
export function Target({ name, labels, asked, value, onAsk, onValue }: Props) {
  return (
    <div className="flex items-center gap-2">
      <input
        type="checkbox"
        aria-label={labels.box}
        checked={asked}
        onChange={(e) => onAsk(e.target.checked)}
        className="accent-ink"
      />
      <span className={`min-w-0 flex-1 truncate ${asked ? '' : 'text-muted'}`}>{name}</span>
      <NumberField
        label={labels.field}
        value={value * 100}
        max={100}
        step={5}
        digits={0}
        onSave={(v) => onValue(v / 100)}
        className="w-14 border border-line bg-card px-1 text-right"
      />
      %
    </div>
  );
}
