import type { SeenFace } from '../platform/vision/vision.worker';
import { kindBySight } from './kindBySight';

const face = (height: number) => ({ box: [0.4, 0.1, height * 0.8, height] }) as unknown as SeenFace;
const joints = (count: number, span: number) =>
  Array.from({ length: count }, (_, k) => ({ name: `j${k}`, x: 0.5, y: 0.2 + (span * k) / (count - 1), score: 0.6 }));
const sight = (fields: Partial<Parameters<typeof kindBySight>[0]> = {}) =>
  kindBySight({ faces: [], joints: [], plainBackground: false, ...fields });

test.each([
  [0.5, 'face'],
  [0.22, 'face'],
  [0.21, 'character'],
  [0.1, 'character'],
  [0.09, 'image'],
])('a face of %s of the height makes it a reference of kind %s', (height, kind) => {
  expect(sight({ faces: [face(height)] })).toBe(kind);
});

test('the tallest of several faces decides', () => {
  expect(sight({ faces: [face(0.05), face(0.3), face(0.12)] })).toBe('face');
});

test('somebody from behind is a character by the joints, as far as they reach over the picture', () => {
  expect(sight({ joints: joints(12, 0.6) })).toBe('character');
  expect(sight({ joints: joints(12, 0.2) })).toBe('style');
  expect(sight({ joints: joints(5, 0.6) })).toBe('style');
});

test('without people a thing on a plain ground is an image, anything else a style', () => {
  expect(sight({ plainBackground: true })).toBe('image');
  expect(sight()).toBe('style');
});
