import { useDraggable } from '@dnd-kit/core';
import type { MixInfluence } from '../../api/client';
import { KindSign } from '../../parts/KindSign';
import type { Hue } from '../../theme/kinds';

/** Something that can be dragged into the course. */
export interface TrayItem {
  readonly id: string;
  readonly name: string;
  readonly hue: Hue;
  readonly thumbnailUrl?: string;
  readonly influence: MixInfluence;
}

/** True for a picture of the library: a look or somebody is nothing that a mix could start from. */
export const isPicture = ({ influence: { of } }: TrayItem): boolean => (of ?? 'reference') === 'reference';

interface PictureProps {
  readonly item: TrayItem;
  readonly wide?: boolean;
  readonly onAdd: (influence: MixInfluence) => void;
  /** Left out for what no picture can start from. */
  readonly onStart?: (referenceId: string) => void;
}

/** Enter or a double click adds it to the course; Shift + Enter starts from it. */
export function TrayPicture({ item, wide = false, onAdd, onStart }: PictureProps) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: item.id, data: { item } });
  return (
    <button
      ref={setNodeRef}
      type="button"
      title={item.name}
      aria-label={`${item.name}, ${item.hue}: add to the course`}
      {...listeners}
      onDoubleClick={() => onAdd(item.influence)}
      onKeyDown={(e) => {
        if (e.key !== 'Enter') return;
        if (e.shiftKey && onStart) onStart(item.id);
        else onAdd(item.influence);
      }}
      className={`group relative block w-full touch-none overflow-hidden bg-shade ${wide ? 'h-20' : 'h-[72px]'} ${isDragging ? 'opacity-40' : ''}`}
    >
      {item.thumbnailUrl && (
        <img src={item.thumbnailUrl} alt="" draggable={false} loading="lazy" className="h-full w-full object-cover" />
      )}
      {!wide && (
        <span className="absolute inset-x-0 top-0 line-clamp-2 bg-scrim/80 px-1 text-left text-xs text-white opacity-0 group-hover:opacity-100 group-focus-visible:opacity-100">
          {item.name}
        </span>
      )}
      <span className="absolute bottom-0.5 left-0.5 rounded bg-card p-0.5">
        <KindSign kind={item.hue} size={13} />
      </span>
    </button>
  );
}
