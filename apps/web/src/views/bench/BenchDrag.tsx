import { DndContext, DragOverlay, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { useState, type ReactNode } from 'react';
import type { MixInfluence } from '../../api/client';
import { TABLE } from './StartDrop';
import { isPicture, type TrayItem } from './TrayPicture';

interface Props {
  /** Something of the tray was let go over the course. */
  readonly onAdd: (influence: MixInfluence) => void;
  /** A picture of the tray was let go over the table. */
  readonly onStart: (referenceId: string) => void;
  /** A lane was let go over another one. */
  readonly onMove: (lane: string, to: string) => void;
  readonly children: ReactNode;
}

/** What is dragged on the bench: pictures from the tray into the course or onto the table, lanes to another place. */
export function BenchDrag({ onAdd, onStart, onMove, children }: Props) {
  const [dragged, setDragged] = useState<TrayItem | undefined>(undefined);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const end = ({ over, active }: DragEndEvent) => {
    setDragged(undefined);
    const { item, lane } = active.data.current as { item?: TrayItem; lane?: string };
    const onto = String(over?.id ?? '');
    if (lane && onto.startsWith('lane ')) onMove(lane, onto.slice('lane '.length));
    else if (item && (onto === 'course' || onto.startsWith('lane '))) onAdd(item.influence);
    else if (item && onto === TABLE && isPicture(item)) onStart(item.id);
  };
  return (
    <DndContext
      sensors={sensors}
      onDragStart={({ active }) => setDragged((active.data.current as { item?: TrayItem }).item)}
      onDragEnd={end}
      onDragCancel={() => setDragged(undefined)}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {dragged?.thumbnailUrl && (
          <img src={dragged.thumbnailUrl} alt="" className="size-16 object-cover opacity-85 shadow-xl" />
        )}
      </DragOverlay>
    </DndContext>
  );
}
