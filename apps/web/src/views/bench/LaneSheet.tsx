import { FILLS, give, IDENTITY_PARTS, INFLUENCE_SETTINGS, READINGS, type Gives } from '@urbild/core';
import { Trash2 } from 'lucide-react';
import type { MixInfluence } from '../../api/client';
import { Tip } from '../../parts/Tip';
import { READY_SPANS } from './influences';
import { percent, round } from '../../shared/forms/figures';
import { NumberField } from '../../shared/forms/NumberField';

interface Props {
  readonly influence: MixInfluence;
  readonly name: string;
  readonly gives: readonly Gives[];
  readonly onChange: (fields: Partial<MixInfluence>) => void;
  readonly onRemove: () => void;
  readonly onRegion: () => void;
  readonly onSolo: () => void;
}

/** True for a give that lays strokes over a picture. */
const paints = (gives: Gives): boolean => !!give(gives).factors.surface;
const { low: FINEST, high: COARSEST } = INFLUENCE_SETTINGS.motif.form as { low: number; high: number };
const MOTIFS = [
  { motif: 0.6, name: 'finer' },
  { motif: 1, name: 'as they are' },
  { motif: 1.4, name: 'coarser' },
] as const;

/** Everything about one influence: what it gives, of whom, how it is read, where it pulls. */
export function LaneSheet({ influence, name, gives, onChange, onRemove, onRegion, onSolo }: Props) {
  const { parts, factors, choosesParts } = give(influence.gives);
  // who gives a little of everything acts on whoever there is
  const carriesIdentity = parts.length > 0 && factors.identity === 1;
  return (
    <div className="flex flex-col gap-3">
      <h3 className="font-title text-lg">{name}</h3>
      <Group title="It gives">
        {gives.map((g) => (
          <Tip key={g} text={give(g).says}>
            <Chip chosen={influence.gives === g} onClick={() => onChange({ gives: g })}>
              {g}
            </Chip>
          </Tip>
        ))}
      </Group>
      {carriesIdentity && (
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
      )}
      {choosesParts && (
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
      )}
      {influence.gives === 'shape' && (
        <Group title="The picture fills">
          {FILLS.map((fill) => (
            <Chip key={fill} chosen={(influence.fill ?? 'inside') === fill} onClick={() => onChange({ fill })}>
              {fill === 'inside' ? 'the shape' : 'what is around it'}
            </Chip>
          ))}
        </Group>
      )}
      {paints(influence.gives) && (
        <Group title="Its strokes come out">
          {MOTIFS.map(({ motif, name }) => (
            <Chip
              key={motif}
              chosen={(influence.motif ?? 1) === motif}
              onClick={() => onChange({ motif: motif === 1 ? undefined : motif })}
            >
              {name}
            </Chip>
          ))}
          <NumberField
            label="Size of its strokes in percent"
            value={(influence.motif ?? 1) * 100}
            min={FINEST * 100}
            max={COARSEST * 100}
            step={5}
            digits={0}
            onSave={(v) => onChange({ motif: v === 100 ? undefined : round(v / 100) })}
            className="w-14 border border-line px-1"
          />
        </Group>
      )}
      <Group title="It is read">
        {READINGS.map((r) => (
          <Chip key={r} chosen={influence.reading === r} onClick={() => onChange({ reading: r })}>
            {r === 'hint' ? 'as a hint' : r === 'loose' ? 'loosely' : r === 'close' ? 'closely' : 'normally'}
          </Chip>
        ))}
      </Group>
      <Group title={`It pulls from ${percent(influence.from)} to ${percent(influence.to)}`}>
        {READY_SPANS.map((s) => (
          <Chip
            key={s.name}
            chosen={influence.from === s.from && influence.to === s.to}
            onClick={() => onChange({ from: s.from, to: s.to })}
          >
            {s.name}
          </Chip>
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
      <Group title="It acts">
        <Chip chosen={!influence.region} onClick={() => onChange({ region: undefined })}>
          everywhere
        </Chip>
        <Chip chosen={!!influence.region} onClick={onRegion}>
          {influence.region ? 'in its region; paint' : 'in a painted region'}
        </Chip>
      </Group>
      <button type="button" onClick={onSolo} className="self-start text-sm underline">
        Hear it alone, or with the others again
      </button>
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

/** One of several settings, as a button that stays pressed. */
function Chip({ chosen, ...button }: { readonly chosen: boolean } & React.ComponentProps<'button'>) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      className={`rounded-full border px-2.5 py-0.5 text-sm ${chosen ? 'border-ink bg-ink text-paper' : 'border-line hover:border-edge'}`}
      {...button}
    />
  );
}
