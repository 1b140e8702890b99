import { clamp, lerp } from '@urbild/core';
import type { FigureFrame } from '../figure';
import type { TopKind } from '../person';

/** The measures of a trunk turned to a certain yaw, in figure units. */
export interface Trunk {
  readonly shoulders: number;
  /** Narrowing by the turn, 0..1. */
  readonly narrow: number;
  readonly sin: number;
  readonly cos: number;
  /** Seen from behind: no fastenings. */
  readonly back: boolean;
  readonly seated: boolean;
  /** x of the body's middle line at a height. */
  readonly middle: (y: number) => number;
  /** x of the front seam at a height. */
  readonly seam: (y: number) => number;
  readonly hem: number;
  /** Half the width at the hips. */
  readonly hips: number;
}

/** Height of the hips below the pit of the neck. */
export const HIPS = 1.75;

const CUT: Readonly<Record<TopKind, readonly [hem: number, hips: number]>> = {
  oilskin: [2.35, 0.66],
  coat: [2.75, 0.64],
  jacket: [1.9, 0.5],
  jumper: [1.75, 0.46],
  shirt: [1.72, 0.45],
  dress: [3.15, 0.7],
};

/** Measures the trunk of a figure whose body is turned by `bodyYaw` degrees and whose hips stand `hipShift` aside. */
export function trunkOf(f: FigureFrame, bodyYaw: number, hipShift: number, seated = false): Trunk {
  const { shoulders, girth: k, top } = f.person;
  const yaw = (bodyYaw * Math.PI) / 180;
  const sin = Math.sin(yaw);
  const cos = Math.abs(Math.cos(yaw));
  const back = Math.cos(yaw) < -0.2;
  const narrow = Math.hypot(cos, 0.72 * sin);
  const middle = (y: number) => lerp(0, hipShift, clamp(y / HIPS, 0, 1.3));
  const [hem, hips] = CUT[top.kind];
  return {
    shoulders: shoulders * Math.hypot(cos, 0.52 * sin),
    narrow,
    sin,
    cos,
    back,
    seated,
    middle,
    seam: (y) => middle(y) + (back ? -0.6 : 1) * sin * (0.34 + 0.08 * Math.sin(y * 1.4)) * k * 0.95,
    hem: seated ? Math.min(hem, 1.95) : hem,
    hips: (seated ? Math.min(hips, 0.52) : hips) * k * narrow,
  };
}
