import type { HTMLAttributes, RefObject } from 'react';
import { zoomStyle, type Zoom } from '../../parts/zoom';
import type { Place } from './maskDrawing';

/** Longer side of a mask, px. */
const SIDE = 512;

interface Props {
  /** What is painted on, if anything. */
  readonly picture: { readonly url: string; readonly alt: string } | undefined;
  readonly aspect: number;
  readonly canvas: RefObject<HTMLCanvasElement | null>;
  /** Width of the brush, px of the canvas at its whole size. */
  readonly brush: number;
  readonly cursor: Place;
  readonly zoom: Zoom;
  readonly on: Pick<
    HTMLAttributes<HTMLDivElement>,
    'onWheel' | 'onKeyUp' | 'onPointerDown' | 'onPointerMove' | 'onPointerUp'
  >;
}

/** The picture with the mask over it, and the brush. */
export function MaskSheet({ picture, aspect, canvas, brush, cursor, zoom, on }: Props) {
  const width = aspect >= 1 ? SIDE : Math.round(SIDE * aspect);
  const height = aspect >= 1 ? Math.round(SIDE / aspect) : SIDE;
  return (
    <div className="grid min-h-0 place-items-center overflow-hidden p-6" style={{ containerType: 'size' }}>
      <div
        role="application"
        tabIndex={0}
        aria-label="Picture to paint on: arrows move the brush, hold space to paint, E erases, brackets change the brush, Alt and arrows move the picture"
        data-testid="mask-canvas"
        className="relative cursor-crosshair touch-none overflow-hidden bg-black/20"
        style={{ aspectRatio: aspect, width: `min(100cqw, ${aspect * 100}cqh)` }}
        {...on}
      >
        <div className="absolute inset-0" style={zoomStyle(zoom)}>
          {picture && (
            <img src={picture.url} alt={picture.alt} draggable={false} className="absolute inset-0 h-full w-full" />
          )}
          <canvas ref={canvas} width={width} height={height} className="absolute inset-0 h-full w-full opacity-60" />
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
  );
}
