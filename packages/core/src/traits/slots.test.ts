import type { FoundFace } from '../checks/faces';
import { JOINTS } from '../pose/joints';
import { slotOf } from './slots';

const face = (yaw: number, height = 0.4): FoundFace => ({
  box: { left: 0.3, right: 0.3 + height * 0.8, top: 0.1, bottom: 0.1 + height },
  score: 0.9,
  yaw,
});
const joints = (count: number) => JOINTS.slice(0, count).map((name) => ({ name }));

test.each([
  ['a face to the viewer', [face(3)], joints(7), 'front'],
  ['one that is turned a little', [face(-25)], joints(7), 'three-quarter'],
  ['one that is turned far', [face(55)], joints(7), 'side'],
  ['a small face over two feet', [face(4, 0.08)], joints(17), 'full figure'],
  ['a small face whose feet are cut off', [face(4, 0.08)], joints(15), 'front'],
  ['a large face, whatever joints are guessed', [face(4, 0.4)], joints(17), 'front'],
  ['the larger of two faces', [face(50, 0.1), face(0, 0.3)], [], 'front'],
  ['somebody whole without a face', [], joints(14), 'back'],
  ['a part of somebody without a face', [], joints(6), 'side'],
  ['nobody', [], joints(2), undefined],
] as const)('%s', (_, faces, seen, slot) => {
  expect(slotOf({ faces, joints: seen })).toBe(slot);
});
