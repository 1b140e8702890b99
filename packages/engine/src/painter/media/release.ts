import type { Canvas } from '@napi-rs/canvas';

/**
 * Gives the pixels of canvases back at once: the collector does not see how large they are and comes late. What others still have
 * to draw of them must have been drawn.
 */
export function releaseCanvas(...canvases: readonly Canvas[]): void {
  for (const canvas of canvases) canvas.width = canvas.height = 1;
}
