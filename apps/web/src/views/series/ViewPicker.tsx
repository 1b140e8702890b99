import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { FrameView } from '../../api/sequences';
import { within } from '../../shared/pictures/windows';

interface Props {
  readonly picture: string | undefined;
  readonly from: FrameView;
  readonly to: FrameView;
  readonly onChange: (from: FrameView, to: FrameView) => void;
}

const STEP = 0.02;

/** The windows of the first and the last frame over the shot: dragged, or moved with the arrows and sized with + and -. */
export function ViewPicker({ picture, from, to, onChange }: Props) {
  const box = useRef<HTMLDivElement>(null);
  return (
    <div ref={box} className="relative aspect-[3/2] w-full touch-none overflow-hidden bg-booth select-none">
      {picture && <img src={picture} alt="" draggable={false} className="h-full w-full object-cover opacity-80" />}
      <Window name="First frame" mark="1" view={from} box={box} onChange={(v) => onChange(v, to)} />
      <Window name="Last frame" mark="2" view={to} box={box} onChange={(v) => onChange(from, v)} />
    </div>
  );
}

function Window({
  name,
  mark,
  view,
  box,
  onChange,
}: {
  name: string;
  mark: string;
  view: FrameView;
  box: React.RefObject<HTMLDivElement | null>;
  onChange: (view: FrameView) => void;
}) {
  const { x, y, size } = view;
  const drag = useRef<{ x: number; y: number; view: FrameView } | undefined>(undefined);
  const move = (e: PointerEvent) => {
    if (!drag.current || !box.current) return;
    const { width, height } = box.current.getBoundingClientRect();
    const [dx, dy] = [(e.clientX - drag.current.x) / width, (e.clientY - drag.current.y) / height];
    const was = drag.current.view;
    onChange(within({ ...was, x: was.x + dx, y: was.y + dy }));
  };
  const key = (e: KeyboardEvent) => {
    const by: Readonly<Record<string, Partial<FrameView>>> = {
      ArrowLeft: { x: x - STEP },
      ArrowRight: { x: x + STEP },
      ArrowUp: { y: y - STEP },
      ArrowDown: { y: y + STEP },
      '+': { size: size + STEP },
      '=': { size: size + STEP },
      '-': { size: size - STEP },
    };
    if (!by[e.key]) return;
    e.preventDefault();
    onChange(within({ ...view, ...by[e.key] }));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuenow={Math.round(size * 100)}
      aria-valuemin={40}
      aria-valuemax={100}
      aria-valuetext={`${Math.round(size * 100)} % of the scene, middle at ${Math.round(x * 100)}, ${Math.round(y * 100)}; arrows move, plus and minus size`}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        drag.current = { x: e.clientX, y: e.clientY, view };
      }}
      onPointerMove={move}
      onPointerUp={() => (drag.current = undefined)}
      onWheel={(e) => onChange(within({ ...view, size: size + Math.sign(e.deltaY) * STEP }))}
      onKeyDown={key}
      className={`absolute cursor-move border-2 ${mark === '1' ? 'border-white' : 'border-dashed border-cinnabar'}`}
      style={{
        left: `${(x - size / 2) * 100}%`,
        top: `${(y - size / 2) * 100}%`,
        width: `${size * 100}%`,
        height: `${size * 100}%`,
      }}
    >
      <span
        className={`figures absolute ${mark === '1' ? 'top-1 left-1 bg-card text-ink' : 'right-1 bottom-1 bg-cinnabar text-white'} px-1.5 text-xs font-semibold`}
      >
        {name}
      </span>
    </div>
  );
}
