import { createPicture, pictureFromRgba, understand, type Picture } from '@urbild/core';
import { paintStage } from '../painter/paint';
import { leastHold, subjectHold } from './subjectHold';

const SIZE = { width: 384, height: 288, seed: 5 };
const scene = (prompt: string) => {
  const { seen, labels, rgba } = paintStage(understand(prompt), SIZE);
  const control = pictureFromRgba(rgba, SIZE.width, SIZE.height);
  const hold = (take: Picture) => subjectHold(seen, labels, control, take);
  return { seen, labels, control, hold };
};
const like = (picture: Picture, change: (v: number, c: number, i: number) => number): Picture => {
  const out = createPicture(picture.width, picture.height);
  picture.planes.forEach((plane, c) => plane.forEach((v, i) => (out.planes[c][i] = change(v, c, i))));
  return out;
};

test('a control holds its own figures whole: outline, head and eyes', () => {
  const { control, hold } = scene('portrait of a girl in the meadow');
  const [held, ...more] = hold(control);
  expect(more).toEqual([]);
  expect(Object.keys(held).sort()).toEqual(['contrast', 'eyes', 'head', 'outline']);
  expect(leastHold([held])).toBe(1);
});

test('the less of a picture is left, the less is held; of nothing nothing', () => {
  const { control, hold } = scene('a fox in the meadow');
  const least = [1, 0.4, 0.15, 0].map(
    (k) => hold(like(control, (v, c) => (c ? k * v : 0.5 + k * (v - 0.5))))[0].contrast,
  );
  for (let k = 1; k < least.length; k++) expect(least[k]).toBeLessThan(least[k - 1]);
  expect(least.at(-1)).toBe(0);
});

test('other colours that stand as far apart hold as well', () => {
  const { control, hold } = scene('a fox in the meadow');
  expect(leastHold(hold(like(control, (v, c) => (c ? -v : 1 - v))))).toBe(1);
});

test('a figure of one colour with its ground is held by a line around it', () => {
  const { seen, control, hold } = scene('a fox in the meadow');
  const { width } = SIZE;
  const fox = (i: number) => seen.map[i] === 1;
  const rim = (i: number) =>
    fox(i) !== fox(i + 1) || fox(i) !== fox(i - 1) || fox(i) !== fox(i + width) || fox(i) !== fox(i - width);
  const lined = like(control, (_, c, i) => (c ? 0 : rim(i) ? 0.1 : 0.7));
  expect(leastHold(hold(lined))).toBeGreaterThan(0.7);
});

test('things, and figures that are specks, are not judged', () => {
  const { control, hold } = scene('a haystack in the meadow');
  expect(hold(control)).toEqual([]);
  expect(leastHold([])).toBeUndefined();
});
