import { JOINTS } from '@urbild/core';
import type { EngineView } from '../../api/references';

export type FoundJoint = EngineView['joints'][number];

/** Bones between the joints of a body. */
export const BONES = [
  ['leftShoulder', 'rightShoulder'],
  ['leftShoulder', 'leftElbow'],
  ['leftElbow', 'leftWrist'],
  ['rightShoulder', 'rightElbow'],
  ['rightElbow', 'rightWrist'],
  ['leftShoulder', 'leftHip'],
  ['rightShoulder', 'rightHip'],
  ['leftHip', 'rightHip'],
  ['leftHip', 'leftKnee'],
  ['leftKnee', 'leftAnkle'],
  ['rightHip', 'rightKnee'],
  ['rightKnee', 'rightAnkle'],
] as const;

/** "left elbow" for leftElbow. */
export const jointTitle = (name: string): string => name.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`);

const limit = (v: number) => Math.min(1, Math.max(0, v));

/** Joints of which one lies elsewhere; it stays inside the picture and counts as sure. */
export const movedJoint = (joints: readonly FoundJoint[], name: string, x: number, y: number): FoundJoint[] =>
  joints.map((j) => (j.name === name ? { name, x: limit(x), y: limit(y), score: 1 } : j));

/** Joints without one that is hidden or wrong. */
export const withoutJoint = (joints: readonly FoundJoint[], name: string): FoundJoint[] =>
  joints.filter((j) => j.name !== name);

/** A figure that stands facing us, as places of its joints in parts of its height from the top, and sideways from its middle. */
const STANDING: Readonly<Record<(typeof JOINTS)[number], readonly [across: number, down: number]>> = {
  nose: [0, 0.07],
  leftEye: [0.02, 0.055],
  rightEye: [-0.02, 0.055],
  leftEar: [0.04, 0.065],
  rightEar: [-0.04, 0.065],
  leftShoulder: [0.1, 0.2],
  rightShoulder: [-0.1, 0.2],
  leftElbow: [0.14, 0.36],
  rightElbow: [-0.14, 0.36],
  leftWrist: [0.15, 0.5],
  rightWrist: [-0.15, 0.5],
  leftHip: [0.06, 0.52],
  rightHip: [-0.06, 0.52],
  leftKnee: [0.065, 0.74],
  rightKnee: [-0.065, 0.74],
  leftAnkle: [0.065, 0.96],
  rightAnkle: [-0.065, 0.96],
};

/** A standing figure in the middle of a picture of this aspect (width / height), to be moved into place. */
export const standing = (aspect: number): FoundJoint[] =>
  JOINTS.map((name) => {
    const [across, down] = STANDING[name];
    return { name, x: limit(0.5 + (0.8 * across) / aspect), y: 0.1 + 0.8 * down, score: 1 };
  });
