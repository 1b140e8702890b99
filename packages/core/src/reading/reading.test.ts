import { describeLikeness } from '../describe/likeness';
import { findHorizon } from '../describe/horizon';
import { swatchesOf } from '../describe/palette';
import { describeStrokes } from '../describe/strokes';
import { Random } from '../maths/random';
import { understand } from '../prompt/understand';
import { MEDIA, PLACES, TIMES } from '../prompt/brief';
import { pictureOf, testScene } from '../testing';
import { classify, learnClassifier, learnNumbers, packClassifier, scoresOf, unpackClassifier } from './classifier';
import { colourName } from './colourNames';
import { altTextOf, promptsFor, wordsOf } from './pictureWords';
import { mannerOf, readPicture, type PictureReading } from './readPicture';
import { WEIGHTS } from './weights.generated';
import { srgbToLab } from '../colour/oklab';
import type { Picture } from '../picture/picture';
import type { Lab } from '../colour/oklab';
import { hairWord, postureOf, seenPeople, type FoundJoint, type SeenPeople } from './seen';

const cloud = (centre: number[], n: number, seed: number) => {
  const r = new Random(seed);
  return Array.from({ length: n }, () => centre.map((c) => c + 0.35 * r.normal()));
};

test('a classifier learns clouds apart, and packing it hardly changes what it says', () => {
  const samples = [
    ...cloud([0, 0, 1], 40, 1).map((features) => ({ features, is: 'a' })),
    ...cloud([2, 0, 1], 40, 2).map((features) => ({ features, is: 'b' })),
    ...cloud([0, 2, 1], 40, 3).map((features) => ({ features, is: 'c' })),
  ];
  const learnt = learnClassifier(samples, ['a', 'b', 'c'], { rounds: 120, decay: 1e-3 });
  const packed = unpackClassifier(packClassifier(learnt));
  const right = samples.filter((s) => classify(learnt, s.features)[0].is === s.is).length;
  expect(right).toBeGreaterThan(112);
  for (const s of samples.slice(0, 20)) {
    const [whole, small] = [classify(learnt, s.features), classify(packed, s.features)];
    expect(small.find((g) => g.is === whole[0].is)!.probability).toBeCloseTo(whole[0].probability, 1);
    expect(whole.reduce((p, g) => p + g.probability, 0)).toBeCloseTo(1, 9);
  }
  expect(() => learnClassifier([], ['a'], { rounds: 1, decay: 0 })).toThrow(RangeError);
});

test('numbers are learnt by regression', () => {
  const r = new Random(9);
  const samples = Array.from({ length: 120 }, () => {
    const features = [r.range(-1, 1), r.range(-1, 1), r.range(-1, 1)];
    return { features, numbers: [2 * features[0] + 1, features[1] - features[2]] };
  });
  const learnt = learnNumbers(samples, ['x', 'y'], { rounds: 300, decay: 1e-4, step: 0.1 });
  for (const s of samples.slice(0, 10))
    scoresOf(learnt, s.features).forEach((v, k) => expect(v).toBeCloseTo(s.numbers[k], 1));
});

test('what was learnt of pictures has all media, places and times', () => {
  expect([WEIGHTS.medium.classes, WEIGHTS.place.classes, WEIGHTS.time.classes]).toEqual(
    [MEDIA, PLACES, TIMES].map((l) => [...l]),
  );
});

test.each([
  ['#ffffff', 'white'],
  ['#000000', 'black'],
  ['#808080', 'grey'],
  ['#c0392b', 'red'],
  ['#2e8b57', 'green'],
  ['#1f3a93', 'blue'],
  ['#20284f', 'navy'],
  ['#8b5a2b', 'brown'],
  ['#f1c40f', 'yellow'],
] as const)('%s is called %s', (hex, name) => {
  const [r, g, b] = [1, 3, 5].map((k) => parseInt(hex.slice(k, k + 2), 16));
  expect(colourName(srgbToLab(r, g, b))).toContain(name);
});

