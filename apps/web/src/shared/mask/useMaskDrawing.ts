import { useEffect, useRef, useState, type RefObject } from 'react';
import type { Take } from '../../api/client';
import type { MixMask } from '../../api/trials';
import { coverageOf, cutFigure } from './maskCover';
import { MaskDrawing } from './maskDrawing';

/** A mask under the brush, and what is known of it. */
export interface PaintedMask {
  readonly canvas: RefObject<HTMLCanvasElement | null>;
  /** Does something to the drawing. */
  readonly paint: (act: (drawing: MaskDrawing) => void) => void;
  /** Measures what is painted: after a stroke, not within it. */
  readonly measure: () => void;
  readonly canUndo: boolean;
  /** Part of the picture that is painted, 0..1. */
  readonly cover: number;
  /** Who is covered in part only. */
  readonly cut: string | undefined;
}

/** Paints on a canvas, beginning with the mask that is there. `invert` tells which side counts when somebody is cut. */
export function useMaskDrawing(
  mask: MixMask | undefined,
  hue: string,
  figures: Take['figures'],
  invert: boolean,
): PaintedMask {
  const canvas = useRef<HTMLCanvasElement>(null);
  const drawing = useRef<MaskDrawing | undefined>(undefined);
  const [canUndo, setCanUndo] = useState(false);
  const [pixels, setPixels] = useState<ImageData | undefined>(undefined);
  const own = () => (drawing.current ??= drawingOn(canvas.current!, hue));
  const measure = () => setPixels(own().pixels);
  const paint = (act: (d: MaskDrawing) => void) => {
    act(own());
    setCanUndo(own().canUndo);
  };
  useEffect(() => {
    if (!mask) return;
    const image = new Image();
    image.onload = () => {
      if (!canvas.current) return;
      const d = (drawing.current ??= drawingOn(canvas.current, hue));
      d.lay(image);
      setPixels(d.pixels);
    };
    image.src = `/api/v1/blobs/${mask.content}`;
    return () => {
      image.onload = null;
    };
  }, [mask, hue]);
  return {
    canvas,
    paint,
    measure,
    canUndo,
    cover: pixels ? coverageOf(pixels.data) : 0,
    cut: pixels && cutFigure(pixels.data, pixels.width, pixels.height, figures, invert),
  };
}

const drawingOn = (canvas: HTMLCanvasElement, hue: string): MaskDrawing =>
  new MaskDrawing(canvas.getContext('2d', { willReadFrequently: true })!, hue);
