import { BuiltInEngine } from '../engine';
import { request } from '../testing';

const SIZE = { width: 320, height: 240 };
const of = (prompt: string) =>
  new BuiltInEngine().outlines(request({ prompt, ...SIZE }), () => Promise.reject(new Error('no picture')));
const count = (mask: Uint8Array) => mask.reduce((n, v) => n + (v ? 1 : 0), 0);

test('people come with heads and clothes within them, creatures whole, then the grounds', async () => {
  const outlines = await of('a girl in a coat and a dog in the meadow');
  const names = outlines.map(({ of: what, figure }) => [what, figure]);
  expect(names.slice(0, 4)).toEqual([
    ['figure', 0],
    ['head', 0],
    ['clothes', 0],
    ['figure', 1],
  ]);
  expect(names).toContainEqual(['sky', undefined]);
  const [girl, head, clothes, dog] = outlines.map(({ mask }) => mask);
  for (const part of [head, clothes]) part.forEach((v, i) => v && expect(girl[i]).toBe(255));
  head.forEach((v, i) => v && expect(clothes[i]).toBe(0));
  dog.forEach((v, i) => v && expect(girl[i]).toBe(0));
});

test('an outline is the figure as it was painted, not a box around it', async () => {
  const [{ mask }] = await of('a heron in the marsh');
  let [left, top, right, bottom] = [SIZE.width, SIZE.height, 0, 0];
  mask.forEach((v, i) => {
    if (!v) return;
    left = Math.min(left, i % SIZE.width);
    right = Math.max(right, (i % SIZE.width) + 1);
    top = Math.min(top, Math.floor(i / SIZE.width));
    bottom = Math.max(bottom, Math.floor(i / SIZE.width) + 1);
  });
  expect(count(mask)).toBeGreaterThan(100);
  expect(count(mask)).toBeLessThan(0.6 * (right - left) * (bottom - top));
});

test('the grounds of a picture do not overlap, nor do they cover its figures', async () => {
  const outlines = await of('a fox on the beach');
  const fox = outlines[0].mask;
  const grounds = outlines.filter(({ figure }) => figure === undefined);
  expect(grounds.map((g) => g.of)).toEqual(expect.arrayContaining(['sky', 'water', 'ground']));
  for (let i = 0; i < fox.length; i++) {
    const here = grounds.filter(({ mask }) => mask[i]).length;
    expect(here).toBeLessThanOrEqual(fox[i] ? 0 : 1);
  }
});
