/** Every creature and thing, whatever it is: where it stands, how large it is, what colour it takes, which way it looks. */
import { CREATURE_WORDS, THING_WORDS, understand } from '@urbild/core';
import { compose } from '../compose';
import { mapsOf } from '../paint';
import { isFigure, REGION } from '../scene/region';
import { medianColour, painted } from '../testing';
import { THINGS } from '../things';
import { CREATURES } from './index';

const SIZE = { width: 240, height: 160, seed: 5 };
const word = (species: string) => CREATURE_WORDS[species][0];
const home = (species: string) => ({ water: 'open sea', air: 'beach', ground: 'beach' })[CREATURES[species].lives];
const ALL = Object.keys(CREATURE_WORDS);
/** Gulls come with the sea unasked, and are drawn in flight as strokes. */
const SOLID = ALL.filter((s) => s !== 'gull');

const scene = (prompt: string) => compose(understand(prompt), SIZE);
const creature = (prompt: string) => scene(prompt).figures.find((f) => f.kind === 'creature')!;
const heightOf = ([, top, , bottom]: readonly number[]) => bottom - top;
const widthOf = ([left, , right]: readonly number[]) => right - left;

test.each(ALL)('a %s is one creature in the record, inside the picture for the most part', (species) => {
  const { figures } = scene(`a ${word(species)}, ${home(species)}`);
  const own = figures.filter((f) => f.kind === 'creature' && (species === 'gull' || f.box[1] >= 0));
  expect(own.length).toBeGreaterThanOrEqual(1);
  const [left, top, right, bottom] = own[0].box;
  expect(right).toBeGreaterThan(left);
  expect(bottom).toBeGreaterThan(top);
  expect(left).toBeLessThan(SIZE.width);
  expect(right).toBeGreaterThan(0);
});

test.each(SOLID)('a big %s is larger than a small one', (species) => {
  const of = (size: string) => heightOf(creature(`a ${size} ${word(species)}, ${home(species)}`).box);
  // small ones are not let become specks: some are hardly smaller, none is larger
  expect(of('big')).toBeGreaterThan(of('small'));
});

test.each(SOLID)('a %s in the foreground is larger than one in the distance', (species) => {
  const of = (where: string) => heightOf(creature(`a ${word(species)} in the ${where}, ${home(species)}`).box);
  // what is in the air is as large as it is seen there
  const times = CREATURES[species].lives === 'air' ? 0.95 : 1.3;
  expect(of('foreground')).toBeGreaterThan(times * of('distance'));
});

test.each(SOLID)('a %s stands where the words put it', (species) => {
  const middle = (side: string) => {
    const [left, , right] = creature(`a ${word(species)} on the ${side}, ${home(species)}`).box;
    return (left + right) / 2;
  };
  expect(middle('left')).toBeLessThan(middle('right'));
});

test.each(SOLID)('a portrait of a %s comes near', (species) => {
  const whole = creature(`a ${word(species)}, ${home(species)}`).box;
  const near = creature(`portrait of a ${word(species)}, ${home(species)}`).box;
  expect(heightOf(near)).toBeGreaterThan(1.2 * heightOf(whole));
});

test('each is as tall against a person as its drawing says', () => {
  const [mouse, horse] = ['mouse', 'horse'].map(
    (s) => heightOf(creature(`a ${word(s)}, beach`).box) / widthOf([0, 0, 1]),
  );
  expect(horse).toBeGreaterThan(4 * mouse);
  for (const species of ALL) {
    const { height, width } = CREATURES[species];
    expect([species, height > 0.1 && height < 12]).toEqual([species, true]);
    expect([species, width > 0.2 && width < 6]).toEqual([species, true]);
  }
});

test.each(['dog', 'cat', 'fox', 'horse', 'bear', 'rabbit', 'owl', 'duck', 'seal'].filter((s) => ALL.includes(s)))(
  'a white %s is lighter than a black one, whatever its own colours are',
  (species) => {
    const lightness = (colour: string) =>
      medianColour(
        painted(`portrait of a ${colour} ${word(species)}, ${home(species)} at noon`, { width: 192, height: 144 }),
        REGION.animal,
      )![0];
    expect(lightness('white')).toBeGreaterThan(lightness('black') + 0.15);
  },
);

