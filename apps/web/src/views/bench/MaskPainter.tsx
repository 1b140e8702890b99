import { Dialog } from 'radix-ui';
import { useCallback, useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Take } from '../../api/client';
import { sendMask, type MixMask } from '../../api/trials';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/notices';
import { useZoom, zoomStyle } from '../../parts/zoom';
import { coverageOf, cutFigure } from './maskCover';

interface Props {
  readonly title: string;
  /** What is painted on: the take that is on the table, if any. */
  readonly take: Take | undefined;
  readonly aspect: number;
  readonly mask: MixMask | undefined;
  /** Of the overlay. */
  readonly hue: string;
  readonly onSave: (mask: MixMask) => void;
  readonly onClear: () => void;
  readonly onClose: () => void;
}

const SIDE = 512;
const STEPS_BACK = 30;

/** Paints where something acts: brush and eraser by pointer or keys, filling from who is in the picture, soft edge. */
export function MaskPainter({ title, take, aspect, mask, hue, onSave, onClear, onClose }: Props) {
  const tell = useNotice();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [brush, setBrush] = useState(48);
  const [erasing, setErasing] = useState(false);
  const [invert, setInvert] = useState(mask?.invert ?? false);
  const [feather, setFeather] = useState(mask?.feather ?? 0.01);
  const [cover, setCover] = useState(0);
  const [cut, setCut] = useState<string | undefined>(undefined);
  const [cursor, setCursor] = useState<readonly [number, number]>([0.5, 0.5]);
  const [busy, setBusy] = useState(false);
  const [steps, setSteps] = useState<readonly ImageData[]>([]);
  const stroke = useRef<readonly [number, number] | undefined>(undefined);
  const { zoom, handlers } = useZoom();
  const width = aspect >= 1 ? SIDE : Math.round(SIDE * aspect);
  const height = aspect >= 1 ? Math.round(SIDE / aspect) : SIDE;
  const context = () => canvas.current!.getContext('2d', { willReadFrequently: true })!;
  const figures = take?.figures;
  const measure = useCallback(() => {
    const data = canvas.current!.getContext('2d', { willReadFrequently: true })!.getImageData(0, 0, width, height).data;
    setCover(coverageOf(data));
    setCut(cutFigure(data, width, height, figures ?? [], invert));
  }, [width, height, figures, invert]);
  useEffect(() => {
    if (!mask) return;
    const image = new Image();
    image.onload = () => {
      const c = canvas.current?.getContext('2d', { willReadFrequently: true });
      if (!c) return;
      c.drawImage(image, 0, 0, width, height);
      // grey masks come back as what the painter works with: white, more or less opaque
      const all = c.getImageData(0, 0, width, height);
      for (let i = 0; i < all.data.length; i += 4) {
        all.data[i + 3] = all.data[i];
        all.data[i] = all.data[i + 1] = all.data[i + 2] = 255;
      }
      c.putImageData(all, 0, 0);
      measure();
    };
    image.src = `/api/v1/blobs/${mask.content}`;
  }, [mask, width, height, measure]);
  const remember = () => setSteps((all) => [...all.slice(1 - STEPS_BACK), context().getImageData(0, 0, width, height)]);
  const dab = (from: readonly [number, number], to: readonly [number, number]) => {
    const c = context();
    c.globalCompositeOperation = erasing ? 'destination-out' : 'source-over';
    c.strokeStyle = '#fff';
    c.lineCap = 'round';
    c.lineWidth = brush / zoom.scale;
    c.beginPath();
    c.moveTo(from[0] * width, from[1] * height);
    c.lineTo(to[0] * width + 0.01, to[1] * height);
    c.stroke();
    c.globalCompositeOperation = 'source-over';
  };
  const at = (e: PointerEvent): readonly [number, number] => {
    const box = canvas.current!.getBoundingClientRect();
    return [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height];
  };
  const undo = () => {
    const last = steps[steps.length - 1];
    if (!last) return;
    context().putImageData(last, 0, 0);
    setSteps(steps.slice(0, -1));
    measure();
  };
  const fill = (box: readonly number[]) => {
    remember();
    const c = context();
    c.fillStyle = '#fff';
    c.beginPath();
    const [x, y, w, h] = [box[0] * width, box[1] * height, (box[2] - box[0]) * width, (box[3] - box[1]) * height];
    c.roundRect(x, y, w, h, Math.min(w, h) * 0.35);
    c.fill();
    measure();
  };
  const all = (paint: boolean) => {
    remember();
    const c = context();
    c.clearRect(0, 0, width, height);
    if (paint) {
      c.fillStyle = '#fff';
      c.fillRect(0, 0, width, height);
    }
    measure();
  };
  const onKey = (e: KeyboardEvent) => {
    if ((e.target as HTMLElement).closest('input')) return;
    const by = (e.shiftKey ? 0.005 : 0.03) / zoom.scale;
    const move: Record<string, readonly [number, number]> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, -by],
      ArrowDown: [0, by],
    };
    if (e.altKey) return handlers.onKeyDown(e);
    if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z') undo();
    else if (move[e.key]) {
      const next = cursor.map((v, k) => Math.min(1, Math.max(0, v + move[e.key][k]))) as unknown as readonly [
        number,
        number,
      ];
      if (stroke.current) dab(cursor, next);
      setCursor(next);
    } else if (e.key === ' ') {
      if (!stroke.current) {
        remember();
        stroke.current = cursor;
        dab(cursor, cursor);
      }
    } else if (e.key === 'e' || e.key === 'E') setErasing(!erasing);
    else if (e.key === '[') setBrush((b) => Math.max(4, b - 8));
    else if (e.key === ']') setBrush((b) => Math.min(200, b + 8));
    else if ('+-=0'.includes(e.key)) return handlers.onKeyDown(e);
    else return;
    e.preventDefault();
  };
  const save = async () => {
    setBusy(true);
    try {
      const solid = document.createElement('canvas');
      [solid.width, solid.height] = [width, height];
      const c = solid.getContext('2d')!;
      c.fillStyle = '#000';
      c.fillRect(0, 0, width, height);
      c.drawImage(canvas.current!, 0, 0);
      const png = await new Promise<Blob | null>((done) => solid.toBlob(done, 'image/png'));
      const { content } = await sendMask(png!);
      onSave({ content, invert, feather });
      onClose();
    } catch (e) {
      tell((e as Error).message, { grave: true });
    } finally {
      setBusy(false);
    }
  };
  const acts = invert ? 1 - cover : cover;
  const tool = (on: boolean) =>
    `rounded-lg border px-2.5 py-1 ${on ? 'border-ink bg-ink text-paper' : 'border-line bg-card hover:border-edge'}`;
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-booth" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-0 z-50 grid grid-cols-[minmax(0,1fr)_264px]"
          onKeyDown={onKey}
        >
          <div className="grid min-h-0 place-items-center overflow-hidden p-6" style={{ containerType: 'size' }}>
            <div
              role="application"
              tabIndex={0}
              aria-label="Picture to paint on: arrows move the brush, hold space to paint, E erases, brackets change the brush, Alt and arrows move the picture"
              data-testid="mask-canvas"
              className="relative cursor-crosshair touch-none overflow-hidden bg-black/20"
              style={{ aspectRatio: aspect, width: `min(100cqw, ${aspect * 100}cqh)` }}
              onWheel={handlers.onWheel}
              onKeyUp={(e) => {
                if (e.key !== ' ') return;
                stroke.current = undefined;
                measure();
              }}
              onPointerDown={(e) => {
                e.currentTarget.setPointerCapture(e.pointerId);
                remember();
                stroke.current = at(e);
                dab(stroke.current, stroke.current);
              }}
              onPointerMove={(e) => {
                const here = at(e);
                if (stroke.current) {
                  dab(stroke.current, here);
                  stroke.current = here;
                }
                setCursor(here);
              }}
              onPointerUp={() => {
                stroke.current = undefined;
                measure();
              }}
            >
              <div className="absolute inset-0" style={zoomStyle(zoom)}>
                {take?.pictureUrl && (
                  <img
                    src={take.pictureUrl}
                    alt={take.prompt}
                    draggable={false}
                    className="absolute inset-0 h-full w-full"
                  />
                )}
                <div className="absolute inset-0 isolate" style={{ opacity: 0.55 }}>
                  <canvas ref={canvas} width={width} height={height} className="absolute inset-0 h-full w-full" />
                  <div aria-hidden className="absolute inset-0" style={{ background: hue, mixBlendMode: 'multiply' }} />
                </div>
              </div>
              <span
                aria-hidden
                className="pointer-events-none absolute rounded-full border-2 border-white mix-blend-difference"
                style={{
                  width: `${(brush / width) * 100}%`,
                  aspectRatio: 1,
                  left: `${((cursor[0] - zoom.x) * zoom.scale + 0.5) * 100}%`,
                  top: `${((cursor[1] - zoom.y) * zoom.scale + 0.5) * 100}%`,
                  transform: 'translate(-50%, -50%)',
                }}
              />
            </div>
          </div>
          <aside className="flex min-h-0 flex-col gap-4 overflow-auto border-l border-line bg-paper p-4">
            <Dialog.Title className="font-title text-lg leading-snug font-semibold">{title}</Dialog.Title>
            <div className="flex gap-2">
              <button
                type="button"
                aria-pressed={!erasing}
                className={tool(!erasing)}
                onClick={() => setErasing(false)}
              >
                Brush
              </button>
              <button type="button" aria-pressed={erasing} className={tool(erasing)} onClick={() => setErasing(true)}>
                Eraser
              </button>
              <button type="button" className={tool(false)} disabled={!steps.length} onClick={undo}>
                Undo
              </button>
            </div>
            <label className="flex flex-col gap-1 text-sm">
              Brush, {brush} px
              <input
                type="range"
                min={4}
                max={200}
                value={brush}
                onChange={(e) => setBrush(Number(e.target.value))}
                className="accent-ink"
              />
            </label>
            <label className="flex flex-col gap-1 text-sm">
              Soft edge, {Math.round(feather * 1000) / 10} % of the picture
              <input
                type="range"
                min={0}
                max={0.1}
                step={0.002}
                value={feather}
                onChange={(e) => setFeather(Number(e.target.value))}
                className="accent-ink"
              />
            </label>
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={invert}
                onChange={(e) => setInvert(e.target.checked)}
                className="accent-ink"
              />
              everything but what is painted
            </label>
            <div className="flex flex-wrap gap-1.5">
              {(figures ?? []).flatMap((f, k) => {
                const name = f.name ?? `figure ${k + 1}`;
                return [
                  <button key={`b${k}`} type="button" className={tool(false)} onClick={() => fill(f.box)}>
                    {name}
                  </button>,
                  ...(f.face
                    ? [
                        <button key={`f${k}`} type="button" className={tool(false)} onClick={() => fill(f.face!)}>
                          {name}, the head
                        </button>,
                      ]
                    : []),
                ];
              })}
              <button type="button" className={tool(false)} onClick={() => all(true)}>
                All of it
              </button>
              <button type="button" className={tool(false)} onClick={() => all(false)}>
                Nothing
              </button>
            </div>
            <p aria-live="polite" data-testid="mask-cover" className="figures text-sm text-muted">
              {Math.round(acts * 100)} % of the picture
            </p>
            {cut && (
              <p className="border-l-3 border-cinnabar bg-blush px-3 py-2">
                The mask is too tight for {cut}: part of it lies outside. Paint over all of it, or fill it from the
                list.
              </p>
            )}
            <div className="mt-auto flex flex-col gap-2">
              <Button look="main" disabled={busy || acts === 0} onClick={() => void save()}>
                Use this mask
              </Button>
              {mask && (
                <Button
                  onClick={() => {
                    onClear();
                    onClose();
                  }}
                >
                  Take the mask away
                </Button>
              )}
              <Dialog.Close className="rounded-lg border border-line bg-card px-3 py-1.5 font-semibold">
                Leave it as it was
              </Dialog.Close>
            </div>
          </aside>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
