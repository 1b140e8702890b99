/** Clothes that words call by name: who wears them, what they take from whose pictures, and how a take is judged in them. */
import { understand, type KnownName, type Lab, type TraitSheet } from '@urbild/core';
import { REGION } from '../painter/scene/region';
import { medianColour } from '../painter/testing';
import { compose } from '../painter/compose';
import { areaMap } from '../painter/scene/areas';
import { seenOf } from '../painter/scene/seen';
import { witnessed } from '../painter/witness';
import { paintStage } from '../painter/paint';
import type { RenderedFigure } from '../contract/result';
import { figureDistances } from '../render/figures';
import { influence } from '../testing';
import { decideIdentities } from './identities';

const colour = (...lab: Lab) => ({ colour: lab, confidence: 0.9 });
const BLUE: Lab = [0.45, -0.03, -0.14];
const RED: Lab = [0.5, 0.15, 0.08];
/** What Runa's own pictures show. */
const RUNA: TraitSheet = { hair: colour(0.25, 0.02, 0.02), upper: colour(...RED) };
const NAMES: KnownName[] = [
  {
    name: 'Runa',
    description: 'a woman with black hair',
    outfits: [
      { name: 'winter coat', wears: 'a green coat' },
      { name: 'blue things', traits: { upper: colour(...BLUE) } },
      { name: 'uniform' },
    ],
  },
];
const brief = (prompt: string) => understand(prompt, '', NAMES);
const runa = (fields = {}) => influence({ gives: 'character', subject: 'Runa', weight: 1, ...fields });
const mix = (...influences: ReturnType<typeof influence>[]) => ({ influences, balance: 1 });
const sheets = new Map([
  ['a', RUNA],
  ['b', { upper: colour(...RED) } as TraitSheet],
]);

/** The share of the clothes that each source has. */
const clothes = (prompt: string, m = mix(runa())) =>
  decideIdentities(brief(prompt), m, sheets)
    .of.get(0)
    ?.sources.map((s) => s.shares.clothes) ?? [];

test('a character that wears an outfit by name takes nothing of the clothes in its own pictures', () => {
  expect(clothes('Runa waves')[0]).toBeGreaterThan(0.5);
  expect(clothes('Runa waves in her winter coat')).toEqual([0]);
  const { sources } = decideIdentities(brief('Runa waves in her winter coat'), mix(runa()), sheets).of.get(0)!;
  expect(sources[0].shares.hair).toBeGreaterThan(0.5);
});

test('what the pictures of an outfit show is worn, also where no reference acts', () => {
  expect(clothes('Runa in her blue things')).toEqual([0, 1]);
  expect(clothes('Runa in her blue things', mix())).toEqual([1]);
});

test('an outfit that another picture gives still acts, and leaves the rest', () => {
  const [own, given, worn] = clothes(
    'Runa in her blue things',
    mix(runa(), runa({ id: 'b', gives: 'outfit', weight: 0.5 })),
  );
  expect(own).toBe(0);
  expect(given).toBeGreaterThan(0.1);
  expect(given + worn).toBeCloseTo(1, 9);
});

test('words for the clothes of an outfit go before its pictures', () => {
  const both: KnownName[] = [
    {
      name: 'Runa',
      outfits: [
        {
          name: 'cape',
          wears: 'a green coat',
          traits: { upper: colour(...RED), headwear: { choice: 'beret', confidence: 1 } },
        },
      ],
    },
  ];
  const { of } = decideIdentities(understand('Runa in her cape', '', both), mix(), new Map());
  expect(Object.keys(of.get(0)!.sources[0].sheet)).toEqual(['headwear']);
});

test('painted, the outfit is what one sees', () => {
  const dress = (words: string, m = mix(runa())) => {
    const read = brief(`half figure of Runa ${words}, front, meadow at noon`);
    const stage = paintStage(read, {
      width: 200,
      height: 240,
      seed: 3,
      identities: decideIdentities(read, m, sheets).of,
    });
    return medianColour(stage, REGION.garment)!;
  };
  const hue = (words: string) => dress(words)[2];
  expect(Math.abs(hue('') - 28)).toBeLessThan(25);
  expect(Math.abs(hue('in her winter coat') - 145)).toBeLessThan(35);
  expect(Math.abs(hue('in her blue things') - 258)).toBeLessThan(30);
});

describe('the name of an outfit is drawn', () => {
  const hear = (prompt: string) => {
    const read = brief(prompt);
    const scene = compose(read, { width: 256, height: 192, seed: 5 });
    return witnessed(read, seenOf(scene, areaMap(scene), 'gouache'));
  };
  test('where its garments are worn', () => {
    const { drawn, notDrawn } = hear('half figure of Runa in her winter coat in the meadow');
    expect(drawn.map((d) => d.text)).toContain('winter coat');
    expect(notDrawn).toEqual([]);
  });
  test('and not where nothing tells what it is', () => {
    const { notDrawn } = hear('half figure of Runa in her uniform in the meadow');
    expect(notDrawn).toEqual([
      expect.objectContaining({ text: 'uniform', why: expect.stringMatching(/words or a picture/) as string }),
    ]);
  });
});

test('whether somebody is recognised does not hang on clothes that the words changed', () => {
  const take = (outfit?: RenderedFigure['outfit']): RenderedFigure => ({
    ...{ kind: 'person', name: 'Runa', box: [0.2, 0.1, 0.8, 1], joints: {}, outfit },
    traits: { hair: colour(0.25, 0.02, 0.02), upper: colour(...BLUE) },
  });
  const others: TraitSheet[] = [{ hair: colour(0.3, 0.03, 0.03), upper: colour(...BLUE) }];
  const judged = (figure: RenderedFigure) => {
    const question = { influence: runa(), take: [figure], control: [figure], sheet: RUNA, people: others };
    const { identity } = figureDistances({ ...question, aspect: { picture: 1, reference: 1 } });
    return (identity as { value: number }).value;
  };
  // in blue she is taken for somebody who wears blue; in her blue outfit she is herself
  expect(judged(take(NAMES[0].outfits![1]))).toBeGreaterThan(judged(take()) + 0.2);
});