test.each(['dog', 'cat', 'fox'].filter((s) => ALL.includes(s)))('a %s that sleeps lies', (species) => {
  /** Rows of the picture in which some of it is seen. */
  const rows = (words: string) => {
    const { labels } = mapsOf(understand(`${words}, meadow`), SIZE);
    return Array.from({ length: SIZE.height }, (_, y) => labels.subarray(y * SIZE.width, (y + 1) * SIZE.width)).filter(
      (row) => row.filter((l) => l === REGION.animal).length > 2,
    ).length;
  };
  expect(rows(`a sleeping ${word(species)}`)).toBeLessThan(0.85 * rows(`a ${word(species)}`));
});

test('what lives in water is in it, what flies is above the ground', () => {
  for (const species of ALL.filter((s) => CREATURES[s].lives === 'water').slice(0, 4)) {
    const { labels } = mapsOf(understand(`a ${word(species)}, open sea`), SIZE);
    const [left, , right, bottom] = creature(`a ${word(species)}, open sea`).box;
    const [x, y] = [Math.round((left + right) / 2), Math.min(SIZE.height - 1, Math.round(bottom) + 4)];
    expect([species, labels[y * SIZE.width + x]]).toEqual([species, REGION.water]);
  }
});

test('several of a kind are as many as are said, none upon another', () => {
  for (const [count, said] of [
    [2, 'two'],
    [4, 'four'],
    [6, 'six'],
  ] as const) {
    const { figures } = scene(`${said} dogs, meadow`);
    const dogs = figures.filter((f) => f.kind === 'creature');
    expect(dogs).toHaveLength(count);
    const middles = dogs.map(({ box: [left, , right] }) => Math.round((left + right) / 2));
    expect(new Set(middles).size).toBe(count);
  }
});

test('a scarf on a creature has the colour of the words', () => {
  const count = (prompt: string) => {
    const { rgba } = painted(prompt, { width: 192, height: 144 });
    let red = 0;
    for (let o = 0; o < rgba.length; o += 4) if (rgba[o] > 120 && rgba[o] > 1.7 * rgba[o + 1]) red++;
    return red;
  };
  expect(count('portrait of a heron in a red scarf, marsh at noon')).toBeGreaterThan(
    count('portrait of a heron, marsh at noon') + 20,
  );
});

describe('things', () => {
  const NAMES = Object.keys(THING_WORDS);
  const place = (thing: string) =>
    THINGS[thing].stands === 'water' ? 'open sea' : THINGS[thing].stands === 'wall' ? 'boathouse' : 'beach';
  const differ = (a: Uint8Array, b: Uint8Array) => a.reduce((n, v, i) => n + +(v !== b[i]), 0);
  const labels = (prompt: string) => mapsOf(understand(prompt), SIZE).labels;

  test.each(NAMES)('a %s has a size that can be', (thing) => {
    const { height, width, top, seatAt } = THINGS[thing];
    expect(height).toBeGreaterThan(0.05);
    expect(height).toBeLessThan(40);
    expect(width).toBeGreaterThan(0.05);
    if (top !== undefined) expect(top >= 0 && top <= 1).toBe(true);
    if (seatAt !== undefined) expect(Math.abs(seatAt)).toBeLessThanOrEqual(width);
  });

  const SHOWN = ['barrel', 'crate', 'table', 'chair', 'lantern', 'basket', 'boat'].filter((t) => NAMES.includes(t));
  test.each(SHOWN)('a big %s takes more room than a small one', (thing) => {
    const of = (size: string) => {
      const where = place(thing);
      return differ(labels(`a ${size} ${THING_WORDS[thing][0]}, ${where}`), labels(where));
    };
    expect(of('big')).toBeGreaterThan(of('small'));
  });

  test('three are more than one', () => {
    const of = (count: string) => differ(labels(`${count}, beach`), labels('beach'));
    expect(of('three barrels')).toBeGreaterThan(1.5 * of('a barrel'));
  });

  test('nothing of people or creatures comes with a thing alone', () => {
    for (const thing of SHOWN) {
      const figures = labels(`a ${THING_WORDS[thing][0]}, kitchen`).filter((l) => isFigure(l) && l !== REGION.prop);
      expect([thing, figures.length]).toEqual([thing, 0]);
    }
  });
});
