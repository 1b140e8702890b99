import type { SideJoints } from '../painter/figures/paintPerson';
import type { Joints, JointName } from '../requestFacts';

/** From the pit of the neck to the hips and to the soles of the painter's figures, in head heights. */
const TO_HIPS = 1.75;
const TO_ANKLES = 3.84;

/** A pose in the measure of the painter's figures, by the sides of its picture. */
export interface FoundPose {
  readonly left: SideJoints;
  readonly right: SideJoints;
}

/**
 * The pose of a body whose joints were found in a picture of `aspect` = width / height: hands, elbows, feet and knees in head
 * heights from the pit of the neck. The body is measured by its legs, or by its trunk where they cannot be seen. Undefined
 * where the shoulders or both wrists are missing.
 */
export function poseOf(joints: Joints, aspect: number): FoundPose | undefined {
  const at = (name: JointName): [number, number] | undefined => {
    const j = joints[name];
    return j && [j[0] * aspect, j[1]];
  };
  const mean = (a: [number, number] | undefined, b: [number, number] | undefined): [number, number] | undefined =>
    a && b ? [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] : (a ?? b);
  const [ls, rs] = [at('leftShoulder'), at('rightShoulder')];
  if (!ls || !rs || (!at('leftWrist') && !at('rightWrist'))) return undefined;
  const shoulders = mean(ls, rs)!;
  const hips = mean(at('leftHip'), at('rightHip'));
  const trunk = hips && Math.hypot(hips[0] - shoulders[0], hips[1] - shoulders[1]);
  const leg = (side: 'left' | 'right') => {
    const [h, k, a] = [at(`${side}Hip`), at(`${side}Knee`), at(`${side}Ankle`)];
    return h && k && a ? Math.hypot(k[0] - h[0], k[1] - h[1]) + Math.hypot(a[0] - k[0], a[1] - k[1]) : 0;
  };
  const legs = Math.max(leg('left'), leg('right'));
  const unit = trunk
    ? legs
      ? (trunk + legs) / TO_ANKLES
      : trunk / (TO_HIPS - 0.2)
    : Math.hypot(ls[0] - rs[0], ls[1] - rs[1]) / 1.1;
  if (!(unit > 1e-4)) return undefined;
  // shoulders hang a fifth of a head below the pit of the neck
  const origin = [shoulders[0], shoulders[1] - 0.2 * unit];
  const measured = (side: 'left' | 'right'): SideJoints => {
    const out: Partial<Record<keyof SideJoints, readonly [number, number]>> = {};
    const put = (name: keyof SideJoints, joint: JointName) => {
      const p = at(joint);
      if (p) out[name] = [(p[0] - origin[0]) / unit, (p[1] - origin[1]) / unit];
    };
    put('hand', `${side}Wrist`);
    put('elbow', `${side}Elbow`);
    put('foot', `${side}Ankle`);
    put('knee', `${side}Knee`);
    return out;
  };
  const [own, other] = [measured('left'), measured('right')];
  return ls[0] < rs[0] ? { left: own, right: other } : { left: other, right: own };
}
