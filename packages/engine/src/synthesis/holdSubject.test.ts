import { CHROMA_GAIN, clonePicture, createPicture, type Picture } from '@urbild/core';
import { holdSubject, type Subject } from './holdSubject';

const [W, H] = [96, 96];
const BOX = [34, 34, 62, 62] as const;
const isInside = (i: number) => {
  const [x, y] = [i % W, Math.floor(i / W)];
  return x >= BOX[0] && x < BOX[2] && y >= BOX[1] && y < BOX[3];
};
const mask = Uint8Array.from({ length: W * H }, (_, i) => (isInside(i) ? 1 : 0));
const subject = (reach = 24): Subject => ({ mask, box: BOX, reach });
/** A square on a ground; lightness and a hue of both. */
const square = (inside: readonly [number, number], outside: readonly [number, number]): Picture => {
  const p = createPicture(W, H);
  for (let i = 0; i < W * H; i++) {
    const [l, a] = isInside(i) ? inside : outside;
    p.planes[0][i] = l;
    p.planes[1][i] = a * CHROMA_GAIN;
  }
  return p;
};
/** Mean lightness just inside less that just outside of the left edge. */
const step = ({ planes }: Picture) => {
  const at = (x: number) => {
    let sum = 0;
    for (let y = 42; y < 54; y++) sum += planes[0][y * W + x] / 12;
    return sum;
  };
  return (at(35) + at(36)) / 2 - (at(32) + at(31)) / 2;
};
const held = (picture: Picture, stage: Picture, amount = 1) => {
  const out = clonePicture(picture);
  holdSubject(out, stage, [subject()], amount);
  return out;
};

const stage = square([0.7, 0], [0.4, 0]);

test('a subject that a look drowned stands off again, on the side where it stood', () => {
  expect(step(held(square([0.5, 0], [0.5, 0]), stage))).toBeGreaterThan(0.08);
  expect(step(held(square([0.5, 0], [0.5, 0]), square([0.3, 0], [0.6, 0])))).toBeLessThan(-0.08);
});

test('what stands off already stays as it is, by lightness or by hue', () => {
  for (const picture of [square([0.8, 0], [0.5, 0]), square([0.2, 0], [0.6, 0]), square([0.5, 0.1], [0.5, -0.1])]) {
    const [L] = held(picture, stage).planes;
    expect(Math.max(...L.map((v, i) => Math.abs(v - picture.planes[0][i])))).toBeLessThan(0.02);
  }
});

test('a subject that never stood off is not set off', () => {
  const flat = square([0.5, 0], [0.5, 0]);
  expect(held(flat, square([0.5, 0], [0.505, 0])).planes[0]).toEqual(flat.planes[0]);
});

test('its hues stay those of the look, and what is far from its outline stays as it is', () => {
  const before = square([0.5, 0.02], [0.5, 0.02]);
  const after = held(before, stage);
  expect(after.planes[1]).toEqual(before.planes[1]);
  expect(after.planes[0][3 * W + 3]).toBeCloseTo(0.5, 6);
});

test('where it is white already its ground gives way', () => {
  const after = held(square([0.995, 0], [0.99, 0]), stage);
  expect(step(after)).toBeGreaterThan(0.08);
  expect(Math.max(...after.planes[0])).toBeLessThanOrEqual(1);
});

test('the more is insisted on, the more it stands off; nothing at 0', () => {
  const steps = [0, 0.25, 0.5, 0.75, 1].map((amount) => step(held(square([0.5, 0], [0.5, 0]), stage, amount)));
  expect(steps[0]).toBe(0);
  for (let k = 1; k < steps.length; k++) expect(steps[k]).toBeGreaterThan(steps[k - 1]);
});