test('a light colour never has the name of a dark one', () => {
  for (let L = 0.5; L <= 0.95; L += 0.05)
    for (let hue = 0; hue < 360; hue += 20) {
      const name = colourName([L, 0.05 * Math.cos((hue * Math.PI) / 180), 0.05 * Math.sin((hue * Math.PI) / 180)]);
      expect([L, hue, name]).toEqual([L, hue, expect.not.stringMatching(/navy|black/)]);
    }
});

const readingOf = (p: Picture): PictureReading =>
  readPicture({
    strokes: describeStrokes(p),
    likeness: describeLikeness(p),
    horizon: findHorizon(p),
    swatches: swatchesOf(p),
  });

test('light, warmth and horizon of a picture are read', () => {
  const night = readingOf(pictureOf(160, 120, (u, v) => [0.12 + 0.08 * v + 0.03 * ((u * 50) % 1), 0, -0.05]));
  const day = readingOf(pictureOf(160, 120, (_u, v) => (v > 0.7 ? [0.62, 0.03, 0.1] : [0.9, 0.02, 0.05])));
  expect(night.light).toBe('dark');
  expect(night.warmth).toBe('cool');
  expect(day.light).toBe('bright');
  expect(day.warmth).toBe('warm');
  expect(day.horizon).toBe('low');
  expect(day.colours.reduce((s, c) => s + c.weight, 0)).toBeGreaterThan(0.9);
});

const sure: PictureReading = {
  medium: { is: 'linocut', probability: 0.9 },
  places: [
    { is: 'pier', probability: 0.97 },
    { is: 'harbour', probability: 0.2 },
    { is: 'marsh', probability: 0.05 },
  ],
  time: { is: 'dusk', probability: 0.85 },
  light: 'dim',
  contrast: 'strong',
  warmth: 'warm',
  colours: [
    { name: 'navy', weight: 0.5 },
    { name: 'orange', weight: 0.3 },
  ],
};

test('what a picture is thought to show comes with its probability in thousandths, the likeliest place first', () => {
  const { medium, places, time } = readingOf(testScene(96, 64, 5));
  const all = [medium, ...places, time].map((g) => g.probability);
  for (const p of all) {
    expect(p).toBeGreaterThan(0);
    expect(p).toBeLessThanOrEqual(1);
    expect(p * 1000).toBeCloseTo(Math.round(p * 1000), 6);
  }
  const [first, second, third] = places.map((g) => g.probability);
  expect(first).toBeGreaterThanOrEqual(second);
  expect(second).toBeGreaterThanOrEqual(third);
  expect(first + second + third).toBeLessThanOrEqual(1.0015);
  // the likeliest of all media has at least its even share
  expect(medium.probability).toBeGreaterThanOrEqual(Math.floor(1000 / MEDIA.length) / 1000);
});

const ILSE: SeenPeople = {
  ...{ people: 1, near: 'half figure', hair: 'red', hairLength: 'long', posture: 'sitting' },
  clothes: srgbToLab(46, 139, 87),
};

describe('candidate prompts', () => {
  test('say who, hair, clothes, posture and place where they are sure, in words that our own reader understands', () => {
    const prompts = promptsFor(sure, ILSE);
    expect(prompts).toEqual([
      'half figure of somebody on the pier at dusk',
      'half figure of somebody with long red hair, in a green top, sitting on the pier at dusk',
      'linocut: half figure of somebody with long red hair, in a green top, sitting on the pier at dusk',
    ]);
    const brief = understand(prompts[2]);
    expect([brief.unheard, brief.unused]).toEqual([[], []]);
    expect(brief).toMatchObject({ place: 'pier', time: 'dusk', medium: 'linocut' });
  });
  test('name no place, time or medium of which there is no evidence', () => {
    const guessed: PictureReading = {
      ...sure,
      medium: { is: 'linocut', probability: 0.79 },
      places: [{ is: 'harbour', probability: 0.94 }],
      time: { is: 'dusk', probability: 0.99 },
    };
    expect(promptsFor(guessed, { people: 1 })).toEqual(['somebody']);
    expect(promptsFor(guessed, { people: 3 })).toEqual(['three people']);
    expect(wordsOf(guessed)).toBe('dim warm navy orange');
    expect(altTextOf('A picture', guessed)).toBe('A picture: dim light; navy and orange');
  });
  test('are none where nothing but colours is known', () => {
    expect(promptsFor({ ...sure, places: [{ is: 'harbour', probability: 0.5 }] })).toEqual([]);
  });
});

