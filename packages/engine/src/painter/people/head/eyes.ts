import { clamp, mixLch, type Lch } from '@urbild/core';
import { ellipse, type Path, type Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { SkinTones } from './face';
import type { FigureFrame } from '../figure';
import type { HeadModel } from './headModel';
import type { FaceMotion } from '../person';

const DARK: Lch = [0.22, 0.045, 30];
/** Degrees between the middle of the face and an eye. */
const APART = 25.5;
/** Part of an eye that has to be seen for it to be painted. */
const SEEN = 0.22;

/** One eye: where it lies on the head, and how far it is open. Lengths are in head heights. */
interface Eye {
  readonly f: FigureFrame;
  readonly m: HeadModel;
  readonly motion: FaceMotion;
  readonly tones: SkinTones;
  readonly side: 1 | -1;
  /** Part of it that is seen, 0..1. */
  readonly visible: number;
  /** It is seen from the side. */
  readonly profile: boolean;
  readonly centre: Point;
  /** Half its height. */
  readonly hh: number;
  /** A point of the eye: -1 to 1 from left to right, then down. */
  at(u: number, w: number): Point;
}

/** Both eyes. */
export function paintEyes(f: FigureFrame, m: HeadModel, motion: FaceMotion, tones: SkinTones): void {
  const { eyes } = f.person;
  for (const side of [-1, 1] as const) {
    const visible = Math.cos(((side * APART * eyes.spacing + m.yaw) * Math.PI) / 180);
    if (visible < SEEN) continue;
    const centre = m.on(side * APART * eyes.spacing, 0.035, -0.012);
    const hw = 0.074 * eyes.size * Math.max(0.42, Math.min(1, visible * 1.04));
    const hh = 0.05 * eyes.size * (eyes.open ?? 1) * clamp(motion.lids, 0.12, 1.25);
    const at = (u: number, w: number): Point => {
      const p = m.offset(centre, u * hw, w);
      return [p[0], p[1] - u * hw * eyes.tilt * side * 1.2];
    };
    paintEye({ f, m, motion, tones, side, visible, profile: m.profile > 0.5, centre, hh, at });
  }
}

function paintEye(eye: Eye): void {
  const { f, motion } = eye;
  if (f.detail === 0 || (f.detail === 1 && f.head < 60)) return paintDot(eye);
  if (motion.lids < 0.35) return paintClosed(eye);
  const lids = lidsOf(eye);
  paintBall(eye, lids);
  paintLines(eye, lids);
  if (f.person.wrinkles && f.detail === 2) paintWrinkles(eye);
}

/** An eye from afar. */
function paintDot({ f, motion, visible, centre }: Eye): void {
  const { size } = f.person.eyes;
  const [x, y] = f.point([centre[0], centre[1] + 0.01]);
  const rx = f.head * 0.03 * size * Math.max(0.6, visible);
  const ry = f.head * 0.042 * size * Math.max(0.3, motion.lids);
  f.pen(REGION.eye).shape(ellipse(x, y, rx, ry, 0, 12), [0.2, 0.03, 30], { plain: true });
}

function paintClosed({ f, motion, at }: Eye): void {
  const arc = motion.arcs
    ? [at(-1, 0.016), at(-0.5, -0.018), at(0, -0.028), at(0.5, -0.018), at(1, 0.016)]
    : [at(-1, 0), at(0, 0.028), at(1, 0)];
  f.stroke(REGION.eye, arc, 0.022, [0.2, 0.04, 30], { taper: [0.2, 0.2] });
}

interface Lids {
  readonly upper: Path;
  readonly lower: Path;
}

/** The edges of both lids, from left to right. */
function lidsOf({ side, profile, hh, at }: Eye): Lids {
  const upper: Point[] = [];
  const lower: Point[] = [];
  for (let i = 0; i <= 10; i++) {
    if (profile) {
      const t = i / 10;
      upper.push(at(-1 + 2 * t, -hh * Math.pow(t, 0.55) * (t > 0.9 ? 0.86 : 1)));
      lower.push(at(-1 + 2 * t, hh * 0.7 * Math.pow(t, 0.8) * (t > 0.9 ? 0.8 : 1)));
    } else {
      const u = -1 + i / 5;
      const round = 1 - u * u;
      upper.push(at(u, -hh * Math.pow(round, 0.62) * (1 + u * 0.06 * side)));
      lower.push(at(u, hh * 0.62 * Math.pow(round, 0.8)));
    }
  }
  return { upper, lower };
}

/** White, iris, pupil, the shade of the upper lid and the light in it. */
function paintBall({ f, m, tones, visible, profile, centre, at }: Eye, { upper, lower }: Lids): void {
  const { eyes } = f.person;
  const { light } = f.scene;
  const pen = f.pen(REGION.eye);
  const white = f.flat(REGION.eye, [...upper, ...[...lower].reverse()], [0.955, 0.012, 80], { plain: true, volume: 0 });
  const iris: Point = profile ? at(0.45, -0.006) : [centre[0] + 0.008 * m.sin, centre[1] - 0.008];
  const [ix, iy] = f.point(iris);
  const radius = 0.0485 * eyes.size * f.head;
  const narrow = profile ? 0.5 : Math.max(0.62, visible);
  f.scene.inside(white, () => {
    pen.shape(ellipse(ix, iy, radius * narrow, radius * 1.04, 0, 26), eyes.colour, { plain: true });
    pen.shape(
      ellipse(ix, iy + radius * 0.28, radius * 0.8 * narrow, radius * 0.7, 0, 22),
      mixLch(eyes.colour, [0.9, 0.08, 100], 0.3),
      { plain: true, alpha: 0.6 },
    );
    pen.shape(ellipse(ix, iy, radius * 0.54 * narrow, radius * 0.56, 0, 20), [0.15, 0.02, 40], { plain: true });
    const shadow = [
      ...upper.map((q) => [q[0], q[1] + 0.02] as Point),
      ...[...upper].reverse().map((q) => [q[0], q[1] - 0.03] as Point),
    ];
    f.flat(REGION.eye, shadow, mixLch(tones.shade, [0.3, 0.05, 280], 0.4), { plain: true, alpha: 0.4 });
  });
  const spark = ellipse(
    ix - light.direction[0] * radius * 0.42,
    iy - radius * 0.4,
    f.head * 0.0125 * eyes.size,
    f.head * 0.014 * eyes.size,
    0,
    10,
  );
  f.pen(REGION.eye, true).shape(spark, [0.99, 0.01, 90], { plain: true });
}

/** Left of the eye lies its outer corner. */
const outerFirst = ({ side, profile }: Eye): boolean => side < 0 || profile;

/** The lines of the lids, and lashes. */
function paintLines(eye: Eye, { upper, lower }: Lids): void {
  const { f, side, profile, visible, tones } = eye;
  f.stroke(REGION.eye, upper, 0.021, DARK, {
    taper: [side < 0 && !profile ? 0.06 : 0.4, side > 0 || profile ? 0.06 : 0.4],
  });
  const first = outerFirst(eye);
  const corner = first ? upper[0] : upper[upper.length - 1];
  const lash: Point = [corner[0] + (first ? -1 : 1) * 0.022 * Math.max(0.5, visible), corner[1] - 0.012];
  if (f.person.eyes.lashes) f.stroke(REGION.eye, [corner, lash], 0.014, DARK, { taper: [0, 0.15] });
  if (f.detail < 2) return;
  f.stroke(REGION.skin, lower.slice(2, -2), 0.007, tones.line, { alpha: 0.55 });
  const crease = upper.map((q) => [q[0], q[1] - 0.021] as Point);
  f.stroke(REGION.skin, crease, 0.008, tones.line, { alpha: 0.5, taper: [0.35, 0.35] });
}

/** Under the eye, and at its outer corner. */
function paintWrinkles(eye: Eye): void {
  const { f, tones, hh, visible, at } = eye;
  const beyond = outerFirst(eye) ? -1 : 1;
  f.stroke(
    REGION.skin,
    [at(-0.9, 0.045 + hh * 0.3), at(0, 0.055 + hh * 0.5), at(0.9, 0.04 + hh * 0.3)],
    0.008,
    tones.line,
    { alpha: 0.5 },
  );
  if (visible > 0.4)
    for (const k of [-0.02, 0.015, 0.045])
      f.stroke(REGION.skin, [at(beyond * 1.15, k * 0.6), at(beyond * 1.5, k * 1.4)], 0.007, tones.line, {
        alpha: 0.45,
      });
}
