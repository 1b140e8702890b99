import type { Frame } from './useMarquee';

/** The frame that is being drawn over pictures. */
export const DrawnFrame = ({ frame }: { readonly frame: Frame | undefined }) =>
  frame ? (
    <div
      aria-hidden
      className="pointer-events-none absolute z-10 border border-caption bg-caption/20"
      style={{ left: frame.left, top: frame.top, width: frame.width, height: frame.height }}
    />
  ) : null;
