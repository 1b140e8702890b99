import { adjustLch, mixLch } from '@urbild/core';
import type { Point } from '../geometry/point';
import { REGION } from '../scene/region';
import type { FigureFrame } from './figure';

/** A fold in the cloth of the top. */
export function fold(f: FigureFrame, points: Point[], alpha: number): void {
  f.stroke(
    REGION.garment,
    points,
    0.02,
    mixLch(adjustLch(f.person.top.colour, -0.15, 1, -6), f.scene.light.shadow, 0.2),
    {
      alpha,
      taper: [0.3, 0.4],
    },
  );
}
