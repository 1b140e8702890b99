import type { FacePoint } from '@urbild/core';
import { FRONTAL, meshShape } from './meshShape';

const SIZE = { width: 800, height: 600 };
type Point = readonly [number, number];

/** A mesh of 468 points that are one another's mirrors only where the contours need it: what is told stands at its place. */
function mesh(at: Readonly<Record<number, Point>>): Point[] {
  return Array.from({ length: 468 }, (_, i) => at[i] ?? [0.5, 0.5]);
}
const ONE_EYE = [33, 246, 161, 160, 159, 158, 157, 173, 133, 155, 154, 153, 145, 144, 163, 7];
const OTHER_EYE = [263, 466, 388, 387, 386, 385, 384, 398, 362, 382, 381, 380, 374, 373, 390, 249];

/** A face whose eyes are 100 px apart around (400, 200), its chin 150 px below, turned in the picture by `roll` degrees. */
function face(roll = 0, aside = 0): Point[] {
  const [cos, sin] = [Math.cos((roll * Math.PI) / 180), Math.sin((roll * Math.PI) / 180)];
  const place = (x: number, y: number): Point => [
    (400 + cos * x - sin * y) / SIZE.width,
    (200 + sin * x + cos * y) / SIZE.height,
  ];
  const at: Record<number, Point> = {};
  for (const i of ONE_EYE) at[i] = place(-50, 0);
  for (const i of OTHER_EYE) at[i] = place(50, 0);
  at[152] = place(aside, 150);
  at[234] = place(-100 + aside, 20);
  at[454] = place(100 + aside, 20);
  at[2] = place(aside, 60);
  return mesh(at);
}
const close = ([x, y]: FacePoint, [u, v]: Point) => {
  expect(x).toBeCloseTo(u, 6);
  expect(y).toBeCloseTo(v, 6);
};

test('contours are measured from the middle of the eyes, in distances between them', () => {
  const { outline, nose, eye } = meshShape(face(), 0, SIZE)!;
  close(outline[0], [1, 0.2]);
  close(outline[7], [0, 1.5]);
  close(nose[2], [0, 0.6]);
  close(eye[0], [0.5, 0]);
});

test('a head that leans is set upright', () => {
  const [straight, leaning] = [meshShape(face(), 0, SIZE)!, meshShape(face(25), 0, SIZE)!];
  for (const k of [0, 7]) close(leaning.outline[k], straight.outline[k]);
  close(leaning.nose[2], straight.nose[2]);
});

test('what a small turn moves to one side is taken out, both halves being one', () => {
  const [straight, turned] = [meshShape(face(), 0, SIZE)!, meshShape(face(0, 12), 8, SIZE)!];
  close(turned.outline[0], straight.outline[0]);
  close(turned.outline[7], [0, 1.5]);
});

test('from the side, or of a mesh that is none, nothing is told', () => {
  expect(meshShape(face(), FRONTAL + 1, SIZE)).toBeUndefined();
  expect(meshShape(face(), -FRONTAL - 1, SIZE)).toBeUndefined();
  expect(meshShape(face().slice(0, 100), 0, SIZE)).toBeUndefined();
  expect(meshShape(mesh({}), 0, SIZE)).toBeUndefined();
  // eyes 4 px apart in a face of 200
  const squeezed = face().map(([x, y], i): Point =>
    [...ONE_EYE, ...OTHER_EYE].includes(i) ? [0.5 + (x - 0.5) / 25, y] : [x, y],
  );
  expect(meshShape(squeezed, 0, SIZE)).toBeUndefined();
});
