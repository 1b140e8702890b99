import { adjustLch, lerp, mixLch, type SideJoints } from '@urbild/core';
import { spline } from '../geometry/curve';
import type { Point } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
import { paintHeld, reachFor, type Reach } from './pose/carried';
import { FigureFrame } from './figure';
import { paintCollar, paintTrunk } from './clothes/garments';
import { paintBackHair } from './hair/hair';
import { paintHairOnBack, paintTwoPlaits } from './hair/hairBack';
import { paintHead } from './head/head';
import { HeadModel } from './head/headModel';
import { paintArm, paintLeg, type ArmPose } from './pose/limbs';
import { paintCloak, paintCloakFront, paintScarf } from './clothes/outerwear';
import type { Person } from './person';
import { paintPlait } from './hair/plait';
import { poseFor, type Pose } from './pose/poses';
import { recordFigure } from './record';
import { paintSatchel } from './clothes/satchel';
import { HIPS, trunkOf, type Trunk } from './pose/trunk';
import type { PersonPlace, PoseHint } from './personPlace';

const bodyYawOf = (yaw: number) =>
  yaw > 120 ? 180 - (180 - yaw) * 0.85 : yaw > 60 ? 70 + (yaw - 60) * 0.35 : yaw * 0.85;

/** The pose of somebody who is placed so, with the hands where held things need them. */
function posed(place: PersonPlace, reach: Reach): Pose {
  const yaw = (bodyYawOf(place.yaw) * Math.PI) / 180;
  const pose = poseFor(place.action, { sin: Math.sin(yaw), cos: Math.cos(yaw) }, place.seat ?? 'raised', place.stride);
  return pulled({ ...pose, far: reach.far ?? pose.far, near: reach.near ?? pose.near }, place.pose, !!place.flip);
}

/** Hands and feet moved towards the joints of a hint; beyond half of the way elbows and knees bend as there. */
function pulled(pose: Pose, hint: PoseHint | undefined, flip: boolean): Pose {
  if (!hint || hint.share <= 0) return pose;
  const { share } = hint;
  // the far side is drawn on the right unless the figure is mirrored
  const mirrored = (s: SideJoints): SideJoints =>
    flip ? Object.fromEntries(Object.entries(s).map(([k, [x, y]]) => [k, [-x, y] as const])) : s;
  const far = mirrored(flip ? hint.left : hint.right);
  const near = mirrored(flip ? hint.right : hint.left);
  const towards = (from: Point, to: readonly [number, number] | undefined): Point =>
    to ? [lerp(from[0], to[0], share), lerp(from[1], to[1], share)] : from;
  const arm = (own: ArmPose, side: SideJoints, shoulder: Point): ArmPose => ({
    ...own,
    hand: towards(own.hand, side.hand),
    bend: share > 0.5 && side.hand && side.elbow ? bendOf(shoulder, side.elbow, side.hand) : own.bend,
  });
  const legs = pose.legs.map((leg, i) => {
    const side = i === 0 ? far : near;
    return {
      ...leg,
      knee: leg.knee && side.knee ? towards(leg.knee, side.knee) : leg.knee,
      foot: towards(leg.foot, side.foot),
    };
  });
  const lowest = Math.max(...legs.map((l) => l.foot[1]));
  const stands = far.foot ?? near.foot;
  return {
    ...pose,
    far: arm(pose.far, far, [0.4, 0.2]),
    near: arm(pose.near, near, [-0.4, 0.2]),
    legs,
    base: stands && !pose.seated ? lerp(pose.base, lowest + 0.12, share) : pose.base,
  };
}

/** Which way a joint bends between two others: the sign of the turn. */
const bendOf = (from: Point, joint: readonly [number, number], to: readonly [number, number]): 1 | -1 =>
  (to[0] - from[0]) * (joint[1] - from[1]) - (to[1] - from[1]) * (joint[0] - from[0]) > 0 ? 1 : -1;

/** How far below the pit of the neck a person's body is carried, in head heights. */
export const baseOf = ({ action, seat, pose, flip }: Pick<PersonPlace, 'action' | 'seat' | 'pose' | 'flip'>): number =>
  pulled(poseFor(action, { sin: 0, cos: 1 }, seat ?? 'raised'), pose, !!flip).base;

