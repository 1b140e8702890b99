import { Eye, EyeOff, Trash2 } from 'lucide-react';
import { Popover } from 'radix-ui';
import { READINGS, TYPED_MAX_WEIGHT, type Gives } from '@urbild/core';
import { useState } from 'react';
import type { MixInfluence } from '../../api/client';
import { KindSign } from '../../parts/KindSign';
import type { Hue } from '../../theme/kinds';
import { percent, READY_SPANS, round } from './influences';
import { LANE } from './Lane';

interface Props {
  readonly influence: MixInfluence;
  readonly thumbnailUrl: string | undefined;
  readonly name: string;
  readonly hue: Hue;
  readonly gives: readonly Gives[];
  readonly onChange: (fields: Partial<MixInfluence>) => void;
  readonly onRemove: () => void;
}

/** The head of a lane: which reference, what it gives, its weight as a number. */
export function LaneHead({ influence, thumbnailUrl, name, hue, gives, onChange, onRemove }: Props) {
  return (
    <div className="flex items-center gap-2 border-t border-line px-2" style={{ height: LANE }}>
      {thumbnailUrl ? (
        <img src={thumbnailUrl} alt="" className="size-8 shrink-0 rounded-sm object-cover" />
      ) : (
        <div className="size-8 shrink-0 rounded-sm bg-shade" />
      )}
      <div className="min-w-0 flex-1 leading-tight">
        <div className={`truncate font-semibold ${influence.on ? '' : 'text-muted line-through'}`}>{name}</div>
        <Popover.Root>
          <Popover.Trigger
            aria-label={`${name} gives ${influence.gives}; change`}
            className="flex max-w-full items-center gap-1 rounded text-sm whitespace-nowrap text-muted hover:text-ink"
          >
            <KindSign kind={hue} size={13} /> gives {influence.gives}
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content
              side="top"
              align="start"
              sideOffset={8}
              className="z-40 w-72 rounded-xl border border-line bg-card p-4 shadow-xl"
            >
              <LaneSheet influence={influence} name={name} gives={gives} onChange={onChange} onRemove={onRemove} />
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      </div>
      <button
        type="button"
        aria-pressed={!influence.on}
        aria-label={influence.on ? `Switch ${name} off` : `Switch ${name} on`}
        onClick={() => onChange({ on: !influence.on })}
        className="rounded p-1 text-muted hover:text-ink"
      >
        {influence.on ? <Eye size={15} aria-hidden /> : <EyeOff size={15} aria-hidden />}
      </button>
      <NumberField
        label={`Weight of ${name}`}
        value={influence.weight}
        max={TYPED_MAX_WEIGHT}
        step={0.05}
        digits={2}
        onSave={(weight) => onChange({ weight })}
        className="w-12 text-right font-semibold"
      />
    </div>
  );
}

function LaneSheet({
  influence,
  name,
  gives,
  onChange,
  onRemove,
}: Pick<Props, 'influence' | 'name' | 'gives' | 'onChange' | 'onRemove'>) {
  const chip = (chosen: boolean) =>
    `rounded-full border px-2.5 py-0.5 text-sm ${chosen ? 'border-ink bg-ink text-paper' : 'border-line hover:border-edge'}`;
  return (
    <div className="flex flex-col gap-3">
      <h3 className="font-title text-lg">{name}</h3>
      <Group title="It gives">
        {gives.map((g) => (
          <button
            key={g}
            type="button"
            aria-pressed={influence.gives === g}
            className={chip(influence.gives === g)}
            onClick={() => onChange({ gives: g })}
          >
            {g}
          </button>
        ))}
      </Group>
      <Group title="It is read">
        {READINGS.map((r) => (
          <button
            key={r}
            type="button"
            aria-pressed={influence.reading === r}
            className={chip(influence.reading === r)}
            onClick={() => onChange({ reading: r })}
          >
            {r === 'hint' ? 'as a hint' : r === 'loose' ? 'loosely' : r === 'close' ? 'closely' : 'normally'}
          </button>
        ))}
      </Group>
      <Group title={`It pulls from ${percent(influence.from)} to ${percent(influence.to)}`}>
        {READY_SPANS.map((s) => (
          <button
            key={s.name}
            type="button"
            className={chip(influence.from === s.from && influence.to === s.to)}
            onClick={() => onChange({ from: s.from, to: s.to })}
          >
            {s.name}
          </button>
        ))}
        <NumberField
          label="Start in percent"
          value={influence.from * 100}
          max={influence.to * 100}
          step={5}
          digits={0}
          onSave={(v) => onChange({ from: round(v / 100) })}
          className="w-14 border border-line px-1"
        />
        <NumberField
          label="End in percent"
          value={influence.to * 100}
          min={influence.from * 100}
          max={100}
          step={5}
          digits={0}
          onSave={(v) => onChange({ to: round(v / 100) })}
          className="w-14 border border-line px-1"
        />
      </Group>
      <button
        type="button"
        onClick={onRemove}
        className="flex items-center gap-1.5 self-start text-sm text-cinnabar underline"
      >
        <Trash2 size={14} aria-hidden /> Take it out of the mix
      </button>
    </div>
  );
}

function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm text-muted">{title}</legend>
      <div className="flex flex-wrap items-center gap-1.5">{children}</div>
    </fieldset>
  );
}

interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  readonly min?: number;
  readonly max: number;
  readonly step: number;
  readonly digits: number;
  readonly className?: string;
  readonly onSave: (value: number) => void;
}

/** A typed number: taken over on Enter or when the field is left, if it makes sense. */
export function NumberField({ label, value, min = 0, max, step, digits, className = '', onSave }: NumberFieldProps) {
  const [text, setText] = useState<string | undefined>(undefined);
  const save = () => {
    const number = Number(text?.replace(',', '.'));
    if (text !== undefined && text.trim() !== '' && number >= min && number <= max)
      onSave(round(number, Math.max(digits, 2)));
    setText(undefined);
  };
  return (
    <input
      aria-label={label}
      inputMode="decimal"
      value={text ?? value.toFixed(digits)}
      onFocus={(e) => e.currentTarget.select()}
      onChange={(e) => setText(e.target.value)}
      onBlur={save}
      onKeyDown={(e) => {
        if (e.key === 'Enter') save();
        if (e.key === 'Escape') setText(undefined);
        if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
          e.preventDefault();
          const next = value + (e.key === 'ArrowUp' ? 1 : -1) * (e.shiftKey ? step / 5 : step);
          setText(undefined);
          onSave(round(Math.min(max, Math.max(min, next)), Math.max(digits, 2)));
        }
        e.stopPropagation();
      }}
      className={`figures rounded bg-transparent py-0.5 hover:bg-shade focus:bg-card ${className}`}
    />
  );
}
