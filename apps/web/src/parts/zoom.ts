import { useCallback, useState, type KeyboardEvent, type PointerEvent, type WheelEvent } from 'react';
import { clamp } from '@urbild/core';

/** A view into a picture: how much larger, and which point (0..1) lies in the middle. */
export interface Zoom {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

export const WHOLE: Zoom = { scale: 1, x: 0.5, y: 0.5 };
const MOST = 12;

/** A zoom that shows nothing beyond the edges of the picture. */
export function within({ scale, x, y }: Zoom): Zoom {
  const k = clamp(scale, 1, MOST);
  const half = 0.5 / k;
  return { scale: k, x: clamp(x, half, 1 - half), y: clamp(y, half, 1 - half) };
}

/** Zooms by a factor so that the point (u, v) of the frame (0..1) stays where it is. */
export function zoomAt(z: Zoom, factor: number, u = 0.5, v = 0.5): Zoom {
  const scale = clamp(z.scale * factor, 1, MOST);
  const move = (at: number, part: number) => at + (part - 0.5) * (1 / z.scale - 1 / scale);
  return within({ scale, x: move(z.x, u), y: move(z.y, v) });
}

/** Where a point of the picture lies in the frame: parts of it, beyond 0..1 where it is not seen. */
export const inFrame = (z: Zoom, x: number, y: number): readonly [number, number] => [
  0.5 + z.scale * (x - z.x),
  0.5 + z.scale * (y - z.y),
];

/** Which point of the picture, 0..1, lies at a point of the frame. */
export const inPicture = (z: Zoom, u: number, v: number): readonly [number, number] => [
  clamp(z.x + (u - 0.5) / z.scale, 0, 1),
  clamp(z.y + (v - 0.5) / z.scale, 0, 1),
];

/** The style that shows a picture through a zoom, inside a frame that hides what overflows. */
export const zoomStyle = ({ scale, x, y }: Zoom): { transform: string; transformOrigin: string } => ({
  transform: `scale(${scale}) translate(${(0.5 - x) * 100}%, ${(0.5 - y) * 100}%)`,
  transformOrigin: 'center',
});

/** A zoom that is moved by wheel, drag and keys (+, -, 0, arrows); several pictures may share it. */
export function useZoom() {
  const [zoom, setZoom] = useState<Zoom>(WHOLE);
  const isZoomed = zoom.scale > 1;
  const onWheel = useCallback((e: WheelEvent) => {
    const box = e.currentTarget.getBoundingClientRect();
    const factor = Math.exp(-e.deltaY * 0.002);
    const [u, v] = [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height];
    setZoom((z) => zoomAt(z, factor, u, v));
  }, []);
  const onPointerMove = useCallback((e: PointerEvent) => {
    if (!(e.buttons & 1)) return;
    const box = e.currentTarget.getBoundingClientRect();
    const [dx, dy] = [e.movementX / box.width, e.movementY / box.height];
    setZoom((z) => within({ scale: z.scale, x: z.x - dx / z.scale, y: z.y - dy / z.scale }));
  }, []);
  const onKeyDown = useCallback(
    (e: KeyboardEvent) => {
      const step = (dx: number, dy: number) => (z: Zoom) =>
        within({ scale: z.scale, x: z.x + (0.1 * dx) / z.scale, y: z.y + (0.1 * dy) / z.scale });
      const moves: Record<string, (z: Zoom) => Zoom> = {
        '+': (z) => zoomAt(z, 1.25),
        '=': (z) => zoomAt(z, 1.25),
        '-': (z) => zoomAt(z, 0.8),
        '0': () => WHOLE,
        ArrowLeft: step(-1, 0),
        ArrowRight: step(1, 0),
        ArrowUp: step(0, -1),
        ArrowDown: step(0, 1),
      };
      const move = moves[e.key];
      // the whole picture has nowhere to go: then arrows are for whoever holds it
      if (!move || e.ctrlKey || e.metaKey || (!isZoomed && e.key.startsWith('Arrow'))) return;
      e.preventDefault();
      setZoom(move);
    },
    [isZoomed],
  );
  return { zoom, setZoom, handlers: { onWheel, onPointerMove, onKeyDown } };
}
