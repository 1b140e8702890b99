import { changedGive, FILLS, give, INFLUENCE_SETTINGS, isByName, READINGS, type Gives } from '@urbild/core';
import { Trash2 } from 'lucide-react';
import type { MixInfluence } from '../../api/client';
import { Tip } from '../../parts/Tip';
import { ShownStrip } from '../../shared/shown/ShownStrip';
import { Chip, Group } from './Chips';
import { MotifGroup, PartsGroup, SpanGroup, WhoField } from './LaneGroups';

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

/** Everything about one influence: what it gives, of whom, how it is read, where it pulls. */
export function LaneSheet({ influence, name, gives, onChange, onRemove, onRegion, onSolo }: Props) {
  const { parts, factors, choosesParts } = give(influence.gives);
  // who gives a little of everything acts on whoever there is
  const carriesIdentity = parts.length > 0 && factors.identity === 1;
  return (
    <div className="flex flex-col gap-3">
      <h3 className="font-title text-lg">{name}</h3>
      {isByName(influence) && (
        <p className="text-sm text-muted">The prompt names {name}: that adds the pictures of the sheet.</p>
      )}
      <Group title="It gives">
        {gives.map((g) => (
          <Tip key={g} text={give(g).says} picture={<ShownStrip name={g} />}>
            <Chip chosen={influence.gives === g} onClick={() => onChange(changedGive(influence, g))}>
              {g}
            </Chip>
          </Tip>
        ))}
      </Group>
      {carriesIdentity && <WhoField influence={influence} name={name} onChange={onChange} />}
      {choosesParts && <PartsGroup influence={influence} onChange={onChange} />}
      {influence.gives === 'shape' && (
        <Group title="The picture fills">
          {FILLS.map((fill) => (
            <Chip key={fill} chosen={(influence.fill ?? 'inside') === fill} onClick={() => onChange({ fill })}>
              {fill === 'inside' ? 'the shape' : 'what is around it'}
            </Chip>
          ))}
        </Group>
      )}
      {paints(influence.gives) && <MotifGroup influence={influence} onChange={onChange} />}
      <Group title="It is read" tip={{ says: INFLUENCE_SETTINGS.reading.says, shown: 'reading' }}>
        {READINGS.map((r) => (
          <Chip key={r} chosen={influence.reading === r} onClick={() => onChange({ reading: r })}>
            {r === 'hint' ? 'as a hint' : r === 'loose' ? 'loosely' : r === 'close' ? 'closely' : 'normally'}
          </Chip>
        ))}
      </Group>
      <SpanGroup influence={influence} onChange={onChange} />
      <Group title="It acts">
        <Chip chosen={!influence.region} onClick={() => onChange({ region: undefined })}>
          everywhere
        </Chip>
        <Chip chosen={!!influence.region} onClick={onRegion}>
          {influence.region ? 'in its region; paint' : 'in a painted region'}
        </Chip>
      </Group>
      <button type="button" onClick={onSolo} className="self-start text-sm underline">
        Only this one acts, or all of them again
      </button>
      <button
        type="button"
        onClick={onRemove}
        className="flex items-center gap-1.5 self-start text-sm text-signal underline"
      >
        <Trash2 size={14} aria-hidden /> Remove it from the mix
      </button>
    </div>
  );
}