/** Paints a person. */
export function paintPerson(scene: Scene, person: Person, place: PersonPlace): void {
  scene.item({ entity: place.entity, kind: 'person', what: '' }, () => paintBody(scene, person, place));
}

function paintBody(scene: Scene, person: Person, place: PersonPlace): void {
  const f = new FigureFrame(scene, person, place);
  const { girth } = person;
  const reach = reachFor(place.holds ?? [], place.action);
  const pose = posed(place, reach);
  const t = trunkOf(f, bodyYawOf(place.yaw), -pose.lean, pose.seated);
  const portrait = !!place.portrait;
  const resting = restingArms(person, t);
  const idle = portrait && !reach.far;
  const far = idle ? resting.far : pose.far;
  const nearPose = idle ? resting.near : pose.near;
  const draped = person.over?.kind === 'shawl' || person.over?.kind === 'cloak';
  const near: ArmPose = draped && !reach.near ? { ...nearPose, behind: true } : nearPose;
  const shoulderNear: Point = [-person.shoulders * t.cos * 0.8, 0.2];
  const shoulderFar: Point = [person.shoulders * t.cos * 0.82 + 0.06 * t.sin, 0.2];
  const turn = Math.sin((place.yaw * Math.PI) / 180);
  const headAt = { x: 0.06 * turn + pose.lean * 0.25, y: -0.6, yaw: place.yaw };
  const head = new HeadModel(person, headAt.x, headAt.y, place.yaw, pose.nod ?? 0);
  const sleeve = person.over?.kind === 'cloak' ? person.over.colour : person.top.colour;
  const arms = { far: { pose: far, shoulder: shoulderFar }, near: { pose: near, shoulder: shoulderNear } };

  const legs = () => {
    if (portrait) return;
    const at = (q: Point): Point => [t.middle(HIPS) + q[0], q[1]];
    pose.legs.forEach((leg) =>
      paintLeg(f, { ...leg, hip: at([leg.hip[0], HIPS + leg.hip[1]]), knee: leg.knee && at(leg.knee) }),
    );
  };
  const held = () => place.holds?.forEach((item, i) => paintHeld(f, place.entity, { item, index: i, reach }));
  const cloak = person.over?.kind === 'cloak' ? person.over : undefined;
  if (!head.away) paintBackHair(f, head);
  if (cloak && !t.back) paintCloak(f, t, cloak);
  const legsFirst = !pose.seated || t.back;
  if (legsFirst) legs();
  pose.behind?.(f);
  if (t.back) held();
  paintArm(f, shoulderFar, far, mixLch(sleeve, scene.light.shadow, 0.1));
  if (near.behind || t.back) paintArm(f, shoulderNear, near, sleeve);
  if (!t.back) paintHood(f, t.narrow, t.sin);
  paintNeck(f, headAt.x - 0.1 * turn, t.sin);
  paintTrunk(f, t);
  if (person.satchel) paintSatchel(f, t, person.satchel, !portrait);
  if (!legsFirst) legs();
  paintCollar(f, t);
  if (cloak && !t.back) paintCloakFront(f, t, cloak);
  if (person.scarf) paintScarf(f, t, person.scarf);
  if (!t.back) held();
  if (!near.behind && !t.back) paintArm(f, shoulderNear, near, sleeve);
  if (t.back) {
    if (cloak) paintCloak(f, t, cloak);
    paintHood(f, t.narrow, 0);
  } else if (person.hair.style === 'plait') paintPlait(f, plaitPath(headAt, t.narrow * girth, t.sin), 0.2);
  else if (person.hair.style === 'two plaits') paintTwoPlaits(f, head, t.narrow * girth);
  paintHead(f, head, place.expression, pose.asleep || place.asleep);
  if (t.back) paintHairOnBack(f, head);
  recordFigure(f, place, { head, t, pose, arms });
}

function restingArms(person: Person, { sin, cos }: Trunk): { far: ArmPose; near: ArmPose } {
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

/** The hood of an oilskin or cloak, hanging behind the neck. */
function paintHood(f: FigureFrame, cw: number, sin: number): void {
  const { top, over } = f.person;
  const cloth = over?.kind === 'cloak' ? over.colour : top.kind === 'oilskin' ? top.colour : undefined;
  if (!cloth) return;
  const dark = mixLch(adjustLch(cloth, -0.13, 1, -8), f.scene.light.shadow, 0.12);
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
    mixLch(skin, [0.52, 0.13, 28], 0.1),
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