test('words to be found by, and a sentence for those who cannot see', () => {
  expect(wordsOf(sure)).toBe('linocut pier dusk dim warm navy orange');
  expect(altTextOf('Winter pier', sure)).toBe(
    'Winter pier: on the pier at dusk; dim light; navy and orange; like linocut',
  );
  const about = { seen: ILSE, plainGround: true };
  expect(altTextOf('Ilse', { ...sure, places: [] }, about)).toBe(
    'Ilse: half figure of somebody with long red hair, in a green top, sitting; on a plain navy ground; dim light; navy and orange; like linocut',
  );
});

describe('who is seen', () => {
  const face = (height: number, left = 0.3) => ({
    box: { left, top: 0.1, right: left + height * 0.7, bottom: 0.1 + height },
    score: 0.9,
  });
  const trait = (fields: object, confidence: number) => ({ ...fields, confidence });
  const BLACK = { colour: [0.18, 0, 0] as Lab };

  test('how near somebody is, by the face', () => {
    const near = (height: number) => seenPeople({ faces: [face(height)], joints: [] }).near;
    expect([near(0.5), near(0.2), near(0.1)]).toEqual(['portrait', 'half figure', undefined]);
    expect(seenPeople({ faces: [face(0.2), face(0.1, 0.7), face(0.02, 0.9)], joints: [] }).people).toBe(2);
  });
  test('nobody is seen where there is neither face nor body', () => {
    expect(seenPeople({ faces: [], joints: [] })).toEqual({ people: 0 });
    expect(seenPeople({ faces: [], joints: standing().slice(0, 4) }).people).toBe(0);
    expect(seenPeople({ faces: [], joints: [...standing(), ...standing(0.3)] })).toEqual({
      people: 1,
      posture: 'standing',
    });
  });
  test('hair and clothes are said where they are sure, in words that are right', () => {
    const hair = (confidence: number, is: object = BLACK) =>
      seenPeople({ faces: [face(0.4)], joints: [], traits: { hair: trait(is, confidence) } }).hair;
    expect([hair(0.85), hair(0.7)]).toEqual(['black', undefined]);
    expect(hair(0.9, { colour: [0.6, -0.15, 0.1] as Lab })).toBeUndefined();
    expect(hairWord([0.8, 0.01, 0.1])).toBe('blond');
    expect(hairWord([0.42, 0.03, 0.05])).toBe('brown');
  });
  test('somebody stands or sits by hips, knees and ankles; where these are not seen nothing is said', () => {
    expect(postureOf(standing())).toBe('standing');
    expect(postureOf(standing().map((j) => (/Knee/.test(j.name) ? { ...j, y: 0.55 } : j)))).toBe('sitting');
    expect(postureOf(standing().filter((j) => !/Ankle/.test(j.name)))).toBeUndefined();
    expect(postureOf(standing().map((j) => ({ ...j, score: 0.1 })))).toBeUndefined();
  });

  /** Shoulders, hips, knees and ankles of somebody upright. */
  function standing(left = 0): FoundJoint[] {
    const ys = { Shoulder: 0.3, Hip: 0.5, Knee: 0.7, Ankle: 0.9 };
    return Object.entries(ys).flatMap(([part, y]) =>
      ['left', 'right'].map((side) => ({ name: `${side}${part}`, x: 0.5 + left, y, score: 0.8 })),
    );
  }
});

test('the manner of a picture has unit length and does not change with its subject as much as with its grain', () => {
  const manner = (p: Picture) => mannerOf(describeStrokes(p));
  const m = manner(testScene(1));
  expect(Math.hypot(...m)).toBeCloseTo(1, 5);
  expect(m).toHaveLength(MEDIA.length);
});
