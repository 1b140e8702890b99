import { adjustLch, mixLch, type Expression } from '@urbild/core';
import { spline } from '../geometry/curve';
import type { Point } from '../geometry/point';
import { REGION } from '../stage/region';
import type { Scene } from '../stage/scene';
import { FigureFrame } from './figure';
import { paintCollar, paintTrunk } from './garments';
import { paintSatchel } from './satchel';
import { trunkOf } from './trunk';
import { paintHead } from './head';
import { paintPlait } from './plait';
import { paintArm, paintLeg, type ArmPose } from './limbs';
import type { Person } from './person';
import type { Pose } from './poses';

/** Where and how a person is painted. */
export interface PersonPlace {
  /** The pit of the neck, px. */
  readonly x: number;
  readonly y: number;
  /** Height of the head, px. */
  readonly head: number;
  readonly depth: number;
  /** Turn of the head, 0 front .. 90 profile; the body turns a little less. */
  readonly yaw: number;
  /** Faces left. */
  readonly flip?: boolean;
  readonly expression: Expression;
  /** Head and shoulders only: no legs, no bag. */
  readonly portrait?: boolean;
}

/** Paints a person in a pose. */
export function paintPerson(scene: Scene, person: Person, place: PersonPlace, pose?: Pose): void {
  const f = new FigureFrame(scene, person, place.x, place.y, place.head, place.depth, !!place.flip);
  const { coat, girth } = person;
  const bodyYaw = place.yaw > 60 ? 70 : place.yaw * 0.85;
  const t = trunkOf(f, bodyYaw, -(pose?.lean ?? 0));
  const resting = restingArms(person, t.sin, t.cos);
  const far = pose?.far ?? resting.far;
  const nearPose = pose?.near ?? resting.near;
  const near = coat.kind === 'shawl' ? { ...nearPose, behind: true } : nearPose;
  const shoulderNear: Point = [-person.shoulders * t.cos * 0.8, 0.2];
  const shoulderFar: Point = [person.shoulders * t.cos * 0.82 + 0.06 * t.sin, 0.2];
  const headAt = {
    x: 0.1 * Math.sin((place.yaw * Math.PI) / 180) * 0.6 + (pose?.lean ?? 0) * 0.25,
    y: -0.6,
    yaw: place.yaw,
    roll: 0,
  };

  if (!place.portrait)
    pose?.legs.forEach((leg) => paintLeg(f, { ...leg, hip: [t.middle(1.75) + leg.hip[0], 1.75 + leg.hip[1]] }));
  pose?.behind?.(f);
  paintArm(f, shoulderFar, far, mixLch(coat.colour, scene.light.shadow, 0.1));
  if (near.behind) paintArm(f, shoulderNear, near, coat.colour);
  paintHood(f, t.narrow, t.sin);
  paintNeck(f, headAt.x - 0.1 * Math.sin((place.yaw * Math.PI) / 180), t.sin);
  paintTrunk(f, t);
  if (person.satchel) paintSatchel(f, t, person.satchel, !place.portrait);
  paintCollar(f, t);
  pose?.between?.(f);
  if (!near.behind) paintArm(f, shoulderNear, near, coat.colour);
  if (person.hair.style === 'plait') paintPlait(f, plaitPath(headAt, t.narrow * girth, t.sin), 0.2);
  paintHead(f, headAt, place.expression);
}

function restingArms(person: Person, sin: number, cos: number): { far: ArmPose; near: ArmPose } {
  return {
    far: { hand: [(person.shoulders + 0.12) * Math.max(0.3, cos), 1.76], bend: -1, side: 1 },
    near: {
      hand: [-(person.shoulders + 0.14) * Math.max(0.1, cos) + 0.16 * sin, 1.76],
      bend: 1,
      side: -1,
      behind: Math.abs(sin) < 0.3,
    },
  };
}

function plaitPath(head: { x: number; y: number; yaw: number }, cw: number, sin: number): Point[] {
  const s = Math.sin((head.yaw * Math.PI) / 180);
  const c = Math.cos((head.yaw * Math.PI) / 180);
  const root: Point = [head.x - 0.27 * c - 0.2 * s, head.y + 0.16];
  return head.yaw > 60
    ? [root, [root[0] - 0.02, root[1] + 0.32], [root[0] + 0.02, 0.05], [-0.24, 0.55], [-0.2, 1]]
    : [
        root,
        [root[0] - 0.05, root[1] + 0.26],
        [-0.4 * cw, 0.05],
        [-0.4 * cw + 0.04 * sin, 0.5],
        [-0.36 * cw + 0.06 * sin, 0.98],
      ];
}

/** The hood of an oilskin, hanging behind the neck. */
function paintHood(f: FigureFrame, cw: number, sin: number): void {
  const { coat } = f.person;
  if (coat.kind !== 'oilskin') return;
  const dark = mixLch(adjustLch(coat.colour, -0.13, 1, -8), f.scene.light.shadow, 0.12);
  f.shape(
    REGION.garment,
    [
      [-0.4 * cw - 0.12 * sin, -0.08],
      [-0.3 * cw - 0.2 * sin, -0.24],
      [-0.05 - 0.2 * sin, -0.3],
      [0.28 * cw - 0.12 * sin, -0.24],
      [0.4 * cw - 0.02 * sin, -0.06],
      [0.26 * cw, 0.12],
      [-0.26 * cw, 0.12],
    ],
    dark,
    { strokes: 0 },
  );
}

function paintNeck(f: FigureFrame, x: number, sin: number): void {
  const { skin, shoulders } = f.person;
  const w = shoulders > 0.7 ? 0.21 : 0.165;
  f.shape(
    REGION.skin,
    [
      [x - w, -0.45],
      [x + w * 0.95, -0.42],
      [w + 0.03 * sin, -0.08],
      [w * 1.5, 0.12],
      [-w * 1.6, 0.12],
      [-w - 0.02 * sin, -0.1],
    ],
    mixLch(skin, [0.46, 0.13, 24], 0.16),
    { strokes: 1.5, texture: 0.4, line: 0.8 },
  );
  const shadow: Point[] = [
    [x - w, -0.32],
    [x + w * 1.1, -0.3],
    [x + w * 1.15, -0.13],
    [x + 0.05, -0.05],
    [x - w * 0.95, -0.16],
  ];
  f.flat(REGION.skin, spline(shadow, true, 0.05), mixLch(skin, [0.36, 0.11, 12], 0.6), { plain: true, alpha: 0.5 });
}
