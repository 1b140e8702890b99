import { understand } from '@urbild/core';
import { compose } from '../compose';
import type { Node } from './displayList';
import { ornament } from './ornament';
import { isFigure, REGION } from './region';

const scene = (much: number) => {
  const made = compose(understand('Ilse walking in the village street, noon'), { width: 480, height: 320, seed: 4 });
  ornament(made, much);
  return made;
};
const all = (nodes: readonly Node[]): Node[] =>
  nodes.flatMap((n) => [
    n,
    ...(n.kind === 'group' ? all(n.children) : n.kind === 'shape' ? all(n.children ?? []) : []),
  ]);
const count = (much: number, of: (n: Node) => boolean = () => true) => all(scene(much).root.children).filter(of).length;
const figure = (n: Node) => n.kind !== 'group' && isFigure(n.region);
const skin = (n: Node) => n.kind !== 'group' && (n.region === REGION.skin || n.region === REGION.hair);

test('from plain to ornate there is more and more in a picture', () => {
  const counts = [0, 0.25, 0.5, 0.75, 1].map((much) => count(much));
  for (let k = 1; k < counts.length; k++) expect(counts[k]).toBeGreaterThan(counts[k - 1]);
  expect(counts[0]).toBeLessThan(0.9 * counts[2]);
  expect(counts[4]).toBeGreaterThan(1.2 * counts[2]);
});

test('in the middle everything is as it was composed', () => {
  const untouched = compose(understand('Ilse walking in the village street, noon'), {
    width: 480,
    height: 320,
    seed: 4,
  });
  expect(scene(0.5).root).toEqual(untouched.root);
});

test('people lose nothing in a plain picture, and faces and hair bear no ornament in an ornate one', () => {
  expect(count(0, figure)).toBe(count(0.5, figure));
  expect(count(1, skin)).toBe(count(0.5, skin));
});

test('the same scene is ornamented in the same way', () => {
  expect(scene(0.9).root).toEqual(scene(0.9).root);
});
