import { createPicture, type Picture } from '@urbild/core';
import { lookCast, withoutCast } from './lookCast';

const SIDE = 128;
/** A picture with colours of all kinds. */
function colourful(change: (v: number, plane: number) => number = (v) => v): Picture {
  const picture = createPicture(SIDE, SIDE);
  picture.planes.forEach((plane, k) =>
    plane.forEach((_, i) => {
      const wave = Math.sin(i * (0.013 + 0.007 * k)) + 0.4 * Math.sin(i * 0.11);
      plane[i] = change(k ? 0.08 * wave : 0.5 + 0.25 * wave, k);
    }),
  );
  return picture;
}
const apart = (a: Picture, b: Picture) =>
  Math.max(
    ...a.planes.map((plane, k) => plane.reduce((most, v, i) => Math.max(most, Math.abs(v - b.planes[k][i])), 0)),
  );

test('what pales and dulls all colours alike is taken away again', () => {
  const pale = colourful((v, plane) => (plane ? 0.01 + 0.6 * v : 0.4 + 0.55 * v));
  const cast = lookCast(colourful(), pale);
  expect(cast.gain[0]).toBeCloseTo(0.55, 3);
  expect(cast.at[0]).toBeCloseTo(0.4, 3);
  expect(apart(withoutCast(pale, cast), colourful())).toBeLessThan(1e-4);
});

test('where nothing changed there is no cast', () => {
  expect(apart(withoutCast(colourful(), lookCast(colourful(), colourful())), colourful())).toBeLessThan(1e-5);
});

test('one thing that changed alone stays changed', () => {
  const other = colourful();
  for (let y = 40; y < 56; y++) for (let x = 40; x < 56; x++) other.planes[1][y * SIDE + x] += 0.2;
  const { planes } = withoutCast(other, lookCast(colourful(), other));
  expect(planes[1][48 * SIDE + 48] - colourful().planes[1][48 * SIDE + 48]).toBeGreaterThan(0.17);
});

test('a look without colours is not blown up into some', () => {
  const grey = colourful((v, plane) => (plane ? 0 : v));
  const { planes } = withoutCast(grey, lookCast(colourful(), grey));
  expect(Math.max(...planes[1].map(Math.abs))).toBeLessThan(0.02);
});
