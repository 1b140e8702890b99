import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Reference } from '../../api/client';
import { useGives, useIsSaving, usePrepare, type Box, type Preparation } from '../../api/references';
import { Button } from '../../parts/Button';
import { Slider } from '../../shared/forms/Slider';
import { FaceTools } from './FaceTools';
import { moveBox, type Grip, GRIPS, pixelsOf } from './focusBox';

const WHOLE: Box = { left: 0, top: 0, right: 1, bottom: 1 };

/** Crop to what matters, by handles or keys; sharpening, cut-out, flattening. The picture as it came stays. */
export function FocusEditor({ reference: r }: { reference: Reference }) {
  const { data: gives } = useGives(r);
  const prepare = usePrepare();
  const saving = useIsSaving(r.id);
  const [box, setBox] = useState<Box | undefined>(undefined);
  const [byKey, setByKey] = useState(false);
  const [square, setSquare] = useState(r.kind === 'face');
  const frame = useRef<HTMLDivElement>(null);
  const drag = useRef<{ grip: Grip; x: number; y: number; from: Box } | undefined>(undefined);
  const preparation = r.preparation;
  const shown = box ?? preparation.focus ?? WHOLE;
  const aspect = r.width / r.height;
  const save = (change: Partial<Preparation>) =>
    prepare.mutate({ reference: r, preparation: { ...preparation, ...change } });
  const settle = (next: Box) => {
    setBox(undefined);
    const whole = next.left < 0.002 && next.top < 0.002 && next.right > 0.998 && next.bottom > 0.998;
    save({ focus: whole ? undefined : next });
  };
  const onDown = (grip: Grip, e: PointerEvent) => {
    e.preventDefault();
    e.stopPropagation();
    (e.currentTarget as HTMLElement).focus();
    frame.current!.setPointerCapture(e.pointerId);
    drag.current = { grip, x: e.clientX, y: e.clientY, from: shown };
  };
  const onMove = (e: PointerEvent) => {
    const d = drag.current;
    if (!d) return;
    const area = frame.current!.getBoundingClientRect();
    setBox(
      moveBox(
        d.from,
        d.grip,
        (e.clientX - d.x) / area.width,
        (e.clientY - d.y) / area.height,
        square ? aspect : undefined,
      ),
    );
  };
  const onUp = () => {
    if (drag.current && box) settle(box);
    drag.current = undefined;
  };
  const onKey = (grip: Grip, e: KeyboardEvent) => {
    const by = e.shiftKey ? 0.002 : 0.01;
    const move = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[e.key];
    if (!move) return;
    e.preventDefault();
    e.stopPropagation();
    setBox((now) => moveBox(now ?? shown, grip, move[0], move[1], square ? aspect : undefined));
    setByKey(true);
  };
  // keys come one after the other: the picture is prepared when they rest
  useEffect(() => {
    if (!byKey || !box) return;
    const rest = setTimeout(() => {
      setByKey(false);
      settle(box);
    }, 350);
    return () => clearTimeout(rest);
  });
  const percent = (v: number) => `${v * 100}%`;
  const [w, h] = pixelsOf(shown, r.width, r.height);
  return (
    <div className="flex flex-col gap-4">
      <div
        ref={frame}
        className="relative touch-none bg-booth select-none"
        onPointerMove={onMove}
        onPointerUp={onUp}
        onPointerCancel={onUp}
      >
        <img src={r.sourceUrl} alt={r.alt} draggable={false} className="block w-full" />
        <div
          aria-hidden
          className="pointer-events-none absolute inset-0 bg-ink/55"
          style={{
            clipPath: `polygon(evenodd, 0 0, 100% 0, 100% 100%, 0 100%, 0 0, ${percent(shown.left)} ${percent(shown.top)}, ${percent(shown.right)} ${percent(shown.top)}, ${percent(shown.right)} ${percent(shown.bottom)}, ${percent(shown.left)} ${percent(shown.bottom)}, ${percent(shown.left)} ${percent(shown.top)})`,
          }}
        />
        <button
          type="button"
          aria-label="Focus: move it with the arrow keys"
          className="absolute cursor-move border-2 border-white mix-blend-normal shadow-[0_0_0_1px_#24211d]"
          style={{
            left: percent(shown.left),
            top: percent(shown.top),
            width: percent(shown.right - shown.left),
            height: percent(shown.bottom - shown.top),
          }}
          onPointerDown={(e) => onDown('all', e)}
          onKeyDown={(e) => onKey('all', e)}
        />
        {GRIPS.map(({ grip, x, y, name }) => (
          <button
            key={grip}
            type="button"
            aria-label={`Focus, ${name}: move it with the arrow keys`}
            className="absolute size-3.5 -translate-1/2 rounded-[2px] border border-ink bg-white"
            style={{
              left: percent(shown.left + (shown.right - shown.left) * x),
              top: percent(shown.top + (shown.bottom - shown.top) * y),
            }}
            onPointerDown={(e) => onDown(grip, e)}
            onKeyDown={(e) => onKey(grip, e)}
          />
        ))}
      </div>
      <p className="figures text-sm text-muted" aria-live="polite">
        {saving ? 'It is being prepared …' : `The engine gets ${w} × ${h} px of ${r.width} × ${r.height}`}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button disabled={!gives} onClick={() => gives && settle(gives.proposedFocus)}>
          Propose
        </Button>
        <Button disabled={!preparation.focus} onClick={() => settle(WHOLE)}>
          Whole picture
        </Button>
        <label className="flex items-center gap-1.5 text-sm">
          <input
            type="checkbox"
            checked={square}
            onChange={(e) => setSquare(e.target.checked)}
            className="accent-ink"
          />
          square
        </label>
      </div>
      <div className="flex flex-col gap-1 text-sm">
        <span className="flex justify-between font-semibold text-muted">
          Sharpen <span className="figures">{Math.round(preparation.sharpen * 100)} %</span>
        </span>
        <Slider
          label="Sharpen"
          min={0}
          max={1}
          step={0.05}
          value={preparation.sharpen}
          onSave={(sharpen) => save({ sharpen })}
        />
      </div>
      <label className="flex items-start gap-2">
        <input
          type="checkbox"
          checked={preparation.cutOut}
          onChange={(e) => save({ cutOut: e.target.checked })}
          className="mt-0.5 accent-ink"
        />
        <span>
          Take the plain background away
          <span className="block text-sm text-muted">
            It is filled with the colours of the subject, so that none of it leaks.
          </span>
        </span>
      </label>
      <label className="flex items-start gap-2">
        <input
          type="checkbox"
          checked={preparation.flatten}
          onChange={(e) => save({ flatten: e.target.checked })}
          className="mt-0.5 accent-ink"
        />
        Lay transparency over white
      </label>
      <FaceTools reference={r} faces={gives?.faces ?? []} focus={shown} />
    </div>
  );
}
