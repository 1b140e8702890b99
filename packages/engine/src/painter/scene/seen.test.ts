import { composed } from '../testing';
import { areaMap } from './areas';
import { REGION } from './region';
import { seenOf } from './seen';

const SIZE = { width: 240, height: 180 };
const see = (prompt: string) => {
  const scene = composed(prompt, SIZE);
  return seenOf(scene, areaMap(scene), 'gouache');
};
const area = ([left, top, right, bottom]: readonly number[]) => (right - left) * (bottom - top);

test.each([
  'three rabbits and a barrel in the meadow',
  'Ilse poles the punt with Brom',
  'a girl with a lantern on a bench',
])('the pixels of an item lie in its box, and are those of its colours: %s', (prompt) => {
  const { items, map, width } = see(prompt);
  for (const { pixels, box, colours, codes } of items) {
    if (!box) continue;
    let inside = 0;
    map.forEach((code, i) => {
      if (!codes.includes(code)) return;
      inside++;
      const [x, y] = [i % width, Math.floor(i / width)];
      expect(x >= box[0] && x < box[2] && y >= box[1] && y < box[3]).toBe(true);
    });
    expect(inside).toBe(pixels);
    expect(pixels).toBeLessThanOrEqual(area(box));
    expect(colours.reduce((n, c) => n + c.pixels, 0)).toBeLessThanOrEqual(pixels);
  }
});

test('regions are parts of the picture, and people are counted out', () => {
  const { regions, items, horizon, height } = see('two boys in the meadow');
  expect(regions.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 1);
  expect(regions[REGION.sky]).toBeGreaterThan(0.1);
  expect(items.map(({ kind, entity }) => [kind, entity])).toEqual([
    ['person', 0],
    ['person', 0],
  ]);
  expect(horizon).toBeGreaterThan(0.3 * height);
});

test('a portrait has no horizon, and shows nobody else', () => {
  const { items, horizon } = see('portrait of Ilse, a barrel');
  expect(horizon).toBeUndefined();
  expect(items.filter((i) => !i.held).map(({ kind }) => kind)).toEqual(['person']);
});
