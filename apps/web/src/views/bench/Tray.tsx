import { useDraggable } from '@dnd-kit/core';
import { useState } from 'react';
import type { Kind, Reference } from '../../api/client';
import { KindSign } from '../../parts/KindSign';
import { Tip } from '../../parts/Tip';
import { KINDS } from '../../theme/kinds';

/** A narrow drawer of references to drag into the course. */
export function Tray({
  references,
  onAdd,
}: {
  references: readonly Reference[];
  onAdd: (reference: Reference) => void;
}) {
  const [kind, setKind] = useState<Kind | undefined>(undefined);
  const shown = references.filter((r) => !kind || r.kind === kind);
  return (
    <aside aria-label="Tray" className="flex min-h-0 flex-col border-r border-line bg-paper">
      <div className="flex gap-1.5 p-2.5 pb-1.5">
        {KINDS.map((k) => (
          <Tip key={k.kind} text={`Only ${k.name.toLowerCase()} pictures`}>
            <button
              type="button"
              aria-pressed={kind === k.kind}
              aria-label={`Only ${k.name.toLowerCase()} pictures`}
              onClick={() => setKind(kind === k.kind ? undefined : k.kind)}
              className={`rounded-lg border px-2 py-1.5 ${kind === k.kind ? 'border-ink bg-card' : 'border-line hover:border-edge'}`}
            >
              <KindSign kind={k.kind} />
            </button>
          </Tip>
        ))}
      </div>
      <h2 className="px-2.5 pb-1 text-sm font-semibold text-muted">Drag into the course</h2>
      <ul className="grid min-h-0 grid-cols-2 content-start gap-1.5 overflow-auto p-2.5 pt-1">
        {shown.map((r) => (
          <TrayPicture key={r.id} reference={r} onAdd={() => onAdd(r)} />
        ))}
      </ul>
    </aside>
  );
}

function TrayPicture({ reference, onAdd }: { reference: Reference; onAdd: () => void }) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: reference.id, data: { reference } });
  return (
    <li>
      <button
        ref={setNodeRef}
        type="button"
        title={reference.title}
        aria-label={`${reference.title}, ${reference.kind}: add to the course`}
        {...listeners}
        onDoubleClick={onAdd}
        onKeyDown={(e) => {
          if (e.key === 'Enter') onAdd();
        }}
        className={`relative block aspect-square w-full touch-none overflow-hidden bg-shade ${isDragging ? 'opacity-40' : ''}`}
      >
        <img
          src={reference.thumbnailUrl}
          alt=""
          draggable={false}
          loading="lazy"
          className="h-full w-full object-cover"
        />
        <span className="absolute bottom-0.5 left-0.5 rounded bg-card p-0.5">
          <KindSign kind={reference.kind} size={13} />
        </span>
      </button>
    </li>
  );
}
