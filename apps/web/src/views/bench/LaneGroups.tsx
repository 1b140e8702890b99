import { IDENTITY_PARTS, INFLUENCE_SETTINGS } from '@urbild/core';
import type { MixInfluence } from '../../api/client';
import { percent, round } from '../../shared/forms/figures';
import { NumberField } from '../../shared/forms/NumberField';
import { Chip, Group } from './Chips';
import { SPAN_SAYS } from '../../shared/shown/spanSays';
import { READY_SPANS } from './influences';

interface Props {
  readonly influence: MixInfluence;
  readonly onChange: (fields: Partial<MixInfluence>) => void;
}

const { low: FINEST, high: COARSEST } = INFLUENCE_SETTINGS.motif.form as { low: number; high: number };
const MOTIFS = [
  { motif: 0.6, name: 'finer' },
  { motif: 1, name: 'as they are' },
  { motif: 1.4, name: 'coarser' },
] as const;

/** Whom somebody acts on; everybody, or who has their name, where nothing is said. */
export function WhoField({ influence, name, onChange }: Props & { readonly name: string }) {
  return (
    <label className="flex items-center gap-2 text-sm text-muted">
      of
      <input
        key={influence.subject ?? ''}
        defaultValue={influence.subject ?? ''}
        maxLength={120}
        placeholder={influence.of === 'character' ? name : 'everybody'}
        aria-label={`Whom ${name} acts on`}
        onKeyDown={(e) => {
          if (e.key === 'Enter') e.currentTarget.blur();
          e.stopPropagation();
        }}
        onBlur={(e) => {
          const subject = e.currentTarget.value.trim() || undefined;
          if (subject !== influence.subject) onChange({ subject });
        }}
        className="min-w-0 flex-1 rounded border border-line bg-card px-2 py-0.5 text-ink"
      />
    </label>
  );
}

/** What of somebody is carried over. */
export function PartsGroup({ influence, onChange }: Props) {
  return (
    <Group title="It carries">
      {IDENTITY_PARTS.map((part) => {
        const carried = influence.parts ?? IDENTITY_PARTS;
        const on = carried.includes(part);
        return (
          <Chip
            key={part}
            chosen={on}
            onClick={() => {
              const next = IDENTITY_PARTS.filter((p) => (p === part ? !on : carried.includes(p)));
              // somebody of whom nothing is carried is an influence that is off
              if (next.length) onChange({ parts: next.length === IDENTITY_PARTS.length ? undefined : next });
            }}
          >
            {part}
          </Chip>
        );
      })}
    </Group>
  );
}

/** How large the strokes of a reference come out. */
export function MotifGroup({ influence, onChange }: Props) {
  return (
    <Group title="Its strokes come out" tip={{ says: INFLUENCE_SETTINGS.motif.says, shown: 'motif' }}>
      {MOTIFS.map(({ motif, name }) => (
        <Chip
          key={motif}
          chosen={(influence.motif ?? 1) === motif}
          onClick={() => onChange({ motif: motif === 1 ? undefined : motif })}
        >
          {name}
        </Chip>
      ))}
      <PercentField
        label="Size of its strokes"
        value={influence.motif ?? 1}
        min={FINEST}
        max={COARSEST}
        onSave={(v) => onChange({ motif: v === 1 ? undefined : v })}
      />
      <span aria-hidden className="text-sm text-muted">
        %
      </span>
    </Group>
  );
}

/** Where along the course an influence pulls. */
export function SpanGroup({ influence, onChange }: Props) {
  return (
    <Group
      title={`It pulls from ${percent(influence.from)} to ${percent(influence.to)}`}
      tip={{ says: SPAN_SAYS, shown: 'span' }}
    >
      {READY_SPANS.map((s) => (
        <Chip
          key={s.name}
          chosen={influence.from === s.from && influence.to === s.to}
          onClick={() => onChange({ from: s.from, to: s.to })}
        >
          {s.name}
        </Chip>
      ))}
      <PercentField label="Start" value={influence.from} max={influence.to} onSave={(v) => onChange({ from: v })} />
      <span aria-hidden className="text-sm text-muted">
        to
      </span>
      <PercentField label="End" value={influence.to} min={influence.from} onSave={(v) => onChange({ to: v })} />
      <span aria-hidden className="text-sm text-muted">
        %
      </span>
    </Group>
  );
}

interface PercentProps {
  readonly label: string;
  /** 1 is 100 %; so are the limits, which are 0 and 1 where nothing else is said. */
  readonly value: number;
  readonly min?: number;
  readonly max?: number;
  readonly onSave: (value: number) => void;
}

/** A part of a whole, as a number of percent in steps of five. */
const PercentField = ({ label, value, min = 0, max = 1, onSave }: PercentProps) => (
  <NumberField
    label={`${label} in percent`}
    value={value * 100}
    min={min * 100}
    max={max * 100}
    step={5}
    digits={0}
    onSave={(v) => onSave(round(v / 100))}
    className="w-14 border border-line px-1"
  />
);
