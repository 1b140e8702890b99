import { DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Consistency, MixInfluence, Shot } from '../../api/client';
import type { Lookup } from '../../shared/mix/lookup';
import { DriftChart } from './DriftChart';
import { fallOf, rowsOf, type Zoom } from './shots';
import { ShotTile } from './ShotTile';

interface Props {
  readonly shots: readonly Shot[];
  readonly all: readonly Shot[];
  readonly influences: readonly MixInfluence[];
  readonly consistency: Consistency | undefined;
  readonly lookup: Lookup;
  readonly zoom: Zoom;
  readonly chosen: string | undefined;
  readonly picked: ReadonlySet<string>;
  readonly onChoose: (id: string, e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => void;
  readonly onOpen: (id: string) => void;
  /** Puts a shot in the place of another. */
  readonly onMove: (id: string, to: string) => void;
}

/** Px between shots, and the least width of one in a single row. */
const GAP = 8;
const LEAST = 92;
const CHART = { row: 108, sheet: 64 };

/** The shots with the drift chart exactly above them: one row, or as many rows as there are. */
export function ContactSheet({
  shots,
  all,
  influences,
  consistency,
  lookup,
  zoom,
  chosen,
  picked,
  onChoose,
  onOpen,
  onMove,
}: Props) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1248);
  useEffect(() => {
    const node = box.current;
    if (!node) return;
    const watch = new ResizeObserver(([e]) => setWidth(e.contentRect.width));
    watch.observe(node);
    return () => watch.disconnect();
  }, []);
  const single = zoom === 'row';
  const columns = single ? Math.max(1, shots.length) : Math.max(2, Math.min(shots.length, Math.floor(width / 200)));
  const rows = rowsOf(shots, columns);
  const cell = single
    ? Math.min(300, Math.max(LEAST, (width - GAP * (columns - 1)) / columns))
    : (width - GAP * (columns - 1)) / columns;
  // the chart, the picture, its title and two lines of words, and the gaps between them
  const rowHeight = CHART.sheet + cell / 1.5 + 98;
  const scroller = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 2,
    enabled: !single,
  });
  useEffect(() => {
    if (chosen) document.getElementById(`shot-${chosen}`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [chosen, zoom]);
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onMove(String(active.id), String(over.id));
  };
  const numberOf = useCallback((s: Shot) => all.indexOf(s) + 1, [all]);
  const row = (of: readonly Shot[], label: string) => {
    // half a gap wider on both sides than the shots, so that every point stands above the middle of its shot
    const span = of.length * (cell + GAP);
    return (
      <>
        <div style={{ width: span, marginLeft: -GAP / 2 }} className="rounded bg-paper/95">
          <DriftChart
            shots={of}
            all={all}
            influences={influences}
            consistency={consistency}
            lookup={lookup}
            height={single ? CHART.row : CHART.sheet}
          />
        </div>
        <ul
          aria-label={label}
          className="mt-2 grid"
          style={{ gap: GAP, gridTemplateColumns: `repeat(${of.length}, ${cell}px)` }}
        >
          {of.map((shot) => (
            <ShotTile
              key={shot.id}
              shot={shot}
              number={numberOf(shot)}
              chosen={shot.id === chosen}
              picked={picked.has(shot.id)}
              fall={fallOf(shot, consistency)}
              worded={cell > 180}
              onChoose={onChoose}
              onOpen={onOpen}
            />
          ))}
        </ul>
      </>
    );
  };
  return (
    <DndContext sensors={sensors} onDragEnd={drop}>
      <div
        ref={box}
        data-testid="contact-sheet"
        className={`bg-booth px-4 pt-2 pb-3 ${single ? 'overflow-x-auto overflow-y-hidden' : 'h-full overflow-y-auto'}`}
      >
        {single ? (
          shots.length > 0 && row(shots, 'Shots')
        ) : (
          <div className="relative" style={{ height: scroller.getTotalSize() }}>
            {scroller.getVirtualItems().map((v) => (
              <div
                key={v.key}
                className="absolute inset-x-0 top-0"
                style={{ transform: `translateY(${v.start}px)`, height: v.size }}
              >
                {row(rows[v.index], `Shots, row ${v.index + 1}`)}
              </div>
            ))}
          </div>
        )}
      </div>
    </DndContext>
  );
}
