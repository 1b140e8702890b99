import { clamp } from '@urbild/core';
import { useEffect, useRef, useState, type KeyboardEvent, type MouseEvent } from 'react';
import type { Point } from '../../api/comments';
import { inFrame, inPicture, type Zoom } from '../../parts/zoom';
import { NumberMark } from './NumberMark';
import type { Talk } from './useTalk';

const percent = (v: number) => `${v * 100}%`;
/** By how much an arrow moves a point, parts of the picture; with Shift by much. */
const STEP = 0.01;
const WIDE = 0.1;

/** Over a picture: the points that comments are about, and the choice of a new one. */
export function PointsOver({ talk, zoom }: { talk: Talk; zoom: Zoom }) {
  const { threads = [], chosen, choose, point, pointing } = talk;
  const shown = threads.filter((t) => t.first.point && (!t.first.resolved || t.first.id === chosen));
  return (
    <div className="pointer-events-none absolute inset-0">
      {shown.map(({ first, number }) => (
        <Place key={first.id} zoom={zoom} point={first.point!}>
          <button
            type="button"
            aria-label={`Comment ${number}: ${first.text.slice(0, 80)}`}
            aria-pressed={chosen === first.id}
            onClick={() => choose(chosen === first.id ? '' : first.id)}
            className="pointer-events-auto block outline-1 outline-white"
          >
            <NumberMark number={number!} chosen={chosen === first.id} />
          </button>
        </Place>
      ))}
      {point && (
        <Place zoom={zoom} point={point}>
          <span className="block size-3 bg-cinnabar outline-1 outline-white" />
        </Place>
      )}
      {pointing && <PointChoice talk={talk} zoom={zoom} />}
    </div>
  );
}

/** Something whose upper right corner lies at a point of the picture; nothing where that is out of sight. */
function Place({ zoom, point, children }: { zoom: Zoom; point: Point; children: React.ReactNode }) {
  const [u, v] = inFrame(zoom, point.x, point.y);
  if (u < 0 || u > 1 || v < 0 || v > 1) return null;
  return (
    <span className="absolute -translate-x-full" style={{ left: percent(u), top: percent(v) }}>
      {children}
    </span>
  );
}

/** Choosing a point: by a click, or with arrows and Enter. */
function PointChoice({ talk, zoom }: { talk: Talk; zoom: Zoom }) {
  const [at, setAt] = useState<Point>(() => toPoint(inPicture(zoom, 0.5, 0.5)));
  const surface = useRef<HTMLButtonElement>(null);
  useEffect(() => surface.current?.focus(), []);
  const under = (e: MouseEvent): Point => {
    const box = e.currentTarget.getBoundingClientRect();
    return toPoint(inPicture(zoom, (e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height));
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const by = e.shiftKey ? WIDE : STEP;
    const moves: Record<string, readonly [number, number]> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, -by],
      ArrowDown: [0, by],
    };
    const move = moves[e.key];
    if (move) setAt(({ x, y }) => ({ x: clamp(x + move[0], 0, 1), y: clamp(y + move[1], 0, 1) }));
    else if (e.key === 'Escape') talk.setPointing(false);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const [u, v] = inFrame(zoom, at.x, at.y);
  return (
    <button
      ref={surface}
      type="button"
      aria-label={`The point of the picture: ${Math.round(at.x * 100)} % from the left, ${Math.round(at.y * 100)} % from the top. Arrows move it, Enter takes it.`}
      onKeyDown={onKeyDown}
      onPointerMove={(e) => setAt(under(e))}
      // a click by Enter tells no place
      onClick={(e) => talk.setPoint(e.detail === 0 ? at : under(e))}
      className="pointer-events-auto absolute inset-0 cursor-crosshair"
    >
      <span aria-hidden className="absolute inset-x-0 h-px bg-white mix-blend-difference" style={{ top: percent(v) }} />
      <span
        aria-hidden
        className="absolute inset-y-0 w-px bg-white mix-blend-difference"
        style={{ left: percent(u) }}
      />
    </button>
  );
}

const toPoint = ([x, y]: readonly [number, number]): Point => ({ x, y });
