import { useDraggable, useDroppable } from '@dnd-kit/core';
import { Heart, TriangleAlert } from 'lucide-react';
import { memo, use, type KeyboardEvent, type MouseEvent } from 'react';
import type { Reference } from '../../api/client';
import { HeldBy } from '../../parts/people/HeldBy';
import { KindSign } from '../../parts/KindSign';
import { GapContext } from './gaps';

interface Props {
  readonly id: string;
  readonly reference: Reference | undefined;
  readonly selected: boolean;
  readonly tabbable: boolean;
  readonly group: readonly string[] | undefined;
  /** Others can be put before and after it. */
  readonly between: boolean;
  readonly top: number;
  readonly left: number;
  readonly width: number;
  readonly height: number;
  readonly onChoose: (id: string, e: MouseEvent) => void;
  readonly onKey: (e: KeyboardEvent, id: string) => void;
  readonly onOpen: () => void;
}

/** One picture of the library where its row has it: chosen, dragged, opened, and reached by keys. */
export const PictureCell = memo(
  function PictureCell({
    id,
    reference: r,
    selected,
    tabbable,
    group,
    between,
    top,
    left,
    width,
    height,
    onChoose,
    onKey,
    onOpen,
  }: Props) {
    const { setNodeRef, listeners, isDragging } = useDraggable({
      id,
      data: { ids: group ?? [id], thumbnailUrl: r?.thumbnailUrl },
    });
    const { setNodeRef: setGapRef } = useDroppable({ id: `gap ${id}`, disabled: !between, data: { between: id } });
    const gap = use(GapContext);
    return (
      <button
        ref={(node) => (setNodeRef(node), setGapRef(node))}
        type="button"
        role="option"
        data-id={id}
        data-held={`picture ${id}`}
        aria-selected={selected}
        aria-label={
          r ? `${r.alt}, ${r.kind}${r.rating ? `, rated ${r.rating}` : ''}` : 'A picture that is being loaded'
        }
        tabIndex={tabbable ? 0 : -1}
        onClick={(e) => onChoose(id, e)}
        onDoubleClick={onOpen}
        {...listeners}
        onKeyDown={(e) => onKey(e, id)}
        className={`group absolute bg-shade ${selected ? 'outline-3 outline-offset-2 outline-cinnabar' : ''} ${isDragging ? 'opacity-50' : ''}`}
        style={{ top, left, width, height }}
      >
        {gap?.id === id && (
          <span
            className={`absolute inset-y-0 z-10 w-1 bg-cinnabar ${gap.side === 'before' ? '-left-1.5' : '-right-1.5'}`}
            aria-hidden
          />
        )}
        <HeldBy what={`picture ${id}`} />
        {r && (
          <>
            <img
              src={r.thumbnailUrl}
              alt=""
              decoding="async"
              draggable={false}
              className="h-full w-full object-cover"
            />
            <span className="absolute inset-x-0 bottom-0 flex items-center gap-2 bg-gradient-to-t from-black/80 to-transparent px-1.5 pt-6 pb-1.5 text-left text-sm text-white">
              <span className="rounded bg-card p-0.5">
                <KindSign kind={r.kind} />
              </span>
              <span className="min-w-0 flex-1 truncate">{r.title}</span>
              {r.rating > 0 && <span className="figures shrink-0">{r.rating}/5</span>}
              {r.favourite && <Heart size={14} className="shrink-0" fill="currentColor" aria-hidden />}
              {r.checkState === 'serious' && (
                <TriangleAlert size={14} className="shrink-0" aria-label="has a serious fault" />
              )}
            </span>
          </>
        )}
      </button>
    );
  },
  (a, b) =>
    a.reference === b.reference &&
    a.selected === b.selected &&
    a.tabbable === b.tabbable &&
    a.top === b.top &&
    a.left === b.left &&
    a.width === b.width &&
    a.height === b.height &&
    a.group === b.group &&
    a.between === b.between &&
    a.onChoose === b.onChoose,
);
