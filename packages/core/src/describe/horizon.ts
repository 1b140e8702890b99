import { blurPlane } from '../picture/filter';
import type { Picture } from '../picture/picture';
import { resamplePlane } from '../picture/resample';

/** The horizon of a picture as a part of its height, and how sure it is (0..1). */
export interface Horizon {
  readonly at: number;
  readonly confidence: number;
}

const SIDE = 64;

/**
 * Finds the horizon: the height at which lightness and colour change most at once across the whole width. A picture
 * without one (an abstract, a face) gets a low confidence.
 */
export function findHorizon({ width, height, planes }: Picture): Horizon {
  const small = planes.map((p) => blurPlane(resamplePlane(p, width, height, SIDE, SIDE), SIDE, SIDE, 1.2));
  let best = 0;
  let at = 0.5;
  for (let y = Math.round(SIDE * 0.2); y < SIDE * 0.8; y++) {
    let jump = 0;
    for (const plane of small) {
      let mean = 0;
      let spread = 0;
      for (let x = 0; x < SIDE; x++) {
        const d = plane[(y + 2) * SIDE + x] - plane[(y - 2) * SIDE + x];
        mean += d / SIDE;
        spread += (d * d) / SIDE;
      }
      // a step that all columns share counts, one that columns disagree on does not
      jump += mean * mean - 0.5 * Math.max(0, spread - mean * mean);
    }
    if (jump > best) {
      best = jump;
      at = (y + 0.5) / SIDE;
    }
  }
  return { at, confidence: Math.min(1, Math.sqrt(best) / 0.12) };
}
