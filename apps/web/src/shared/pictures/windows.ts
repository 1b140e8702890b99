import type { FrameView } from '../../api/sequences';

/** The smallest part of a scene that a camera may see. */
export const CLOSEST = 0.4;

export const WHOLE: FrameView = { x: 0.5, y: 0.5, size: 1 };

/** A view that stays within the scene. */
export function within({ x, y, size }: FrameView): FrameView {
  const s = Math.min(1, Math.max(CLOSEST, size));
  const inside = (v: number) => Math.min(1 - s / 2, Math.max(s / 2, v));
  const round = (v: number) => Math.round(v * 1000) / 1000;
  return { x: round(inside(x)), y: round(inside(y)), size: round(s) };
}

/** Ready-made ways of a camera, from the words of a film set. */
export const WAYS: readonly { readonly name: string; readonly from: FrameView; readonly to: FrameView }[] = [
  { name: 'Come nearer', from: WHOLE, to: within({ x: 0.5, y: 0.58, size: 0.6 }) },
  { name: 'Step back', from: within({ x: 0.5, y: 0.58, size: 0.6 }), to: WHOLE },
  { name: 'Pass to the right', from: within({ x: 0, y: 0.5, size: 0.7 }), to: within({ x: 1, y: 0.5, size: 0.7 }) },
  { name: 'Pass to the left', from: within({ x: 1, y: 0.5, size: 0.7 }), to: within({ x: 0, y: 0.5, size: 0.7 }) },
  { name: 'Rise', from: within({ x: 0.5, y: 1, size: 0.7 }), to: within({ x: 0.5, y: 0, size: 0.7 }) },
];

/** How a sequence moves, in a few words. */
export function moveInWords(move: {
  readonly camera?: { readonly from: FrameView; readonly to: FrameView };
  readonly across?: number;
  readonly towards?: string;
}): string[] {
  const { camera, across, towards } = move;
  const out: string[] = [];
  if (camera) {
    const nearer = camera.to.size < camera.from.size - 0.01;
    const back = camera.to.size > camera.from.size + 0.01;
    const [dx, dy] = [camera.to.x - camera.from.x, camera.to.y - camera.from.y];
    const side = Math.abs(dx) > 0.05 ? (dx > 0 ? 'to the right' : 'to the left') : '';
    const up = Math.abs(dy) > 0.15 ? (dy < 0 ? 'up' : 'down') : '';
    out.push(
      ['the camera', nearer ? 'comes nearer' : back ? 'steps back' : 'passes', side, up].filter(Boolean).join(' '),
    );
  }
  if (across) out.push(`the first figure goes to the ${across > 0 ? 'right' : 'left'}`);
  if (towards) out.push(`the prompt becomes “${towards}”`);
  return out;
}
