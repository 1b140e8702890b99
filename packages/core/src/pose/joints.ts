/** Joints of a figure by name, parts of the width and height of its picture; the left ones are those of the figure's own left. */
export const JOINTS = [
  'nose',
  'leftEye',
  'rightEye',
  'leftEar',
  'rightEar',
  'leftShoulder',
  'rightShoulder',
  'leftElbow',
  'rightElbow',
  'leftWrist',
  'rightWrist',
  'leftHip',
  'rightHip',
  'leftKnee',
  'rightKnee',
  'leftAnkle',
  'rightAnkle',
] as const;
export type JointName = (typeof JOINTS)[number];
export type Joints = Readonly<Partial<Record<JointName, readonly [x: number, y: number]>>>;

/** The joints of one side of a body, in head heights from the pit of the neck, y down. */
export type SideJoints = Readonly<Partial<Record<'hand' | 'elbow' | 'foot' | 'knee', readonly [number, number]>>>;

/** From the pit of the neck to the hips and to the soles of the painter's figures, in head heights. */
const TO_HIPS = 1.75;
const TO_ANKLES = 3.84;

/** A pose in the measure of the painter's figures, by the sides of its picture. */
export interface BodyPose {
  readonly left: SideJoints;
  readonly right: SideJoints;
}

/**
 * The pose of a body whose joints were found in a picture of `aspect` = width / height: hands, elbows, feet and knees in head
 * heights from the pit of the neck. The body is measured by its legs, or by its trunk where they cannot be seen. Undefined
 * where the shoulders or both wrists are missing.
 */
export function poseOf(joints: Joints, aspect: number): BodyPose | undefined {
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

/**
 * How far two poses are apart: the mean distance of the joints that both have, in head heights. Undefined when they have none
 * in common.
 */
export function poseDistance(a: BodyPose, b: BodyPose): number | undefined {
  let sum = 0;
  let count = 0;
  for (const side of ['left', 'right'] as const)
    for (const name of ['hand', 'elbow', 'foot', 'knee'] as const) {
      const [p, q] = [a[side][name], b[side][name]];
      if (!p || !q) continue;
      sum += Math.hypot(p[0] - q[0], p[1] - q[1]);
      count++;
    }
  return count ? sum / count : undefined;
}
