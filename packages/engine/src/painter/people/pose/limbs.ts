import { adjustLch, clamp, lerp, mixLch, type Lch } from '@urbild/core';
import { capsule } from '../../geometry/curve';
import type { Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';

/** A hand's target and how the arm gets there. */
export interface ArmPose {
  readonly hand: Point;
  /** Which way the elbow bends: 1 or -1. */
  readonly bend: 1 | -1;
  readonly grip?: boolean;
  /** The first finger points. */
  readonly pointing?: boolean;
  /** Thumb side. */
  readonly side?: 1 | -1;
  /** The arm lies behind the body. */
  readonly behind?: boolean;
}

/** A foot's target. */
export interface LegPose {
  readonly hip: Point;
  /** The knee where it is foreshortened; found from hip and foot otherwise. */
  readonly knee?: Point;
  readonly foot: Point;
  readonly bend: 1 | -1;
  readonly toe: number;
  /** A skirt lies over the thigh. */
  readonly draped?: boolean;
}

/**
 * Two-bone inverse kinematics: the joint between `from` and `to` for bones of two lengths (law of cosines). A target out
 * of reach is brought into it.
 */
export function bendLimb(
  from: Point,
  to: Point,
  upper: number,
  lower: number,
  bend: 1 | -1,
): [joint: Point, end: Point] {
  let dx = to[0] - from[0];
  let dy = to[1] - from[1];
  let distance = Math.hypot(dx, dy);
  const reach = (upper + lower) * 0.995;
  if (distance > reach) {
    dx *= reach / distance;
    dy *= reach / distance;
    distance = reach;
  }
  const end: Point = [from[0] + dx, from[1] + dy];
  const d = Math.max(distance, Math.abs(upper - lower) * 1.05 + 0.01);
  const cosine = (upper * upper + d * d - lower * lower) / (2 * upper * d);
  const angle = Math.atan2(dy, dx) + bend * Math.acos(clamp(cosine, -1, 1));
  return [[from[0] + Math.cos(angle) * upper, from[1] + Math.sin(angle) * upper], end];
}

const between = (a: Point, b: Point, t: number): Point => [lerp(a[0], b[0], t), lerp(a[1], b[1], t)];

/** An arm in its sleeve, with the hand under the cuff. */
export function paintArm(f: FigureFrame, shoulder: Point, pose: ArmPose, sleeve: Lch): void {
  const k = f.person.girth;
  const [elbow, hand] = bendLimb(shoulder, pose.hand, 0.82, 0.78, pose.bend);
  const cuff = between(elbow, hand, 0.9);
  paintHand(f, hand, Math.atan2(hand[1] - elbow[1], hand[0] - elbow[0]), pose);
  f.shape(
    REGION.garment,
    capsule(
      [
        [shoulder[0] * 0.62, shoulder[1] - 0.1],
        [shoulder[0] * 0.98, shoulder[1]],
        between(shoulder, elbow, 0.4),
        elbow,
        cuff,
      ],
      [0.16, 0.33, 0.37, 0.325, 0.3].map((w) => w * k),
      0.06,
    ),
    sleeve,
    { strokes: Math.atan2(elbow[1] - shoulder[1], elbow[0] - shoulder[0]), shade: 1.3 },
  );
  if (!f.detail) return;
  const length = Math.hypot(hand[0] - elbow[0], hand[1] - elbow[1]) || 1;
  const ux = (hand[0] - elbow[0]) / length;
  const uy = (hand[1] - elbow[1]) / length;
  const w = 0.175 * k;
  const back: Point = [cuff[0] - ux * 0.06, cuff[1] - uy * 0.06];
  const tip: Point = [cuff[0] + ux * 0.07, cuff[1] + uy * 0.07];
  f.shape(
    REGION.garment,
    [
      [back[0] - uy * w, back[1] + ux * w, 1],
      [back[0] + uy * w, back[1] - ux * w, 1],
      [tip[0] + uy * w * 1.02, tip[1] - ux * w * 1.02, 1],
      [tip[0] - uy * w * 1.02, tip[1] + ux * w * 1.02, 1],
    ],
    adjustLch(sleeve, 0.03),
    { strokes: Math.atan2(uy, ux) + 1.57 },
  );
  const across = Math.atan2(elbow[1] - shoulder[1], elbow[0] - shoulder[0]) + 1.3;
  const fold = (at: Point, a: number, l: number) =>
    f.stroke(
      REGION.garment,
      [
        [at[0] - Math.cos(a) * l, at[1] - Math.sin(a) * l],
        [at[0] + 0.02, at[1]],
        [at[0] + Math.cos(a) * l, at[1] + Math.sin(a) * l],
      ],
      0.014,
      mixLch(adjustLch(sleeve, -0.16), f.scene.light.shadow, 0.2),
      { alpha: 0.6, taper: [0.4, 0.4] },
    );
  fold(between(shoulder, elbow, 0.9), across, 0.09);
  fold(between(elbow, hand, 0.14), across + 0.4, 0.08);
  fold(between(shoulder, elbow, 0.7), across - 0.2, 0.06);
}

function paintHand(f: FigureFrame, at: Point, angle: number, { grip, pointing, side = 1 }: ArmPose): void {
  const { skin } = f.person;
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  const P = (u: number, v: number): Point => [at[0] + c * u - s * v * side, at[1] + s * u + c * v * side];
  const style = { texture: 0.3, rim: 0.6, line: 0.9 };
  const finger = (points: Point[], widths: number[]) =>
    f.shape(REGION.skin, capsule(points, widths, 0.03), adjustLch(skin, 0.008), { ...style, texture: 0, line: 0.75 });
  if (!f.detail) {
    f.shape(REGION.skin, [P(-0.06, -0.08), P(0.1, -0.1), P(0.2, 0), P(0.1, 0.1), P(-0.06, 0.08)], skin, style);
  } else if (grip) {
    f.shape(
      REGION.skin,
      [P(-0.1, -0.075), P(0.04, -0.1), P(0.14, -0.09), P(0.17, 0.02), P(0.12, 0.1), P(-0.02, 0.1), P(-0.1, 0.07)],
      skin,
      style,
    );
    for (let i = 0; i < 4; i++) finger([P(i * 0.048, -0.085), P(i * 0.048 + 0.022, 0.075)], [0.06, 0.058]);
    finger([P(-0.06, -0.06), P(0.03, -0.105), P(0.12, -0.085)], [0.06, 0.065, 0.05]);
    if (pointing) finger([P(0.04, -0.07), P(0.34, -0.075)], [0.06, 0.048]);
  } else {
    f.shape(
      REGION.skin,
      [P(-0.1, -0.075), P(0.06, -0.1), P(0.14, -0.08), P(0.15, 0.08), P(0.04, 0.09), P(-0.1, 0.07)],
      skin,
      style,
    );
    for (const [v, l, spread] of [
      [-0.068, 0.13, -0.01],
      [-0.025, 0.16, 0],
      [0.02, 0.15, 0.01],
      [0.06, 0.12, 0.03],
    ])
      finger([P(0.11, v), P(0.13 + l, v + spread)], [0.055, 0.045]);
    finger([P(-0.02, -0.07), P(0.06, -0.14), P(0.13, -0.15)], [0.065, 0.058, 0.045]);
  }
}

/** A leg in its trouser, short or stocking, with a boot, a shoe or bare. */
export function paintLeg(f: FigureFrame, pose: LegPose): void {
  const { girth: k, bottom, feet, skin } = f.person;
  const [knee, ankle] = pose.knee ? [pose.knee, pose.foot] : bendLimb(pose.hip, pose.foot, 1.05, 1.05, pose.bend);
  const bareLegs = bottom.kind !== 'trousers';
  const boots = feet.kind === 'boots';
  const tights = bottom.kind === 'skirt' && feet.kind !== 'bare';
  const cloth = bareLegs ? (tights ? mixLch(bottom.colour, [0.3, 0.03, 280], 0.6) : skin) : bottom.colour;
  const region = bareLegs && !tights ? REGION.skin : REGION.legwear;
  f.shape(
    region,
    capsule([pose.hip, knee, between(knee, ankle, 0.97)], [0.46 * k, 0.36 * k, (bareLegs ? 0.25 : 0.31) * k], 0.06),
    cloth,
    { strokes: 1.5, shade: 1.2 },
  );
  if (bottom.kind === 'shorts')
    f.shape(
      REGION.legwear,
      capsule([pose.hip, between(pose.hip, knee, 0.85)], [0.5 * k, 0.48 * k], 0.06),
      bottom.colour,
      { strokes: 1.5, shade: 1.2 },
    );
  if (pose.draped)
    f.shape(
      REGION.legwear,
      capsule(
        [[pose.hip[0], pose.hip[1] - 0.06], between(pose.hip, knee, 0.5), [knee[0] + 0.03, knee[1] + 0.16]],
        [0.62 * k, 0.64 * k, 0.6 * k],
        0.06,
      ),
      bottom.colour,
      { strokes: 0.4, shade: 1.2 },
    );
  const length = Math.hypot(ankle[0] - knee[0], ankle[1] - knee[1]) || 1;
  const nx = -(ankle[1] - knee[1]) / length;
  const ny = (ankle[0] - knee[0]) / length;
  const [ax, ay] = ankle;
  const d = pose.toe;
  const top = between(knee, ankle, boots ? 0.38 : 0.9);
  const w = (boots ? 0.19 : 0.14) * k;
  const bare = feet.kind === 'bare';
  f.shape(
    bare ? REGION.skin : REGION.footwear,
    [
      [top[0] + nx * w, top[1] + ny * w, 1],
      [top[0] - nx * w, top[1] - ny * w, 1],
      [ax - nx * 0.14, ay - ny * 0.14 - 0.05],
      [ax + d * (bare ? 0.28 : 0.34), ay + 0.02],
      [ax + d * (bare ? 0.31 : 0.36), ay + 0.13, 1],
      [ax - d * 0.14, ay + 0.13, 1],
      [ax + nx * 0.14, ay + ny * 0.14 - 0.05],
    ],
    bare ? skin : feet.colour,
    { strokes: 1.5, shade: 1.2 },
  );
  if (f.detail && boots)
    f.stroke(
      REGION.footwear,
      [
        [top[0] + nx * w, top[1] + ny * w],
        [top[0] - nx * w, top[1] - ny * w],
      ],
      0.03,
      adjustLch(feet.colour, 0.08),
      { taper: [0, 0] },
    );
}
