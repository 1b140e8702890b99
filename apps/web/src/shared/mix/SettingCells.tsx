import { SETTINGS, type AnySetting, type SettingName } from '@urbild/core';
import { Dices } from 'lucide-react';
import type { MixSettings } from '../../api/client';
import { Tip } from '../../parts/Tip';
import { NumberField } from '../forms/NumberField';
import { legendOf, ShownStrip } from '../shown/ShownStrip';

const cell = 'flex min-w-0 items-center gap-1 rounded-lg border border-line bg-card px-2 py-1';

interface CellProps<V> {
  readonly name: string;
  readonly setting: AnySetting;
  readonly value: V;
  readonly onSave: (value: V) => void;
}

const Label = ({ name, setting: { label, says } }: { name: string; setting: AnySetting }) => (
  <Tip text={says} picture={legendOf(name) && <ShownStrip name={name} />}>
    <span className="text-muted">{label}</span>
  </Tip>
);

/** A number in tenths. */
function NumberCell({ name, setting, value, onSave }: CellProps<number>) {
  const { form, title } = setting;
  if (form.kind !== 'number') return null;
  return (
    <div className={cell}>
      <Label name={name} setting={setting} />
      <NumberField
        label={title}
        value={value}
        min={form.low}
        max={form.high}
        step={0.1}
        digits={1}
        onSave={onSave}
        className="w-full text-right"
      />
    </div>
  );
}

/** A whole number that is drawn by lot as often as it is typed: the seed. */
function WholeCell({ setting, value, onSave }: CellProps<number>) {
  const { form, title, label, says } = setting;
  if (form.kind !== 'whole') return null;
  return (
    <div className="flex min-w-0 items-center rounded-lg border border-line bg-card py-1 pr-0.5 pl-2">
      <span className="text-muted">{label}</span>
      <NumberField
        label={title}
        value={value}
        min={form.low}
        max={form.high}
        step={1}
        digits={0}
        onSave={(v) => onSave(Math.round(v))}
        className="-mr-1 w-full text-right"
      />
      <Tip text={says}>
        <button
          type="button"
          aria-label={`Another ${label.toLowerCase()}`}
          className="relative grid size-6 shrink-0 place-items-center rounded text-muted hover:text-ink"
          onClick={() => onSave(Math.floor(Math.random() * 10000))}
        >
          <Dices size={16} aria-hidden />
        </button>
      </Tip>
    </div>
  );
}

/** One of several words; nothing chosen is a choice of its own where the setting may be left out. */
function ChoiceCell({ name, setting, value, onSave }: CellProps<string | undefined>) {
  const { form, title, needed } = setting;
  if (form.kind !== 'choice') return null;
  return (
    <label
      className={`flex min-w-0 items-center gap-1 rounded-lg border border-line bg-card py-1 pr-1 pl-2.5 ${needed ? '' : 'col-span-2'}`}
    >
      <Label name={name} setting={setting} />
      <select
        aria-label={title}
        className="figures min-w-0 flex-1 bg-transparent text-right"
        value={value ?? ''}
        onChange={(e) => onSave(e.target.value || undefined)}
      >
        {!needed && <option value="">as words and looks</option>}
        {form.values.map((v) => (
          <option key={v} value={v}>
            {v}
          </option>
        ))}
      </select>
    </label>
  );
}

interface Props<S> {
  readonly settings: S;
  readonly onChange: (settings: S) => void;
  /** Which of them, in this order; all that a mix has when absent. */
  readonly names?: readonly SettingName[];
}

/** A control for each declared setting; those that are made of parts have their own place. */
export function SettingCells<S extends Partial<MixSettings>>({ settings, onChange, names = ALL }: Props<S>) {
  return names.map((name) => {
    const setting: AnySetting = SETTINGS[name];
    const value = (settings as Readonly<Record<string, unknown>>)[name] ?? (setting.usual as unknown);
    const props = { name, setting, onSave: (next: unknown) => onChange({ ...settings, [name]: next }) };
    switch (setting.form.kind) {
      case 'number':
        return <NumberCell key={name} {...props} value={value as number} />;
      case 'whole':
        return <WholeCell key={name} {...props} value={value as number} />;
      case 'choice':
        return <ChoiceCell key={name} {...props} value={value as string | undefined} />;
      default:
        return null;
    }
  });
}

const ALL = Object.keys(SETTINGS) as SettingName[];
