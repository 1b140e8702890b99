import { clamp } from '@urbild/core';
import { Dialog } from 'radix-ui';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Take } from '../../api/client';
import { sendMask, type MixMask } from '../../api/trials';
import { useNotice } from '../../parts/notices';
import { useZoom } from '../../parts/zoom';
import { greyMask } from './maskCanvas';
import type { Place } from './maskDrawing';
import { maskAct } from './maskKeys';
import { MaskSheet } from './MaskSheet';
import { MaskTools } from './MaskTools';
import { useMaskDrawing } from './useMaskDrawing';

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

/** Width of the brush, px of the canvas. */
const [THINNEST, WIDEST] = [4, 200];
const FROM_THE_START = { brush: 48, feather: 0.01 };

/** Paints where something acts: brush and eraser by pointer or keys, filling from who is in the picture, soft edge. */
export function MaskPainter({ title, take, aspect, mask, hue, onSave, onClear, onClose }: Props) {
  const tell = useNotice();
  const [brush, setBrush] = useState(FROM_THE_START.brush);
  const [erasing, setErasing] = useState(false);
  const [invert, setInvert] = useState(mask?.invert ?? false);
  const [feather, setFeather] = useState(mask?.feather ?? FROM_THE_START.feather);
  const [cursor, setCursor] = useState<Place>([0.5, 0.5]);
  const [busy, setBusy] = useState(false);
  const stroke = useRef<Place | undefined>(undefined);
  const { zoom, handlers } = useZoom();
  const { canvas, paint, measure, canUndo, cover, cut } = useMaskDrawing(mask, hue, take?.figures ?? [], invert);
  const width = () => ({ width: brush / zoom.scale, erasing });
  const begin = (at: Place) => {
    stroke.current = at;
    paint((d) => {
      d.begin();
      d.stroke(at, at, width());
    });
  };
  const goTo = (to: Place) => {
    const from = stroke.current;
    if (from) paint((d) => d.stroke(from, to, width()));
    if (from) stroke.current = to;
    setCursor(to);
  };
  const end = () => {
    stroke.current = undefined;
    measure();
  };
  const whole = (act: Parameters<typeof paint>[0]) => {
    paint(act);
    measure();
  };
  const onKey = (e: KeyboardEvent) => {
    if ((e.target as HTMLElement).closest('input, [role=slider]')) return;
    if (e.altKey || '+-=0'.includes(e.key)) return handlers.onKeyDown(e);
    const act = maskAct(e, zoom.scale);
    if (!act) return;
    e.preventDefault();
    if (act.does === 'undo') whole((d) => d.undo());
    else if (act.does === 'eraser') setErasing(!erasing);
    else if (act.does === 'brush') setBrush((b) => clamp(b + act.by, THINNEST, WIDEST));
    else if (act.does === 'move') goTo([clamp(cursor[0] + act.by[0]), clamp(cursor[1] + act.by[1])]);
    else if (!stroke.current) begin(cursor);
  };
  const at = (e: PointerEvent): Place => {
    const box = canvas.current!.getBoundingClientRect();
    return [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height];
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
  const clear = () => {
    onClear();
    onClose();
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
          <MaskSheet
            take={take}
            aspect={aspect}
            canvas={canvas}
            brush={brush}
            cursor={cursor}
            zoom={zoom}
            on={{
              onWheel: handlers.onWheel,
              onKeyUp: (e) => e.key === ' ' && end(),
              onPointerDown: (e) => {
                e.currentTarget.setPointerCapture(e.pointerId);
                begin(at(e));
              },
              onPointerMove: (e) => goTo(at(e)),
              onPointerUp: end,
            }}
          />
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
            figures={take?.figures ?? []}
            onFill={(box) => whole((d) => d.fill(box))}
            onAll={(every) => whole((d) => d.all(every))}
            onUndo={canUndo ? () => whole((d) => d.undo()) : undefined}
            acts={invert ? 1 - cover : cover}
            cut={cut}
            busy={busy}
            onSave={() => void save()}
            onClear={mask && clear}
          />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
