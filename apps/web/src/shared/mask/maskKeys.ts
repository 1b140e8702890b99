import type { Place } from './maskDrawing';

/** What a key does to a mask that is being painted. */
export type MaskAct =
  | { readonly does: 'move'; readonly by: Place }
  | { readonly does: 'undo' | 'paint' | 'eraser' }
  | { readonly does: 'brush'; readonly by: number };

/** A key as it was pressed. */
interface Key {
  readonly key: string;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
  readonly shiftKey: boolean;
}

/** How far a key moves the brush, part of the picture in sight; with Shift finely. */
const STEP = 0.03;
const FINE = 0.005;
/** By how much a key changes the brush, px. */
const WIDER = 8;

/** What a key stands for where a mask is painted; nothing for others. `scale` is how much larger the picture is shown. */
export function maskAct({ key, ctrlKey, metaKey, shiftKey }: Key, scale: number): MaskAct | undefined {
  if (ctrlKey || metaKey) return key.toLowerCase() === 'z' ? { does: 'undo' } : undefined;
  const by = (shiftKey ? FINE : STEP) / scale;
  switch (key) {
    case 'ArrowLeft':
      return { does: 'move', by: [-by, 0] };
    case 'ArrowRight':
      return { does: 'move', by: [by, 0] };
    case 'ArrowUp':
      return { does: 'move', by: [0, -by] };
    case 'ArrowDown':
      return { does: 'move', by: [0, by] };
    case ' ':
      return { does: 'paint' };
    case 'e':
    case 'E':
      return { does: 'eraser' };
    case '[':
      return { does: 'brush', by: -WIDER };
    case ']':
      return { does: 'brush', by: WIDER };
    default:
      return undefined;
  }
}
