import fc from 'fast-check';
import { poseDistance, poseOf, type Joints } from './joints';

/** Somebody who stands facing the viewer, arms a little away from the body, in a square picture. */
const STANDING: Joints = {
  nose: [0.5, 0.15],
  leftShoulder: [0.58, 0.26],
  rightShoulder: [0.42, 0.26],
  leftElbow: [0.63, 0.4],
  rightElbow: [0.37, 0.4],
  leftWrist: [0.65, 0.53],
  rightWrist: [0.35, 0.53],
  leftHip: [0.55, 0.52],
  rightHip: [0.45, 0.52],
  leftKnee: [0.55, 0.72],
  rightKnee: [0.45, 0.72],
  leftAnkle: [0.55, 0.92],
  rightAnkle: [0.45, 0.92],
};
const moved = (joints: Joints, by: (at: readonly [number, number]) => readonly [number, number]): Joints =>
  Object.fromEntries(Object.entries(joints).map(([name, at]) => [name, by(at)]));
const without = (joints: Joints, ...names: (keyof Joints)[]): Joints =>
  Object.fromEntries(Object.entries(joints).filter(([name]) => !names.includes(name as keyof Joints)));

test('who faces the viewer has their left on the right of the picture', () => {
  const pose = poseOf(STANDING, 1)!;
  expect(pose.right.hand![0]).toBeGreaterThan(0);
  expect(pose.left.hand![0]).toBeLessThan(0);
  const turned = poseOf(
    moved(STANDING, ([x, y]) => [1 - x, y]),
    1,
  )!;
  expect(turned.left.hand![0]).toBeLessThan(0);
});

test('feet lie below knees, knees below hands, in head heights', () => {
  const { left } = poseOf(STANDING, 1)!;
  expect(left.foot![1]).toBeGreaterThan(left.knee![1]);
  expect(left.knee![1]).toBeGreaterThan(left.hand![1]);
  expect(left.foot![1]).toBeGreaterThan(3.3);
  expect(left.foot![1]).toBeLessThan(4.4);
});

test('a pose is the same wherever and however large somebody is', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.2, max: 1, noNaN: true }),
      fc.double({ min: -0.3, max: 0.3, noNaN: true }),
      fc.double({ min: -0.3, max: 0.3, noNaN: true }),
      (k, dx, dy) => {
        const other = poseOf(
          moved(STANDING, ([x, y]) => [k * x + dx, k * y + dy]),
          1,
        )!;
        expect(poseDistance(poseOf(STANDING, 1)!, other)!).toBeLessThan(1e-6);
      },
    ),
  );
});

test('the shape of the picture is reckoned in', () => {
  const wide = poseOf(
    moved(STANDING, ([x, y]) => [x / 2, y]),
    2,
  )!;
  expect(poseDistance(wide, poseOf(STANDING, 1)!)!).toBeLessThan(1e-6);
});

test('without legs the trunk is the measure, without hips the shoulders', () => {
  const noLegs = poseOf(without(STANDING, 'leftKnee', 'rightKnee', 'leftAnkle', 'rightAnkle'), 1)!;
  expect(noLegs.left.foot).toBeUndefined();
  expect(noLegs.left.hand![1]).toBeCloseTo(poseOf(STANDING, 1)!.left.hand![1], 0);
  const bust = poseOf(without(STANDING, 'leftKnee', 'rightKnee', 'leftAnkle', 'rightAnkle', 'leftHip', 'rightHip'), 1)!;
  expect(bust.left.hand).toBeDefined();
});

test('nothing is said without shoulders, without hands, or where all lies in one place', () => {
  expect(poseOf(without(STANDING, 'leftShoulder'), 1)).toBeUndefined();
  expect(poseOf(without(STANDING, 'leftWrist', 'rightWrist'), 1)).toBeUndefined();
  expect(poseOf(without(STANDING, 'leftWrist'), 1)).toBeDefined();
  expect(
    poseOf(
      moved(STANDING, () => [0.5, 0.5]),
      1,
    ),
  ).toBeUndefined();
});

test('poses are apart by what both have; nothing in common is no distance', () => {
  const pose = poseOf(STANDING, 1)!;
  const raised = poseOf({ ...STANDING, leftWrist: [0.65, 0.05] }, 1)!;
  const far = poseDistance(pose, raised)!;
  expect(far).toBeGreaterThan(0.2);
  expect(poseDistance(raised, pose)).toBeCloseTo(far, 9);
  expect(poseDistance(pose, pose)).toBe(0);
  expect(poseDistance({ left: { hand: [0, 0] }, right: {} }, { left: {}, right: { hand: [0, 0] } })).toBeUndefined();
});
