import fc from 'fast-check';
import { shapeDistance as apart, FACE_CONTOURS, fuseShapes, isFaceShape, ownPart, rowOf, shapeOf } from './faceShape';
import { fuseTraits } from './fuse';

const POINTS = Object.values(FACE_CONTOURS).reduce((a, b) => a + b, 0);
const row = fc.array(fc.double({ min: -2, max: 2, noNaN: true }), { minLength: 2 * POINTS, maxLength: 2 * POINTS });

test('a face is its row of coordinates and the other way round', () => {
  fc.assert(fc.property(row, (coordinates) => expect(rowOf(shapeOf(coordinates))).toEqual(coordinates)));
});

test('a face with a contour too short, or far out of itself, is none', () => {
  const face = shapeOf(new Array<number>(2 * POINTS).fill(0.5));
  expect(isFaceShape(face)).toBe(true);
  expect(isFaceShape({ ...face, nose: face.nose.slice(1) })).toBe(false);
  expect(isFaceShape({ ...face, nose: [[9, 0], ...face.nose.slice(1)] })).toBe(false);
});

test('of three pictures one that is off moves no point', () => {
  const face = (v: number) => shapeOf(new Array<number>(2 * POINTS).fill(v));
  expect(rowOf(fuseShapes([face(0.5), face(0.52), face(3)]))).toEqual(rowOf(face(0.52)));
  const trait = (v: number) => ({ 'face shape': { shape: face(v), confidence: 0.4 } });
  const fused = fuseTraits([trait(0.5), trait(0.52), trait(3)])['face shape']!;
  expect(fused.shape!.nose[0][0]).toBe(0.52);
  expect(fused.confidence).toBeGreaterThan(0.6);
});

test('distance is 0 for a face itself, the same both ways, and a shift of all points by what it is', () => {
  fc.assert(
    fc.property(row, row, (a, b) => {
      expect(apart(shapeOf(a), shapeOf(a))).toBe(0);
      expect(apart(shapeOf(a), shapeOf(b))).toBeCloseTo(apart(shapeOf(b), shapeOf(a)), 12);
    }),
  );
  const still = new Array<number>(2 * POINTS).fill(0);
  const moved = still.map((_, k) => (k % 2 ? 0 : 0.3));
  expect(apart(shapeOf(still), shapeOf(moved))).toBeCloseTo(0.3, 12);
});

test('a weight of 1 draws a face as it is, 2 half as much again, and nothing more', () => {
  expect([0, 0.5, 1, 1.5, 2, 3].map(ownPart)).toEqual([0, 0.5, 1, 1.25, 1.5, 1.5]);
});
