import { understand } from '@urbild/core';
import { paintStage } from '../painter/paint';
import { REGION } from '../painter/scene/region';
import { subjectsOf } from './subjects';

const SIZE = { width: 320, height: 240, seed: 5 };
const of = (prompt: string) => {
  const { seen, labels } = paintStage(understand(prompt), SIZE);
  return { seen, labels, subjects: subjectsOf(seen, labels) };
};
const count = (mask: Uint8Array) => mask.reduce((n, v) => n + v, 0);

test('a person is held whole, by the head and by the eyes, each within the one before', () => {
  const { labels, subjects } = of('portrait of a girl in the meadow');
  expect(subjects).toHaveLength(3);
  const [whole, head, eyes] = subjects;
  expect(count(whole.mask)).toBeGreaterThan(count(head.mask));
  expect(count(head.mask)).toBeGreaterThan(count(eyes.mask));
  head.mask.forEach((v, i) => v && expect(whole.mask[i]).toBe(1));
  eyes.mask.forEach((v, i) => v && expect(labels[i]).toBe(REGION.eye));
  for (const { mask, box } of subjects)
    mask.forEach((v, i) => {
      if (!v) return;
      const [x, y] = [i % SIZE.width, Math.floor(i / SIZE.width)];
      expect(x >= Math.floor(box[0]) && x < Math.ceil(box[2]) && y >= Math.floor(box[1]) && y < Math.ceil(box[3])).toBe(
        true,
      );
    });
});

test('creatures are held whole, things are not, and edges of what is small reach less far', () => {
  const [fox, ...more] = of('a fox beside a haystack in the meadow').subjects;
  expect(more).toEqual([]);
  const [girl, head] = of('a girl in the meadow').subjects;
  expect(head.reach).toBeLessThan(girl.reach);
  expect(fox.reach).toBeLessThanOrEqual(girl.reach);
});

test('two people have a mask each', () => {
  const { subjects } = of('half figure of a girl and a boy on the pier');
  const wholes = subjects.slice(0, 2);
  wholes[0].mask.forEach((v, i) => v && expect(wholes[1].mask[i]).toBe(0));
});

test('nobody is held where a camera sees a part of a scene', () => {
  const { seen, labels } = of('a fox in the meadow');
  expect(subjectsOf({ ...seen, view: { width: 1, height: 1, map: new Uint8Array(1) } }, labels)).toEqual([]);
});
