import {
  DndContext,
  DragOverlay,
  PointerSensor,
  pointerWithin,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragMoveEvent,
} from '@dnd-kit/core';
import { useState, type ReactNode } from 'react';
import { pileOf, useCollectionActs, useCollections } from '../../api/collections';
import { picksOf, useProject } from '../../api/projects';
import { useCast, useChangeCharacter, useChangeLook, useLooks } from '../../api/sheets';
import { KindSign } from '../../parts/KindSign';
import { useNotice } from '../../parts/notices';
import type { Hue } from '../../theme/kinds';
import { GapContext, gapAt, nextOf, type Gap } from './gaps';
import { useArranged } from './useArranged';
import { useWeigh } from '../../shared/mix/useWeigh';

interface Dragged {
  readonly ids: readonly string[];
  readonly thumbnailUrl?: string;
}

/** What happens to pictures that are let go over something, by the id of it. */
function useDrops() {
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const { data: collections } = useCollections();
  const changeLook = useChangeLook();
  const changeCharacter = useChangeCharacter();
  const project = useProject();
  const { place } = useCollectionActs();
  const weigh = useWeigh();
  const tell = useNotice();
  return (over: string, ids: readonly string[]): void => {
    if (over === 'bench') return void weigh(ids);
    const collection = collections?.find((c) => over === `collection ${c.id}`);
    if (collection) return void place(pileOf(collection), ids);
    if (project && over === `collection ${project.id}`) return void place(picksOf(project), ids);
    const fresh = (items: readonly { referenceId: string }[]) =>
      ids.filter((id) => !items.some((i) => i.referenceId === id));
    const look = looks?.find((l) => l.id === over);
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
    const character = cast?.find((c) => c.id === over);
    if (character) {
      const more = fresh(character.items).map((referenceId) => ({ referenceId }));
      const items = [...character.items, ...more].slice(0, 40);
      changeCharacter.mutate({ item: character, change: { items } });
      tell(`${ids.length === 1 ? 'It is' : `${ids.length} pictures are`} on the sheet of ${character.name} now.`);
    }
  };
}

/**
 * The library while pictures are dragged: a shelf comes up with looks, sheets and the bench to let them go on. They also go onto the
 * collections beside them, and between the pictures of a collection in whose `order` they are shown.
 */
export function DropShelf({ order, children }: { order: readonly string[]; children: ReactNode }) {
  const [dragged, setDragged] = useState<Dragged | undefined>(undefined);
  const [gap, setGap] = useState<Gap | undefined>(undefined);
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const { place } = useCollectionActs();
  const arranged = useArranged();
  const drop = useDrops();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const end = ({ over }: DragEndEvent) => {
    const ids = dragged?.ids ?? [];
    setDragged(undefined);
    setGap(undefined);
    if (arranged && gap) void place(arranged, ids, { before: nextOf(gap, order, ids), quiet: true });
    else if (over) drop(String(over.id), ids);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      onDragStart={({ active }) => setDragged(active.data.current as Dragged)}
      onDragMove={(e) => setGap((before) => sameGap(before, gapUnder(e)))}
      onDragEnd={end}
      onDragCancel={() => (setDragged(undefined), setGap(undefined))}
    >
      <GapContext value={gap}>
        <div className="parts grid h-full grid-cols-[188px_minmax(0,1fr)_312px]">{children}</div>
      </GapContext>
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

/** The gap that the pointer is over, if it is over a picture between which others can go. */
function gapUnder({ over, activatorEvent, delta }: DragMoveEvent): Gap | undefined {
  const id = over?.data.current?.between as string | undefined;
  return id === undefined ? undefined : gapAt(id, (activatorEvent as PointerEvent).clientX + delta.x, over!.rect);
}

/** The gap from before where it is the same one, so that nothing is drawn anew. */
const sameGap = (before: Gap | undefined, now: Gap | undefined): Gap | undefined =>
  before?.id === now?.id && before?.side === now?.side ? before : now;

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
