import { MEAN_FACE, understand, type FaceShape, type PersonBrief } from '@urbild/core';
import { withShape } from './fromShape';
import { personFrom } from './fromWords';
import { HeadModel } from './head/headModel';
import type { Person } from './person';

const [somebody] = understand('portrait of a woman in the meadow').entities as PersonBrief[];
const own: Person = personFrom(somebody, 3);

/** The usual face with its points moved. */
const changed = (move: (x: number, y: number) => readonly [number, number]): FaceShape =>
  Object.fromEntries(
    Object.entries(MEAN_FACE).map(([name, points]) => [name, points.map(([x, y]) => move(x, y))]),
  ) as unknown as FaceShape;
const LONG = changed((x, y) => [0.92 * x, 1.12 * y]);
const NARROW_JAW = changed((x, y) => [y > 0.8 ? 0.85 * x : x, y]);

const drawn = (shape: FaceShape, share: number, over = 1, sure = 1) => withShape(own, [{ shape, share, sure }], over);
const form = ({ face }: Person) => face.length / face.width;

test('nobody’s face changes nothing', () => {
  expect(withShape(own, [], 1)).toBe(own);
  expect(drawn(LONG, 0)).toBe(own);
});

test('the usual face makes everybody usual', () => {
  const { face, eyes, nose, mouth, brow } = drawn(MEAN_FACE, 1);
  for (const v of [face.width, face.length, eyes.size, eyes.open!, eyes.spacing, nose.width, nose.reach!, mouth.width])
    expect(v).toBeCloseTo(1, 9);
  for (const v of [eyes.tilt, brow.lift!, mouth.drop!, brow.angle]) expect(v).toBeCloseTo(0, 9);
  for (const [, factor] of face.outline!) expect(factor).toBeCloseTo(1, 9);
});

test('a long face is drawn the longer, the more it acts, and overdrawn above a weight of 1', () => {
  const forms = [0.25, 0.5, 0.75, 1].map((share) => form(drawn(LONG, share)) - form(drawn(MEAN_FACE, share)));
  forms.push(...[1.5, 2].map((over) => form(drawn(LONG, 1, over)) - form(drawn(MEAN_FACE, 1))));
  for (let k = 1; k < forms.length; k++) expect(forms[k]).toBeGreaterThan(forms[k - 1]);
  const [atOne, atTwo] = [forms[3], forms[5]];
  expect(atTwo).toBeLessThan(1.8 * atOne);
});

test('what is unsure is nearer to the usual face', () => {
  expect(form(drawn(LONG, 1, 1, 0.3))).toBeLessThan(form(drawn(LONG, 1, 1, 0.9)));
});

test('a narrow jaw is drawn narrow from every side, and the forehead stays', () => {
  const widths = (person: Person, y: number, yaw: number) => {
    const head = new HeadModel(person, 0, 0, yaw, 0);
    return head.extent(y, 1) - head.extent(y, -1);
  };
  const [usual, narrow] = [drawn(MEAN_FACE, 1), drawn(NARROW_JAW, 1)];
  for (const yaw of [0, 25, -25]) expect(widths(narrow, 0.38, yaw)).toBeLessThan(0.95 * widths(usual, 0.38, yaw));
  expect(widths(narrow, -0.2, 0)).toBeCloseTo(widths(usual, -0.2, 0), 6);
});

test('a face that cannot be is drawn as far as a face goes', () => {
  const absurd = drawn(
    changed((x, y) => [0.1 * x, 3 * y]),
    1,
    2,
  );
  expect(absurd.face.length).toBeLessThan(1.5);
  expect(absurd.face.width).toBeGreaterThan(0.6);
  for (const [, factor] of absurd.face.outline!) expect(factor).toBeGreaterThan(0.6);
});

test('two faces that act alike are drawn between the two', () => {
  const shares = [LONG, MEAN_FACE].map((shape) => ({ shape, share: 0.5, sure: 1 }));
  const between = form(withShape(own, shares, 1));
  expect(between).toBeGreaterThan(form(drawn(MEAN_FACE, 1)));
  expect(between).toBeLessThan(form(drawn(LONG, 1)));
});
