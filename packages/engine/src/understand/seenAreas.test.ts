import { pictureFromRgba } from '@urbild/core';
import { SCENE_FAMILIES } from '@urbild/engine-tools';
import { seenReference } from '../gives/seenReference';
import { BY_HAND, namedByHand } from './namedByHand';
import { readPicture } from './readPicture';
import { seenAreas } from './seenAreas';

const { rgba, width, height } = SCENE_FAMILIES.find((f) => f.name === 'posters')!.make({ who: 3, seed: 3 });
const picture = pictureFromRgba(rgba, width, height);
const seen = readPicture(picture);

test('areas are shown the largest first, each by a place that lies within it', () => {
  const areas = seenAreas(seen, 24);
  expect(areas.map((a) => a.share)).toEqual(areas.map((a) => a.share).sort((a, b) => b - a));
  expect(areas[0].kind).toBe('sky');
  for (const { x, y, kind } of areas) {
    const k = seen.labels.of[Math.floor(y * seen.height) * seen.width + Math.floor(x * seen.width)];
    expect(seen.kinds.get(k)!.kind).toBe(kind);
  }
  expect(seenAreas(seen, 3)).toHaveLength(3);
});

test('what a person says of an area goes before what was read, for all of that area and no other', () => {
  const [sky, second] = seenAreas(seen, 2);
  const named = namedByHand(seen, [{ x: sky.x, y: sky.y, is: 'water' }]);
  expect(seenAreas(named, 2)).toEqual([{ ...sky, kind: 'water', why: BY_HAND }, second]);
  expect(namedByHand(seen)).toBe(seen);
  // places at the very edge are in the picture too
  expect(() => namedByHand(seen, [{ x: 1, y: 1, is: 'ground' }])).not.toThrow();
});

test('a reference is understood once by its content, whatever is said of it by hand', () => {
  const told = { content: 'poster', weight: 1 };
  const first = seenReference({ told, picture });
  expect(seenReference({ told, picture: { ...picture } })).toBe(first);
  const [sky] = seenAreas(first, 1);
  const corrected = seenReference({ told: { ...told, areas: [{ x: sky.x, y: sky.y, is: 'ground' }] }, picture });
  expect(corrected.labels).toBe(first.labels);
  expect(seenAreas(corrected, 1)[0].kind).toBe('ground');
});
