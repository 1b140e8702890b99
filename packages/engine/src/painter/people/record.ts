import type { Point } from '../geometry/point';
import type { FigureFrame } from './figure';
import type { HeadModel } from './head/headModel';
import { bendLimb, type ArmPose } from './pose/limbs';
import type { PersonPlace } from './personPlace';
import type { Pose } from './pose/poses';
import { HIPS, type Trunk } from './pose/trunk';

interface Body {
  readonly head: HeadModel;
  readonly t: Trunk;
  readonly pose: Pose;
  readonly arms: Readonly<Record<'far' | 'near', { readonly pose: ArmPose; readonly shoulder: Point }>>;
}

/** Notes joints, landmarks and box of a painted person in its scene. */
export function recordFigure(f: FigureFrame, place: PersonPlace, { head, t, pose, arms }: Body): void {
  const joints: Record<string, readonly [number, number]> = {};
  const put = (name: string, q: Point) => {
    const [x, y] = f.point(q);
    joints[name] = [x, y];
  };
  put('neck', [0, 0]);
  put('head', head.place(0, 0));
  put('hips', [t.middle(HIPS), HIPS]);
  for (const side of ['far', 'near'] as const) {
    const { pose: arm, shoulder } = arms[side];
    const [elbow, hand] = bendLimb(shoulder, arm.hand, 0.82, 0.78, arm.bend);
    put(`${side} shoulder`, shoulder);
    put(`${side} elbow`, elbow);
    put(`${side} hand`, hand);
  }
  if (!place.portrait)
    pose.legs.forEach((leg, i) => {
      const side = i === 0 ? 'far' : 'near';
      const shift = t.middle(HIPS);
      const hip: Point = [shift + leg.hip[0], HIPS + leg.hip[1]];
      const [knee, foot] = leg.knee
        ? [[shift + leg.knee[0], leg.knee[1]] as Point, leg.foot]
        : bendLimb(hip, leg.foot, 1.05, 1.05, leg.bend);
      put(`${side} hip`, hip);
      put(`${side} knee`, knee);
      put(`${side} foot`, foot);
    });
  const landmarks: Record<string, readonly [number, number]> = {};
  const mark = (name: string, angle: number, y: number) => {
    if (head.facing(angle) < 0.12) return;
    const [x, py] = f.point(head.on(angle, y));
    landmarks[name] = [x, py];
  };
  mark('far eye', 25.5 * f.person.eyes.spacing, 0.035);
  mark('near eye', -25.5 * f.person.eyes.spacing, 0.035);
  mark('nose', 0, 0.19);
  mark('mouth', 0, 0.315);
  mark('chin', 0, 0.48);
  const all = [
    ...Object.values(joints),
    f.point(head.place(0, -0.55)),
    f.point(head.place(-0.5, 0)),
    f.point(head.place(0.5, 0)),
  ];
  const pad = f.head * 0.22;
  f.scene.figures.push({
    entity: place.entity,
    kind: 'person',
    box: [
      Math.min(...all.map((q) => q[0])) - pad,
      Math.min(...all.map((q) => q[1])) - pad * 0.3,
      Math.max(...all.map((q) => q[0])) + pad,
      Math.max(...all.map((q) => q[1])) + pad * 0.5,
    ],
    joints,
    landmarks,
    yaw: place.flip ? -place.yaw : place.yaw,
    head: place.head,
    depth: place.depth,
    drawn: {
      person: f.person,
      action: place.action,
      expression: place.expression,
      asleep: !!(pose.asleep || place.asleep),
      portrait: !!place.portrait,
    },
  });
}
