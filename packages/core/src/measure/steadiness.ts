import { blurPlane } from '../picture/filter';
import type { Picture } from '../picture/picture';
import { resample } from '../picture/resample';
import { seenThrough, type PictureWindow } from '../picture/window';
import { traitDistance } from '../traits/apart';
import type { TraitSheet } from '../traits/types';

/** Frames are compared at this width, px; finer strokes are grain, which nobody follows. */
const SIDE = 384;
/** Strokes are what is finer than this, px. */
const FINE = 4;

/** The strokes of a frame: its lightness without everything broad. */
const strokes = ({ width, height, planes: [L] }: Picture): Float32Array => {
  const broad = blurPlane(L, width, height, FINE);
  return L.map((v, i) => v - broad[i]);
};

/**
 * How much the strokes of a frame change into those of the next: mean difference over the mean strength of both, 0 for strokes
 * that stay where they are, about 1.4 for strokes that have nothing to do with each other. `window` is what of the frame before
 * stands where the next one is, in parts of its sides: a camera that moves is no change.
 */
export function strokeChange(before: Picture, after: Picture, window: PictureWindow): number {
  const b = resample(after, SIDE, Math.round((SIDE * after.height) / after.width));
  const { width: w, height: h } = b;
  const { x, y, width, height } = window;
  const k = before.width;
  const kv = before.height;
  const a = seenThrough(before, { x: x * k, y: y * kv, width: width * k, height: height * kv }, w, h);
  const [s, t] = [strokes(a), strokes(b)];
  let change = 0;
  let strength = 0;
  for (let v = 0, i = 0; v < h; v++)
    for (let u = 0; u < w; u++, i++) {
      const [px, py] = [x + ((u + 0.5) * width) / w, y + ((v + 0.5) * height) / h];
      if (px < 0 || py < 0 || px > 1 || py > 1) continue;
      change += Math.abs(t[i] - s[i]);
      strength += Math.abs(t[i]) + Math.abs(s[i]);
    }
  return strength > 0 ? (2 * change) / strength : 0;
}

/** How much a sequence changes from frame to frame. */
export interface Unsteadiness {
  /** Mean of {@link strokeChange}. */
  readonly strokes: number;
  /** Mean distance of what two frames show of whoever is seen; undefined where nobody can be told. */
  readonly identity?: number;
}

/** The mean identity change between frames that follow each other. */
export function identityChange(sheets: readonly TraitSheet[]): number | undefined {
  const steps = sheets.slice(1).flatMap((s, k) => traitDistance(sheets[k], s) ?? []);
  return steps.length ? steps.reduce((a, b) => a + b, 0) / steps.length : undefined;
}

/** How many times steadier one sequence is than another: strokes and identity, as far as both can be told; at most 99. */
export function timesSteadier(held: Unsteadiness, free: Unsteadiness): { strokes: number; identity?: number } {
  const times = (a: number, b: number) => Math.min(99, b / Math.max(a, 1e-4));
  return {
    strokes: times(held.strokes, free.strokes),
    identity:
      held.identity === undefined || free.identity === undefined ? undefined : times(held.identity, free.identity),
  };
}
