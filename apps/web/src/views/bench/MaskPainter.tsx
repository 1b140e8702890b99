import { Dialog } from 'radix-ui';
import { useCallback, useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Take } from '../../api/client';
import { sendMask, type MixMask } from '../../api/trials';
import { useNotice } from '../../parts/notices';
import { useZoom, zoomStyle } from '../../parts/zoom';
import { greyMask, tint } from './maskCanvas';
import { coverageOf, cutFigure } from './maskCover';
import { MaskTools } from './MaskTools';

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
      // grey masks come back as what is painted with: the hue, more or less opaque
      const all = c.getImageData(0, 0, width, height);
      for (let i = 0; i < all.data.length; i += 4) all.data[i + 3] = all.data[i];
      c.putImageData(all, 0, 0);
      tint(c, hue);
      measure();
    };
    image.src = `/api/v1/blobs/${mask.content}`;
  }, [mask, width, height, measure, hue]);
  const remember = () => setSteps((all) => [...all.slice(1 - STEPS_BACK), context().getImageData(0, 0, width, height)]);
  const dab = (from: readonly [number, number], to: readonly [number, number]) => {
    const c = context();
    c.globalCompositeOperation = erasing ? 'destination-out' : 'source-over';
    c.strokeStyle = hue;
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
    c.fillStyle = hue;
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
      c.fillStyle = hue;
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
      const { content } = await sendMask(await greyMask(canvas.current!));
      onSave({ content, invert, feather });
      onClose();
    } catch (e) {
      tell((e as Error).message, { grave: true });
    } finally {
      setBusy(false);
    }
  };
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
                <canvas
                  ref={canvas}
                  width={width}
                  height={height}
                  className="absolute inset-0 h-full w-full opacity-60"
                />
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
          <MaskTools
            title={title}
            erasing={erasing}
            onErasing={setErasing}
            brush={brush}
            onBrush={setBrush}
            feather={feather}
            onFeather={setFeather}
            invert={invert}
            onInvert={setInvert}
            figures={figures ?? []}
            onFill={fill}
            onAll={all}
            onUndo={steps.length ? undo : undefined}
            acts={invert ? 1 - cover : cover}
            cut={cut}
            busy={busy}
            onSave={() => void save()}
            onClear={
              mask &&
              (() => {
                onClear();
                onClose();
              })
            }
          />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
