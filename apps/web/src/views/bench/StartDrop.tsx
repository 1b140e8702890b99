import { useDroppable } from '@dnd-kit/core';
import { useState, type ReactNode } from 'react';
import { carriedIn, isCarrying } from '../../parts/carry';

/** The name under which the table is known to what is dragged on the bench. */
export const TABLE = 'table';

interface Props {
  /** A picture of the library was let go over the table: the mix is to start from it. */
  readonly onStart: (referenceId: string) => void;
  readonly children: ReactNode;
}

/** The table as a place to let go of a picture, from the tray or from another window. */
export function StartDrop({ onStart, children }: Props) {
  const { setNodeRef, isOver } = useDroppable({ id: TABLE });
  const [carried, setCarried] = useState(false);
  return (
    <div
      ref={setNodeRef}
      data-testid="start-drop"
      className="relative min-h-0 min-w-0"
      onDragOver={(e) => {
        if (!isCarrying(e)) return;
        e.preventDefault();
        setCarried(true);
      }}
      onDragLeave={() => setCarried(false)}
      onDrop={(e) => {
        setCarried(false);
        const what = carriedIn(e);
        if (what?.of !== 'reference') return;
        e.preventDefault();
        onStart(what.id);
      }}
    >
      {children}
      {(isOver || carried) && (
        <div className="pointer-events-none absolute inset-3 grid place-items-center rounded-lg border-2 border-dashed border-caption bg-scrim/50">
          <p className="rounded-lg bg-card px-4 py-2 font-semibold">Start from this picture</p>
        </div>
      )}
    </div>
  );
}
