import {
  DndContext,
  DragOverlay,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { useState, type ReactNode } from 'react';
import { useCast, useChangeCharacter, useChangeLook, useLooks } from '../../api/sheets';
import { KindSign } from '../../parts/KindSign';
import { useNotice } from '../../parts/notices';
import type { Hue } from '../../theme/kinds';
import { useWeigh } from '../../shared/mix/useWeigh';

interface Dragged {
  readonly ids: readonly string[];
  readonly thumbnailUrl?: string;
}

/** The library while pictures are dragged: a shelf comes up with looks, sheets and the bench to let them go on. */
export function DropShelf({ children }: { children: ReactNode }) {
  const [dragged, setDragged] = useState<Dragged | undefined>(undefined);
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const changeLook = useChangeLook();
  const changeCharacter = useChangeCharacter();
  const weigh = useWeigh();
  const tell = useNotice();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const end = ({ over }: DragEndEvent) => {
    const ids = dragged?.ids ?? [];
    setDragged(undefined);
    if (!over) return;
    if (over.id === 'bench') return void weigh(ids);
    const fresh = (items: readonly { referenceId: string }[]) =>
      ids.filter((id) => !items.some((i) => i.referenceId === id));
    const look = looks?.find((l) => l.id === over.id);
    if (look) {
      const items = [...look.items, ...fresh(look.items).map((referenceId) => ({ referenceId, weight: 1 }))].slice(
        0,
        40,
      );
      changeLook.mutate({ item: look, change: { items } });
      tell(`${ids.length === 1 ? 'It is' : `${ids.length} pictures are`} in the look “${look.name}” now.`, {
        action: {
          label: 'Undo',
          run: () => changeLook.mutate({ item: { ...look, version: look.version + 1 }, change: { items: look.items } }),
        },
      });
    }
    const character = cast?.find((c) => c.id === over.id);
    if (character) {
      const more = fresh(character.items).map((referenceId) => ({ referenceId }));
      const items = [...character.items, ...more].slice(0, 40);
      changeCharacter.mutate({ item: character, change: { items } });
      tell(`${ids.length === 1 ? 'It is' : `${ids.length} pictures are`} on the sheet of ${character.name} now.`);
    }
  };
  return (
    <DndContext
      sensors={sensors}
      onDragStart={({ active }) => setDragged(active.data.current as Dragged)}
      onDragEnd={end}
      onDragCancel={() => setDragged(undefined)}
    >
      <div className="parts grid h-full grid-cols-[188px_minmax(0,1fr)_312px]">{children}</div>
      {dragged && (
        <div className="absolute inset-x-0 bottom-0 z-30 flex flex-wrap justify-center gap-2 border-t border-line bg-paper p-3 shadow-2xl">
          <Target id="bench" name="Onto the bench" sign="words" />
          {looks?.slice(0, 10).map((l) => (
            <Target key={l.id} id={l.id} name={l.name} sign="style" />
          ))}
          {cast?.slice(0, 10).map((c) => (
            <Target key={c.id} id={c.id} name={c.name} sign="character" />
          ))}
        </div>
      )}
      <DragOverlay dropAnimation={null}>
        {dragged && (
          <div className="relative size-20 opacity-90 shadow-xl">
            {dragged.thumbnailUrl && <img src={dragged.thumbnailUrl} alt="" className="h-full w-full object-cover" />}
            {dragged.ids.length > 1 && (
              <span className="figures absolute -top-2 -right-2 rounded-full bg-cinnabar px-2 text-sm font-semibold text-white">
                {dragged.ids.length}
              </span>
            )}
          </div>
        )}
      </DragOverlay>
    </DndContext>
  );
}

function Target({ id, name, sign }: { id: string; name: string; sign: Hue }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <div
      ref={setNodeRef}
      className={`flex items-center gap-2 rounded-xl border-2 border-dashed px-4 py-3 ${isOver ? 'border-cinnabar bg-card' : 'border-edge'}`}
    >
      <KindSign kind={sign} /> {name}
    </div>
  );
}
