import { DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState, type RefObject } from 'react';
import type { Shot } from '../../api/client';
import { DrawnFrame } from '../../shared/pictures/DrawnFrame';
import { useMarquee } from '../../shared/pictures/useMarquee';
import { GAP, SheetRow, type RowContext } from './SheetRow';
import { rowsOf, touchedShots, type Zoom } from './shots';

interface Props extends RowContext {
  readonly shots: readonly Shot[];
  readonly zoom: Zoom;
  /** Puts a shot in the place of another. */
  readonly onMove: (id: string, to: string) => void;
  /** A frame was drawn over these shots. */
  readonly onPick: (ids: readonly string[]) => void;
}

/** The least width of a shot in a single row, px. */
const LEAST = 92;
const CHART = { row: 108, sheet: 64 };
/** The room beside and above the shots, px: what the classes of the box say. */
const ROOM = { left: 16, top: 8 };

/** The shots with the drift chart exactly above them: one row, or as many rows as there are. */
export function ContactSheet({ shots, zoom, onMove, onPick, ...context }: Props) {
  const { chosen } = context;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const single = zoom === 'row';
  const columns = single ? Math.max(1, shots.length) : Math.max(2, Math.min(shots.length, Math.floor(width / 200)));
  const rows = rowsOf(shots, columns);
  const share = (width - GAP * (columns - 1)) / columns;
  const cell = single ? Math.min(300, Math.max(LEAST, share)) : share;
  // the chart, the picture, its title and two lines of words, and the gaps between them
  const row = single ? CHART.row + cell : CHART.sheet + cell / 1.5 + 98;
  const lie = { ...ROOM, columns, cell, gap: GAP, row, chart: single ? CHART.row : CHART.sheet };
  const marquee = useMarquee(box, (drawn) => touchedShots(shots, drawn, lie), onPick);
  const scroller = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => row,
    overscan: 2,
    enabled: !single,
  });
  useEffect(() => {
    if (chosen) document.getElementById(`shot-${chosen}`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [chosen, zoom]);
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onMove(String(active.id), String(over.id));
  };
  return (
    <DndContext sensors={sensors} onDragEnd={drop}>
      <div
        ref={box}
        data-testid="contact-sheet"
        data-main="Shots"
        {...marquee.handlers}
        className={`relative bg-booth px-4 pt-2 pb-3 ${single ? 'overflow-x-auto overflow-y-hidden' : 'h-full overflow-y-auto'}`}
      >
        <DrawnFrame frame={marquee.box} />
        {single ? (
          shots.length > 0 && <SheetRow shots={shots} label="Shots" chart={CHART.row} {...{ cell, context }} />
        ) : (
          <div className="relative" style={{ height: scroller.getTotalSize() }}>
            {scroller.getVirtualItems().map((v) => (
              <div
                key={v.key}
                className="absolute inset-x-0 top-0"
                style={{ transform: `translateY(${v.start}px)`, height: v.size }}
              >
                <SheetRow
                  shots={rows[v.index]}
                  label={`Shots, row ${v.index + 1}`}
                  chart={CHART.sheet}
                  {...{ cell, context }}
                />
              </div>
            ))}
          </div>
        )}
      </div>
    </DndContext>
  );
}

/** The width that an element has, px. */
function useWidth(box: RefObject<HTMLDivElement | null>): number {
  const [width, setWidth] = useState(1248);
  useEffect(() => {
    const node = box.current;
    if (!node) return;
    const watch = new ResizeObserver(([e]) => setWidth(e.contentRect.width));
    watch.observe(node);
    return () => watch.disconnect();
  }, [box]);
  return width;
}
