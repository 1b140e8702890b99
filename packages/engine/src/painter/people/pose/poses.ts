import type { Action } from '@urbild/core';
import type { FigureFrame } from '../figure';
import { paintOar, paintPole } from './heldThings';
import type { ArmPose, LegPose } from './limbs';
import { HIPS } from './trunk';

/** How a body is held: targets for hands and feet, and what the hands hold. Figure units. */
export interface Pose {
  readonly legs: readonly LegPose[];
  readonly far: ArmPose;
  readonly near: ArmPose;
  /** Leaning of the upper body against the hips. */
  readonly lean: number;
  /** From the pit of the neck down to what carries the body: soles, or seat. */
  readonly base: number;
  /** The thighs lie before the body, which needs no long skirts then. */
  readonly seated?: boolean;
  /** Roll of the head in degrees: negative looks up. */
  readonly nod?: number;
  readonly asleep?: boolean;
  /** Drawn behind both arms. */
  readonly behind?: (f: FigureFrame) => void;
}

/** How the body is turned: sine and cosine of its yaw. */
export interface Turn {
  readonly sin: number;
  readonly cos: number;
}

const STANDING: readonly LegPose[] = [
  { hip: [0.18, 0], foot: [0.3, 3.83], bend: -1, toe: 1 },
  { hip: [-0.18, 0], foot: [-0.2, 3.845], bend: -1, toe: 1 },
];

/** From the pit of the neck to the soles, in head heights. */
export const SOLES = 3.96;
/** Height of a seat above the ground, in head heights. */
export const SEAT = 1.12;

const STAND: Pose = {
  legs: STANDING,
  far: { hand: [0.66, 1.72], bend: -1 },
  near: { hand: [-0.6, 1.74], bend: 1, side: -1 },
  lean: 0.02,
  base: SOLES,
};

/** Legs of somebody who sits: thighs forward, shins down. */
function sittingLegs({ sin, cos }: Turn): LegPose[] {
  const forward = Math.abs(sin);
  const leg = (x: number, ahead: number): LegPose => {
    const knee = [x * (1 + 0.25 * cos) + ahead * forward, HIPS + 0.06 + 0.3 * Math.max(0, cos)] as const;
    return { hip: [x * 0.8, 0], knee, foot: [knee[0] + 0.02, knee[1] + 0.98], bend: -1, toe: Math.max(0.5, forward) };
  };
  return [leg(0.24, 1), leg(-0.24, 0.92)];
}

const sitting = (turn: Turn): Pose => ({
  ...STAND,
  legs: sittingLegs(turn),
  far: { hand: [0.3 + 0.62 * Math.abs(turn.sin), 1.55], bend: -1, grip: true },
  near: { hand: [-0.3 + 0.72 * Math.abs(turn.sin), 1.58], bend: 1, side: -1, grip: true },
  lean: -0.03,
  base: HIPS + 0.26,
  seated: true,
});

/** Sitting on the ground with the knees drawn up. */
const sittingLow = (turn: Turn): Pose => {
  const forward = Math.max(0.4, Math.abs(turn.sin));
  const leg = (x: number, ahead: number): LegPose => ({
    hip: [x * 0.8, 0],
    knee: [x * 1.3 + 0.72 * ahead * forward, HIPS - 0.42],
    foot: [x * 1.2 + 1.25 * ahead * forward, HIPS + 0.2],
    bend: -1,
    toe: 1,
  });
  return {
    ...sitting(turn),
    legs: [leg(0.22, 1), leg(-0.22, 0.92)],
    far: { hand: [0.45 + 0.6 * forward, 1.32], bend: -1, grip: true },
    near: { hand: [0.2 + 0.62 * forward, 1.36], bend: 1, side: -1, grip: true },
    base: HIPS + 0.3,
  };
};

const kneeling = ({ sin }: Turn): Pose => {
  const s = Math.max(0.35, Math.abs(sin));
  return {
    ...STAND,
    legs: [
      { hip: [0.16, 0], knee: [0.2 + 0.75 * s, HIPS + 0.1], foot: [0.3 + 0.62 * s, HIPS + 1.02], bend: -1, toe: 1 },
      {
        hip: [-0.14, 0],
        knee: [-0.2 + 0.25 * s, HIPS + 0.95],
        foot: [-0.25 - 0.75 * s, HIPS + 0.98],
        bend: -1,
        toe: -0.6,
      },
    ],
    far: { hand: [0.95, 1.35], bend: 1, side: 1 },
    near: { hand: [0.62, 1.5], bend: 1, side: -1 },
    lean: 0.14,
    base: HIPS + 1.12,
    seated: true,
  };
};

