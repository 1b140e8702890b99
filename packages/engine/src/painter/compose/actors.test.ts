import { understand } from '@urbild/core';
import { actorsOf, carries, topOf } from './actors';
import { clustersOf } from './lane';

const actors = (prompt: string, place = { water: false, indoor: false }) => actorsOf(understand(prompt), place);
const zones = (prompt: string, place?: { water: boolean; indoor: boolean }) => actors(prompt, place).map((a) => a.zone);

test('everything goes where it belongs', () => {
  expect(zones('Ilse, a fox and a barrel')).toEqual(['lane', 'lane', 'lane']);
  expect(zones('a windmill tower, a tree, a tent')).toEqual(expect.arrayContaining(['back', 'lane']));
  expect(zones('a gull, a butterfly, a balloon, a rainbow')).toEqual(['air', 'air', 'air', 'air']);
  expect(zones('a woman in the distance')).toEqual(['far']);
  expect(zones('a teapot')).toEqual(['small']);
});

test('boats and swimmers are on the water where there is some', () => {
  const water = { water: true, indoor: false };
  expect(zones('a boat and a swan', water)).toEqual(['water', 'water']);
  expect(zones('a boat and a swan')).toEqual(['lane', 'lane']);
});

test('in a room, furniture stands at the wall; who sits on a sill is at the window', () => {
  const room = { water: false, indoor: true };
  expect(zones('a shelf and a stove', room)).toEqual(['wall', 'wall']);
  expect(actors('a cat on the window sill', room).find((a) => a.brief.kind === 'creature')?.zone).toBe('sill');
});

test('counts become bodies; people of one kind differ', () => {
  const three = actors('three boys');
  expect(three).toHaveLength(3);
  expect(new Set(three.map((a) => JSON.stringify(a.person))).size).toBe(3);
  expect(actors('five sheep')).toHaveLength(5);
});

test('what one of several holds, the others do not', () => {
  const held = actors('two children with a kite').map((a) => (a.brief.kind === 'person' ? a.brief.holds.length : 0));
  expect(held).toEqual([1, 0]);
});

test('a carrier carries, and makes one cluster with what it carries', () => {
  const list = actors('a cat on a crate beside a dog');
  const clusters = clustersOf(list);
  expect(clusters.map((c) => [c.base.brief.kind === 'thing' ? c.base.brief.thing : 'dog', c.carried.length])).toEqual(
    expect.arrayContaining([
      ['crate', 1],
      ['dog', 0],
    ]),
  );
  const crate = clusters.find((c) => c.carried.length)!.base;
  expect(carries(crate)).toBe(true);
  expect(topOf(crate)).toBeGreaterThan(0.8);
});

test('sizes that are named are sizes that are drawn', () => {
  const height = (prompt: string) => actors(prompt)[0].height;
  expect(height('a big bear')).toBeGreaterThan(height('a bear'));
  expect(height('a small bear')).toBeLessThan(height('a bear'));
  expect(height('a tall man')).toBeGreaterThan(height('a man'));
  expect(height('a child')).toBeLessThan(height('a woman'));
});
