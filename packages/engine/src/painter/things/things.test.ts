import { CREATURE_WORDS, HOLDABLE, SEATS, THING_WORDS, understand } from '@urbild/core';
import { CREATURES } from '../creatures';
import { outline } from '../geometry/outline';
import { mapsOf } from '../paint';
import { composed, medianColour, painted } from '../testing';
import { REGION } from '../scene/region';
import { THINGS } from './index';

const SIZE = { width: 384, height: 256, seed: 5 };
const labels = (prompt: string) => mapsOf(understand(prompt), SIZE).labels;
const differ = (a: Uint8Array, b: Uint8Array) => a.filter((v, i) => v !== b[i]).length;

test('every word for a thing or a creature has a drawing, and the other way round', () => {
  expect(Object.keys(THINGS).sort()).toEqual(Object.keys(THING_WORDS).sort());
  expect(Object.keys(CREATURES).sort()).toEqual(Object.keys(CREATURE_WORDS).sort());
  for (const thing of SEATS) expect(`${thing} ${THINGS[thing].top !== undefined}`).toBe(`${thing} true`);
});

test.each(Object.keys(THING_WORDS))('a %s appears in the picture', (thing) => {
  const place =
    THINGS[thing].stands === 'water'
      ? 'open sea'
      : thing === 'window' || THINGS[thing].stands === 'wall'
        ? 'boathouse'
        : 'beach';
  if (thing === 'window') return expect(labels('boathouse').includes(REGION.window)).toBe(true);
  expect(differ(labels(`a ${THING_WORDS[thing][0]}, ${place}`), labels(place))).toBeGreaterThan(12);
});

test.each(Object.keys(CREATURE_WORDS))('a %s appears in the picture, once or three times', (species) => {
  const place = CREATURES[species].lives === 'water' ? 'open sea' : 'beach';
  const word = CREATURE_WORDS[species][0];
  const animal = (prompt: string) => labels(prompt).filter((l) => l === REGION.animal).length;
  const one = animal(`a ${word}, ${place}, no gulls`.replace(', no gulls', species === 'gull' ? '' : ', no gulls'));
  expect(one).toBeGreaterThan(8);
  const scene = composed(`three ${word}, ${place}`, SIZE);
  expect(scene.figures.filter((f) => f.kind === 'creature')).toHaveLength(3);
});

test.each([...HOLDABLE])('somebody can hold a %s', (thing) => {
  const word = THING_WORDS[thing].find((w) =>
    understand(`a woman holding a ${w}`).entities.some((e) => e.kind === 'person' && e.holds.length),
  );
  expect(word).toBeDefined();
  expect(differ(labels(`a woman holding a ${word}, beach`), labels('a woman, beach'))).toBeGreaterThan(6);
});

test('what is on something stands above it', () => {
  const scene = composed('a cat on a table, kitchen', SIZE);
  const alone = composed('a cat, kitchen', SIZE);
  expect(scene.figures[0].box[3]).toBeLessThan(alone.figures[0].box[3] - 5);
});

test('things take the colour that is named', () => {
  const boat = (colour: string) =>
    medianColour(painted(`a ${colour} boat, open sea at noon`, { width: 320, height: 240 }), REGION.boat)!;
  expect(Math.abs(boat('red')[2] - 27)).toBeLessThan(35);
  expect(boat('white')[0]).toBeGreaterThan(boat('black')[0] + 0.2);
});

test('outlines are read from text, and a slip in them is named', () => {
  expect(outline('0,1 -.5,2! 3,4')).toEqual([
    [0, 1],
    [-0.5, 2, 1],
    [3, 4],
  ]);
  expect(() => outline('0,1 2;3')).toThrow('"2;3" is no point');
});
