import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Reference } from '../../api/client';
import { useCorrect, type Gives } from '../../api/references';
import { Button } from '../../parts/Button';
import { BONES, jointTitle, movedJoint, standing, withoutJoint, type FoundJoint } from './joints';

const STEP = 0.01;
/** ms without another key before a move is kept. */
const KEY_PAUSE = 250;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

/** Joints and faces over the picture: joints are dragged to where they belong, or moved by the arrows; Delete takes one away. */
export function JointsEditor({ reference: r, gives }: { reference: Reference; gives: Gives }) {
  const correct = useCorrect();
  // what was moved counts until the engine's own answer is there
  const [moved, setMoved] = useState<{ readonly of: Gives; readonly joints: FoundJoint[] } | undefined>(undefined);
  const [held, setHeld] = useState<string | undefined>(undefined);
  const board = useRef<SVGSVGElement>(null);
  const changed = moved?.of === gives ? moved.joints : undefined;
  const joints = changed ?? gives.joints;
  const at = new Map(joints.map((j) => [j.name, j]));
  // joints belong to the picture as it came, whatever of it is in focus
  const { width: w, height: h } = r;
  const put = (next: FoundJoint[]) => setMoved({ of: gives, joints: next });
  const waiting = useRef<ReturnType<typeof setTimeout>>(undefined);
  const save = (next: FoundJoint[], wait = 0) => {
    put(next);
    clearTimeout(waiting.current);
    // a key that is held down is one move
    waiting.current = setTimeout(
      () => correct.mutate({ reference: r, corrections: { joints: next } }, { onError: () => setMoved(undefined) }),
      wait,
    );
  };
  const drag = (e: PointerEvent) => {
    const box = board.current?.getBoundingClientRect();
    if (!held || !box) return;
    put(movedJoint(joints, held, (e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height));
  };
  const drop = () => {
    if (held && changed) save(changed);
    setHeld(undefined);
  };
  const key = (e: KeyboardEvent, j: FoundJoint) => {
    const by = ARROWS[e.key];
    if (!by && e.key !== 'Delete') return;
    e.preventDefault();
    e.stopPropagation();
    save(by ? movedJoint(joints, j.name, j.x + by[0], j.y + by[1]) : withoutJoint(joints, j.name), KEY_PAUSE);
  };
  return (
    <section>
      <h3 className="mb-1 text-sm font-semibold text-muted">Joints and face</h3>
      <svg
        ref={board}
        viewBox={`0 0 ${w} ${h}`}
        className="w-full touch-none bg-ink"
        role="group"
        aria-label={`${joints.length} joints, ${gives.faces.length} faces`}
        onPointerMove={drag}
        onPointerUp={drop}
        onPointerCancel={drop}
      >
        <image href={r.sourceUrl} width={w} height={h} opacity={0.45} />
        {BONES.map(([a, b]) => {
          const [p, q] = [at.get(a), at.get(b)];
          return p && q ? (
            <line
              key={a + b}
              x1={p.x * w}
              y1={p.y * h}
              x2={q.x * w}
              y2={q.y * h}
              stroke="#c9a53a"
              strokeWidth={w / 120}
              strokeLinecap="round"
            />
          ) : null;
        })}
        {gives.faces.map((f, k) => (
          <ellipse
            key={k}
            cx={((f.box.left + f.box.right) / 2) * w}
            cy={((f.box.top + f.box.bottom) / 2) * h}
            rx={((f.box.right - f.box.left) / 2) * w}
            ry={((f.box.bottom - f.box.top) / 2) * h}
            fill="none"
            stroke="#d98aa2"
            strokeWidth={w / 160}
          />
        ))}
        {joints.map((j) => (
          <circle
            key={j.name}
            tabIndex={0}
            role="button"
            aria-label={`${jointTitle(j.name)}: ${Math.round(j.x * 100)} % from the left, ${Math.round(j.y * 100)} % from the top`}
            cx={j.x * w}
            cy={j.y * h}
            r={w / (held === j.name ? 40 : 60)}
            fill="#f6f3ec"
            className="cursor-grab outline-none focus-visible:stroke-cinnabar"
            strokeWidth={w / 120}
            onPointerDown={(e) => {
              board.current?.setPointerCapture(e.pointerId);
              setHeld(j.name);
            }}
            onKeyDown={(e) => key(e, j)}
          >
            <title>{jointTitle(j.name)}</title>
          </circle>
        ))}
      </svg>
      <div className="mt-1 flex gap-2">
        {joints.length ? (
          <Button look="plain" className="text-sm" onClick={() => save([])}>
            As read
          </Button>
        ) : (
          <Button className="text-sm" onClick={() => save(standing(w / h))}>
            Lay a figure over it
          </Button>
        )}
      </div>
    </section>
  );
}
