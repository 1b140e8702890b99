import type { PointerEvent } from 'react';

interface Props {
  readonly label: string;
  /** How much of the picture above is seen, 0..1 from the left. */
  readonly at: number;
  readonly onMove: (at: number) => void;
}

/** The edge of a wipe, by pointer and arrows. */
export function WipeEdge({ label, at, onMove }: Props) {
  const move = (e: PointerEvent) => {
    if (!(e.buttons & 1)) return;
    e.stopPropagation();
    const box = e.currentTarget.parentElement!.getBoundingClientRect();
    onMove(Math.min(1, Math.max(0, (e.clientX - box.left) / box.width)));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Math.round(at * 100)}
      aria-valuemin={0}
      aria-valuemax={100}
      className="absolute inset-y-0 w-6 -translate-x-1/2 cursor-ew-resize touch-none before:absolute before:inset-y-0 before:left-1/2 before:w-0.5 before:-translate-x-1/2 before:bg-white before:content-['']"
      style={{ left: `${at * 100}%` }}
      onPointerDown={(e) => {
        e.stopPropagation();
        e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onPointerMove={move}
      onKeyDown={(e) => {
        const by = e.key === 'ArrowLeft' ? -0.05 : e.key === 'ArrowRight' ? 0.05 : 0;
        if (!by) return;
        e.stopPropagation();
        onMove(Math.min(1, Math.max(0, at + by)));
      }}
    />
  );
}