/** The middle of a step. */
const WALK: Pose = {
  ...STAND,
  legs: [
    { hip: [0.12, 0], foot: [-0.62, 3.62], bend: -1, toe: 0.9 },
    { hip: [-0.1, 0], foot: [0.62, 3.8], bend: -1, toe: 1 },
  ],
  lean: 0.08,
  far: { hand: [0.98, 1.4], bend: 1, grip: true },
  near: { hand: [-0.74, 1.62], bend: -1, side: 1, grip: true },
};

/**
 * Walking, at a moment of the stride: 0 and 1 are the same. Each foot goes back on the ground and forward through the air; the
 * arms swing against the legs.
 */
function striding(phase: number): Pose {
  const swing = (p: number) => Math.cos(2 * Math.PI * p);
  const lift = (p: number) => Math.max(0, -Math.sin(2 * Math.PI * p));
  const leg = (hip: number, p: number): LegPose => ({
    hip: [hip, 0],
    foot: [0.62 * swing(p), 3.83 - 0.3 * lift(p)],
    bend: -1,
    toe: 1,
  });
  const hand = (p: number, forward: number, back: number): [number, number] => {
    const s = swing(p);
    return [s > 0 ? forward * s : back * -s, 1.72 - 0.2 * Math.abs(s)];
  };
  return {
    ...WALK,
    legs: [leg(0.12, phase + 0.5), leg(-0.1, phase)],
    far: { hand: hand(phase, 0.98, -0.5), bend: 1, grip: true },
    near: { hand: hand(phase + 0.5, 0.7, -0.74), bend: swing(phase + 0.5) > 0 ? 1 : -1, side: 1, grip: true },
  };
}

/** What somebody sits on. */
export type Seat = 'raised' | 'ground';

/** The pose for an action, for a body that is turned so. */
export function poseFor(action: Action, turn: Turn, seat: Seat = 'raised', stride?: number): Pose {
  const seated = seat === 'ground' ? sittingLow : sitting;
  switch (action) {
    case 'walk':
      return stride === undefined ? WALK : striding(stride);
    case 'run':
      return {
        ...STAND,
        legs: [
          { hip: [0.1, 0], foot: [-1.12, 2.95], bend: -1, toe: 0.5 },
          { hip: [-0.1, 0], foot: [0.86, 3.6], bend: -1, toe: 1 },
        ],
        lean: 0.26,
        base: 3.82,
        far: { hand: [1.08, 0.86], bend: 1, grip: true },
        near: { hand: [-0.82, 1.2], bend: -1, side: 1, grip: true },
      };
    case 'sit':
      return seated(turn);
    case 'sleep':
      return { ...seated(turn), nod: 16, asleep: true };
    case 'row':
      return {
        ...sitting(turn),
        lean: 0.1,
        far: { hand: [1.05, 0.92], bend: 1, grip: true },
        near: { hand: [0.86, 1.02], bend: 1, side: -1, grip: true },
        behind: (f) => paintOar(f, [1.0, 0.95]),
      };
    case 'kneel':
      return kneeling(turn);
    case 'wave':
      return { ...STAND, far: { hand: [1, -0.85], bend: 1, side: -1 } };
    case 'point':
      return { ...STAND, far: { hand: [1.5, -0.08], bend: 1, grip: true, pointing: true } };
    case 'hold':
      return { ...STAND, far: { hand: [1.2, 0.72], bend: 1, grip: true } };
    case 'carry':
      return {
        ...STAND,
        far: { hand: [0.72, 1.16], bend: 1, grip: true, side: 1 },
        near: { hand: [0.05, 1.26], bend: 1, side: -1, grip: true },
      };
    case 'read':
      return {
        ...STAND,
        far: { hand: [0.66, 1.02], bend: 1, grip: true, side: 1 },
        near: { hand: [0.02, 1.12], bend: 1, side: -1, grip: true },
        nod: 5,
      };
    case 'look up':
      return { ...STAND, nod: -13, far: { hand: [0.62, 1.7], bend: -1 } };
    case 'lean':
      return {
        ...STAND,
        legs: [
          { hip: [0.2, 0], foot: [-0.3, 3.82], bend: -1, toe: 1 },
          { hip: [-0.16, 0], foot: [-0.62, 3.84], bend: -1, toe: 1 },
        ],
        lean: 0.2,
        far: { hand: [1.02, 1.66], bend: -1, grip: true },
        near: { hand: [-0.42, 1.72], bend: 1, side: -1 },
      };
    case 'pole':
      return {
        ...STAND,
        legs: [
          { hip: [0.2, 0], foot: [0.52, 3.76], bend: -1, toe: 1 },
          { hip: [-0.2, 0], foot: [-0.4, 3.82], bend: -1, toe: 1 },
        ],
        lean: 0.1,
        far: { hand: [0.8, 0.02], bend: 1, grip: true },
        near: { hand: [0.46, 1], bend: 1, side: -1, grip: true },
        behind: (f) => paintPole(f, [0.8, 0.02], [0.46, 1]),
      };
    default:
      return STAND;
  }
}
