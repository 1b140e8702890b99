import { understand, type PersonBrief } from '@urbild/core';
import { personFrom } from './fromWords';

const briefs = (words: string, variant?: number) =>
  (understand(`portrait of ${words}`).entities as PersonBrief[]).map((b) => ({ ...b, variant }));
const face = (words: string, variant?: number) => personFrom(briefs(words, variant)[0]);
const many = Array.from({ length: 40 }, (_, k) => face('a woman with red hair', 1 + k));
const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values);

test('of several whom the same words fit each has a face of their own', () => {
  expect(spread(many.map((p) => p.face.length / p.face.width))).toBeGreaterThan(0.1);
  expect(spread(many.map((p) => p.face.outline![3][1]))).toBeGreaterThan(0.12);
  expect(spread(many.map((p) => p.mouth.drop!))).toBeGreaterThan(0.015);
  expect(new Set(many.map((p) => JSON.stringify(p.face))).size).toBe(many.length);
});

test('what the words say of them holds for all', () => {
  for (const { hair } of many) expect(hair.colour[2]).toBeLessThan(60);
});

test('no face goes beyond what a face is', () => {
  for (const { face, eyes, nose, mouth } of many) {
    expect(face.length / face.width).toBeGreaterThan(0.75);
    expect(face.length / face.width).toBeLessThan(1.3);
    for (const [, factor] of face.outline!) expect(Math.abs(factor - 1)).toBeLessThan(0.26);
    expect(eyes.open!).toBeGreaterThan(0.75);
    expect(nose.reach!).toBeLessThanOrEqual(1.15);
    expect(Math.abs(mouth.drop!)).toBeLessThan(0.02);
  }
});

test('the same number is the same face, and nobody in particular has the usual one', () => {
  expect(face('a man', 7)).toEqual(face('a man', 7));
  expect(face('a man').face.outline).toBeUndefined();
});
