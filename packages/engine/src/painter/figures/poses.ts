import type { Action } from '@urbild/core';
import type { FigureFrame } from './figure';
import { paintLantern, paintLetter, paintPole } from './heldThings';
import type { ArmPose, LegPose } from './limbs';

/** How a body is held: targets for hands and feet, and what the hands hold. Figure units. */
export interface Pose {
  readonly legs: readonly LegPose[];
  readonly far: ArmPose;
  readonly near: ArmPose;
  /** Leaning of the upper body against the hips. */
  readonly lean: number;
  /** Held things, drawn behind both arms, between them, and before everything. */
  readonly behind?: (f: FigureFrame) => void;
  readonly between?: (f: FigureFrame) => void;
}

const STANDING: readonly LegPose[] = [
  { hip: [0.18, 0], foot: [0.3, 3.83], bend: -1, toe: 1 },
  { hip: [-0.18, 0], foot: [-0.2, 3.845], bend: -1, toe: 1 },
];

/** From the pit of the neck to the soles, in head heights. */
export const SOLES = 3.96;

export const POSES: Readonly<Record<Action, Pose>> = {
  stand: {
    legs: STANDING,
    far: { hand: [0.66, 1.72], bend: -1 },
    near: { hand: [-0.6, 1.74], bend: 1, side: -1 },
    lean: 0.02,
  },
  walk: {
    legs: [
      { hip: [0.12, 0], foot: [-0.62, 3.62], bend: -1, toe: 0.9 },
      { hip: [-0.1, 0], foot: [0.62, 3.8], bend: -1, toe: 1 },
    ],
    lean: 0.08,
    far: { hand: [0.98, 1.4], bend: 1, grip: true },
    near: { hand: [-0.74, 1.62], bend: -1, side: 1, grip: true },
  },
  wave: {
    legs: STANDING,
    far: { hand: [1, -0.85], bend: 1, side: -1 },
    near: { hand: [-0.6, 1.7], bend: 1, side: -1 },
    lean: 0.02,
  },
  'hold a lantern': {
    legs: STANDING,
    far: { hand: [1.45, 0.42], bend: 1, grip: true },
    near: { hand: [-0.62, 1.7], bend: 1, side: -1 },
    lean: 0.02,
    between: (f) => paintLantern(f, [1.5, 0.5], 1.05),
  },
  read: {
    legs: STANDING,
    far: { hand: [0.66, 1.02], bend: 1, grip: true, side: 1 },
    near: { hand: [0.02, 1.12], bend: 1, side: -1, grip: true },
    lean: 0.02,
    between: (f) => paintLetter(f, [0.38, 0.78], -0.06, 1.12),
  },
  pole: {
    legs: [
      { hip: [0.2, 0], foot: [0.52, 3.76], bend: -1, toe: 1 },
      { hip: [-0.2, 0], foot: [-0.4, 3.82], bend: -1, toe: 1 },
    ],
    lean: 0.1,
    far: { hand: [0.8, 0.02], bend: 1, grip: true },
    near: { hand: [0.46, 1], bend: 1, side: -1, grip: true },
    behind: (f) => paintPole(f, [0.8, 0.02], [0.46, 1]),
  },
};
