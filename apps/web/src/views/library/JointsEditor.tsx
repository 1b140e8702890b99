import { useRef, useState, type PointerEvent } from 'react';
import type { Reference } from '../../api/client';
import type { EngineView } from '../../api/references';
import { Button } from '../../parts/Button';
import { BONES, jointTitle, standing, type FoundJoint } from './joints';
import { useJoints } from './useJoints';

/** Joints and faces over the picture: joints are dragged to where they belong, or moved by the arrows; Delete takes one away. */
export function JointsEditor({ reference: r, gives }: { reference: Reference; gives: EngineView }) {
  const { joints, save, drag, drop, onKey } = useJoints(r, gives);
  const [held, setHeld] = useState<string | undefined>(undefined);
  const board = useRef<SVGSVGElement>(null);
  // joints belong to the picture as it came, whatever of it is in focus
  const { width: w, height: h } = r;
  const move = (e: PointerEvent) => {
    const box = board.current?.getBoundingClientRect();
    if (held && box) drag(held, (e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height);
  };
  const letGo = () => {
    if (held) drop();
    setHeld(undefined);
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
        onPointerMove={move}
        onPointerUp={letGo}
        onPointerCancel={letGo}
      >
        <image href={r.sourceUrl} width={w} height={h} opacity={0.45} />
        <Bones joints={joints} w={w} h={h} />
        <Faces faces={gives.faces} w={w} h={h} />
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
            onKeyDown={(e) => onKey(e, j)}
          >
            <title>{jointTitle(j.name)}</title>
          </circle>
        ))}
      </svg>
      <div className="mt-1 flex gap-2">
        {r.corrections.joints.length > 0 && (
          <Button look="plain" className="text-sm" onClick={() => save([])}>
            As read
          </Button>
        )}
        {!joints.length && (
          <Button className="text-sm" onClick={() => save(standing(w / h))}>
            Lay a figure over it
          </Button>
        )}
      </div>
    </section>
  );
}

/** Size of the picture, px. */
interface Size {
  readonly w: number;
  readonly h: number;
}

function Bones({ joints, w, h }: Size & { joints: readonly FoundJoint[] }) {
  const at = new Map(joints.map((j) => [j.name, j]));
  return BONES.map(([a, b]) => {
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
  });
}

function Faces({ faces, w, h }: Size & { faces: EngineView['faces'] }) {
  return faces.map(({ box }, k) => (
    <ellipse
      key={k}
      cx={((box.left + box.right) / 2) * w}
      cy={((box.top + box.bottom) / 2) * h}
      rx={((box.right - box.left) / 2) * w}
      ry={((box.bottom - box.top) / 2) * h}
      fill="none"
      stroke="#d98aa2"
      strokeWidth={w / 160}
    />
  ));
}
