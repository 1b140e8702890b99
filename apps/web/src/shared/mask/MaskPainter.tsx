import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { Take } from '../../api/client';
import { sendMask, type MixMask } from '../../api/trials';
import { useNotice } from '../../parts/notices';
import { useOutlines } from '../../api/sheets';
import { fillingsOf, maskImage, type Filling } from './fillings';
import { greyMask } from './maskCanvas';
import { MaskSheet } from './MaskSheet';
import { MaskTools } from './MaskTools';
import { useMaskDrawing } from './useMaskDrawing';
import { useMaskTool } from './useMaskTool';

interface Props {
  readonly title: string;
  /** What is painted on, if anything, and the take that it is, whose outlines can be filled. */
  readonly picture: { readonly url: string; readonly alt: string } | undefined;
  readonly take?: Pick<Take, 'id' | 'figures'>;
  readonly aspect: number;
  readonly mask: MixMask | undefined;
  /** Of the overlay. */
  readonly hue: string;
  /** The mask is just what is painted: without a soft edge, never its opposite. */
  readonly plain?: boolean;
  readonly onSave: (mask: MixMask) => void;
  /** Absent where there is nothing of its own to take away. */
  readonly onClear: (() => void) | undefined;
  readonly onClose: () => void;
}

/** Softness of the edge of a new mask, of the picture's width. */
const USUAL_FEATHER = 0.01;

const NOBODY: Take['figures'] = [];
const NOTHING: readonly Filling[] = [];

/** Paints where something acts: brush and eraser by pointer or keys, filling from who is in the picture, soft edge. */
export function MaskPainter(props: Props) {
  const { title, picture, take, aspect, mask, hue, plain = false, onSave, onClear, onClose } = props;
  const tell = useNotice();
  const [invert, setInvert] = useState(mask?.invert ?? false);
  const [feather, setFeather] = useState(mask?.feather ?? USUAL_FEATHER);
  const [busy, setBusy] = useState(false);
  // whoever fills by outlines knows what the mask is for: water beside somebody is not somebody cut
  const [byOutline, setByOutline] = useState(false);
  const figures = take?.figures ?? NOBODY;
  const { data: outlines, isError } = useOutlines(take?.id);
  const fills = !take || isError ? NOTHING : outlines && fillingsOf(outlines, figures);
  const drawing = useMaskDrawing(mask, hue, figures, invert);
  const { canvas, canUndo, cover, cut } = drawing;
  const { brush, setBrush, erasing, setErasing, cursor, zoom, whole, onKey, onSheet } = useMaskTool(drawing);
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
  const fill = async ({ content }: Filling) => {
    try {
      const image = await maskImage(content);
      whole((d) => d.add(image));
      setByOutline(true);
      // a true outline needs no soft edge, which would leave a rim of what was there before
      if (feather === USUAL_FEATHER) setFeather(0);
    } catch (e) {
      tell((e as Error).message, { grave: true });
    }
  };
  const clear = () => {
    onClear?.();
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
          <MaskSheet {...{ picture, aspect, canvas, brush, cursor, zoom }} on={onSheet} />
          <MaskTools
            {...{ title, erasing, brush, feather, invert, plain, fills, busy }}
            cut={byOutline ? undefined : cut}
            onErasing={setErasing}
            onBrush={setBrush}
            onFeather={setFeather}
            onInvert={setInvert}
            onFill={(filling) => void fill(filling)}
            onAll={(every) => whole((d) => d.all(every))}
            onUndo={canUndo ? () => whole((d) => d.undo()) : undefined}
            acts={invert ? 1 - cover : cover}
            onSave={() => void save()}
            onClear={mask && onClear && clear}
          />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
