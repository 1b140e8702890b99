import { JOINTS } from '@urbild/core';
import { BONES, jointTitle, movedJoint, standing, withoutJoint } from './joints';

test('a standing figure has every joint, inside the picture, upright, its own left on our right', () => {
  for (const aspect of [0.5, 1, 2]) {
    const joints = new Map(standing(aspect).map((j) => [j.name, j]));
    expect([...joints.keys()].sort()).toEqual([...JOINTS].sort());
    for (const { x, y } of joints.values()) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(1);
      expect(y).toBeLessThan(1);
    }
    expect(joints.get('nose')!.y).toBeLessThan(joints.get('leftHip')!.y);
    expect(joints.get('leftHip')!.y).toBeLessThan(joints.get('leftAnkle')!.y);
    expect(joints.get('leftShoulder')!.x).toBeGreaterThan(joints.get('rightShoulder')!.x);
  }
  // as wide in px in every format
  const reach = (aspect: number) => {
    const at = new Map(standing(aspect).map((j) => [j.name, j.x * aspect]));
    return at.get('leftWrist')! - at.get('rightWrist')!;
  };
  expect(reach(0.8)).toBeCloseTo(reach(2));
});

test('one joint is moved, stays inside and is sure; the others stay', () => {
  const joints = standing(1).map((j) => ({ ...j, score: 0.4 }));
  const after = movedJoint(joints, 'leftWrist', 1.4, 0.2);
  expect(after.find((j) => j.name === 'leftWrist')).toEqual({ name: 'leftWrist', x: 1, y: 0.2, score: 1 });
  expect(after.filter((j) => j.name !== 'leftWrist')).toEqual(joints.filter((j) => j.name !== 'leftWrist'));
});

test('a joint that cannot be seen is taken away; bones join known joints and have names that can be read out', () => {
  expect(withoutJoint(standing(1), 'nose').map((j) => j.name)).not.toContain('nose');
  for (const joint of BONES.flat()) expect(JOINTS).toContain(joint);
  expect(jointTitle('rightAnkle')).toBe('right ankle');
});
