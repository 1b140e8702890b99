import { clamp, lerp } from '@urbild/core';
import type { FigureFrame } from './figure';

/** The measures of a trunk turned to a certain yaw, in figure units. */
export interface Trunk {
  readonly shoulders: number;
  /** Narrowing by the turn, 0..1. */
  readonly narrow: number;
  readonly sin: number;
  readonly cos: number;
  /** x of the body's middle line at a height. */
  readonly middle: (y: number) => number;
  /** x of the front seam at a height. */
  readonly seam: (y: number) => number;
  readonly hem: number;
  /** Half the width at the hips. */
  readonly hips: number;
}

/** Measures the trunk of a figure whose body is turned by `bodyYaw` degrees and whose hips stand `hipShift` aside. */
export function trunkOf(f: FigureFrame, bodyYaw: number, hipShift: number): Trunk {
  const { shoulders, girth: k, coat } = f.person;
  const yaw = (bodyYaw * Math.PI) / 180;
  const sin = Math.sin(yaw);
  const cos = Math.cos(yaw);
  const narrow = Math.hypot(cos, 0.72 * sin);
  const middle = (y: number) => lerp(0, hipShift, clamp(y / 1.75, 0, 1.3));
  return {
    shoulders: shoulders * Math.hypot(cos, 0.52 * sin),
    narrow,
    sin,
    cos,
    middle,
    seam: (y) => middle(y) + sin * (0.34 + 0.08 * Math.sin(y * 1.4)) * k * 0.95,
    hem: coat.kind === 'jumper' ? 1.75 : coat.kind === 'shawl' ? 3.2 : 2.35,
    hips: (coat.kind === 'oilskin' ? 0.66 : coat.kind === 'shawl' ? 0.72 : 0.46) * k * narrow,
  };
}
