import { pictureFromRgba, type Picture, type SeenKind } from '@urbild/core';
import { FAMILIES, SCENE_FAMILIES, type FamilyPicture } from '@urbild/engine-tools';
import { flowStrokes } from './areas/flow';
import { somebodyIn } from './somebodyIn';
import { drawnBy, evenSteps, makingOf } from './drawnBy';
import { readPicture, type SeenPicture } from './readPicture';

const family = (name: string) => [...SCENE_FAMILIES, ...FAMILIES].find((f) => f.name === name)!;
const pictureOf = ({ rgba, width, height }: FamilyPicture): Picture => pictureFromRgba(rgba, width, height);
const seenOf = (name: string, who: number, seed: number) => {
  const made = family(name).make({ who, seed });
  return { made, seen: readPicture(pictureOf(made)) };
};
const kindAt = ({ labels, kinds, width, height }: SeenPicture, u: number, v: number): SeenKind =>
  kinds.get(labels.of[Math.floor(v * height) * width + Math.floor(u * width)])!.kind;

/** The part of a picture whose areas are named as they are. */
function rightPart({ made, seen }: ReturnType<typeof seenOf>): number {
  const { map, kinds } = made.truth.areas!;
  let [right, all] = [0, 0];
  for (let v = 0.005; v < 1; v += 0.01)
    for (let u = 0.005; u < 1; u += 0.01) {
      all++;
      if (kinds[map[Math.floor(v * made.height) * made.width + Math.floor(u * made.width)]] === kindAt(seen, u, v))
        right++;
    }
  return right / all;
}

describe('how a picture is made', () => {
  test.each([
    ['pencil streets', 'lines'],
    ['posters', 'flat'],
    ["children's felt pens", 'felt pen'],
    ['products on white', 'on plain ground'],
    ['dabs', 'painted'],
  ])('%s: %s', (name, how) => {
    for (const seed of [1, 2, 3]) {
      const { rgba, width, height } = family(name).make({ who: seed, seed });
      const picture = pictureFromRgba(rgba, width, height);
      expect(drawnBy(makingOf(evenSteps(picture), width, height))).toBe(how);
    }
  });
});

describe('what areas show', () => {
  test.each([
    ['pencil streets', 0.85],
    ['posters', 0.85],
    ['height fields', 0.55],
  ])('%s: most of each picture is named as it is', (name, least) => {
    const parts = [1, 2, 3, 4].map((seed) => rightPart(seenOf(name, seed, seed)));
    expect(parts.reduce((a, b) => a + b, 0) / parts.length).toBeGreaterThan(least);
  });

  test('houses of a drawing are told by their form: gable, wall, and openings within', () => {
    const whys = [1, 2, 3, 4].flatMap((seed) =>
      [...seenOf('pencil streets', seed, seed).seen.kinds.values()].map((n) => n.why),
    );
    for (const why of ['a triangle on a box', 'a box under a triangle', 'inside a house', 'a crown on a stem'])
      expect(whys).toContain(why);
  });

  test('before a plain ground there are the ground and the thing, nothing else', () => {
    const { seen } = seenOf('products on white', 2, 2);
    expect(new Set([...seen.kinds.values()].map((n) => n.kind))).toEqual(new Set(['nothing', 'thing']));
    expect(kindAt(seen, 0.02, 0.02)).toBe('nothing');
  });

  test('every pixel belongs to an area that has a name and a form', () => {
    const { seen } = seenOf('torn paper', 1, 1);
    expect(seen.labels.of.every((k) => seen.kinds.has(k) && !!seen.forms[k])).toBe(true);
  });
});

describe('who is seen', () => {
  test('the figure of a street is where it stands, its hands where they are', () => {
    let [found, near, all] = [0, 0, 0];
    for (let seed = 1; seed <= 10; seed++) {
      const { made, seen } = seenOf('pencil streets', seed, seed);
      const { joints } = made.truth;
      if (!joints) continue;
      all++;
      const box = somebodyIn(seen);
      if (!box) continue;
      const [x, y] = joints.head;
      if (x < box.left || x > box.right || y < box.top || y > box.bottom) continue;
      found++;
      const ends = Object.values(seen.figures[0].joints).map(([px, py]) => [px / seen.width, py / seen.height]);
      const miss = (name: string) =>
        Math.min(...ends.map(([u, v]) => Math.hypot(u - joints[name][0], v - joints[name][1])));
      if (miss('leftHand') < 0.04 && miss('rightHand') < 0.04) near++;
    }
    expect(found / all).toBeGreaterThan(0.7);
    expect(near / all).toBeGreaterThan(0.5);
  });

  test('a person of flat colours is found by head and trunk; an empty lake has nobody', () => {
    const withSomebody = [1, 2, 3, 4, 5].filter((seed) => family('posters').make({ who: seed, seed }).truth.people);
    for (const seed of withSomebody) expect(somebodyIn(seenOf('posters', seed, seed).seen)).toBeDefined();
    expect(somebodyIn(seenOf('height fields', 1, 1).seen)).toBeUndefined();
  });
});

describe('strokes', () => {
  test('they lie in the colours of their areas, more and smaller ones when read closely; lines have none', () => {
    const { seen } = seenOf('height fields', 1, 1);
    const count = (near: number) => [...flowStrokes(seen, near).values()].reduce((n, s) => n + s.length, 0);
    expect(count(1)).toBeGreaterThan(count(0));
    for (const [k, strokes] of flowStrokes(seen, 1))
      for (const { colour, path } of strokes.slice(0, 5)) {
        expect(Math.abs(colour[0] * 100 - seen.forms[k]!.lab[0])).toBeLessThan(45);
        expect(path.length).toBeGreaterThan(1);
      }
    expect(flowStrokes(seenOf('pencil streets', 1, 1).seen, 1).size).toBe(0);
  });

  test('a picture is read once', () => {
    const picture = pictureOf(family('posters').make({ who: 2, seed: 2 }));
    expect(readPicture(picture)).toBe(readPicture(picture));
  });
});

test.each([
  [1, 1],
  [300, 1],
  [1, 300],
  [3, 3],
  [90, 60],
])('a plain picture of %i x %i px is one area, whatever its size', (w, h) => {
  for (const L of [0, 0.5, 1]) {
    const planes = [new Float32Array(w * h).fill(L), new Float32Array(w * h), new Float32Array(w * h)] as const;
    const { labels, kinds, forms } = readPicture({ width: w, height: h, planes });
    expect(labels.of.every((k) => kinds.has(k) && !!forms[k])).toBe(true);
    expect(kinds.size).toBe(1);
  }
});
