import { useDraggable, useDroppable } from '@dnd-kit/core';
import { Popover } from 'radix-ui';
import { isByName, TYPED_MAX_WEIGHT, type Gives } from '@urbild/core';
import type { MixInfluence } from '../../api/client';
import { KindSign } from '../../parts/KindSign';
import { Switch } from '../../parts/Switch';
import type { Hue } from '../../theme/kinds';
import { LANE } from './Lane';
import { LaneSheet } from './LaneSheet';
import { NumberField } from '../../shared/forms/NumberField';

interface Props {
  readonly influence: MixInfluence;
  readonly thumbnailUrl: string | undefined;
  readonly name: string;
  readonly hue: Hue;
  readonly gives: readonly Gives[];
  readonly onChange: (fields: Partial<MixInfluence>) => void;
  readonly onRemove: () => void;
  /** Chosen together with others: their weights are scaled together. */
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly onRegion: () => void;
  readonly onSolo: () => void;
}

/** The head of a lane: which reference, what it gives, its weight as a number. */
export function LaneHead({
  influence,
  thumbnailUrl,
  name,
  hue,
  gives,
  onChange,
  onRemove,
  chosen,
  onChoose,
  onRegion,
  onSolo,
}: Props) {
  const { setNodeRef: setHandle, listeners } = useDraggable({
    id: `lane ${influence.id}`,
    data: { lane: influence.id },
  });
  const { setNodeRef: setPlace, isOver } = useDroppable({ id: `lane ${influence.id}` });
  return (
    <div
      ref={setPlace}
      className={`flex items-center gap-2 border-t border-line px-2 ${chosen ? 'bg-blush' : ''} ${isOver ? 'border-t-2 border-t-cinnabar' : ''}`}
      style={{ height: LANE }}
    >
      <button
        ref={setHandle}
        {...listeners}
        type="button"
        aria-pressed={chosen}
        aria-label={`${name}: choose with others, or drag to another place`}
        title="Choose several to scale their weights together; drag to change the order"
        onClick={onChoose}
        className="size-8 shrink-0 touch-none overflow-hidden rounded-sm bg-shade"
      >
        {thumbnailUrl && <img src={thumbnailUrl} alt="" draggable={false} className="h-full w-full object-cover" />}
      </button>
      <div className="min-w-0 flex-1 leading-tight">
        <div title={name} className={`truncate font-semibold ${influence.on ? '' : 'text-muted line-through'}`}>
          {name}
        </div>
        <GivesPopover {...{ influence, name, hue, gives, onChange, onRemove, onRegion, onSolo }} />
      </div>
      <Switch label={`${name} acts`} on={influence.on} onSwitch={(on) => onChange({ on })} />
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

/** What a lane gives, in a word or two: somebody who is called by name gives a character unless told otherwise. */
const giving = (i: MixInfluence): string =>
  !isByName(i) ? `gives ${i.gives}` : i.gives === 'character' ? 'by name' : `by name, ${i.gives}`;

/** What it gives, and the sheet with everything else that can be set. */
function GivesPopover({ influence, name, hue, ...sheet }: Omit<Props, 'thumbnailUrl' | 'chosen' | 'onChoose'>) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`${name} gives ${influence.gives}; change`}
        className="flex max-w-full items-center gap-1 rounded text-sm whitespace-nowrap text-muted hover:text-ink"
      >
        <KindSign kind={hue} size={13} />
        <span className="truncate">
          {giving(influence)}
          {influence.region ? ', in a region' : ''}
        </span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          sideOffset={8}
          // the sheet itself has the focus first: a chip that had it would show its tooltip over the others
          onOpenAutoFocus={(e) => {
            e.preventDefault();
            (e.currentTarget as HTMLElement).focus();
          }}
          className="z-40 w-72 rounded-xl border border-line bg-card p-4 shadow-xl"
        >
          <LaneSheet influence={influence} name={name} {...sheet} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
