import { STRANGERS, understand, type PersonBrief, type TraitSheet } from '@urbild/core';
import { withTraits } from '../painter/people/fromTraits';
import { personFrom } from '../painter/people/fromWords';
import { influence } from '../testing';
import { imaginedColours } from './imagined';

/** What a pencil drawing tells. */
const DRAWN: TraitSheet = {
  'hair style': { choice: 'bowl', confidence: 0.8 },
  glasses: { choice: 'yes', confidence: 0.9 },
};
const of = (subject: string, sheet = DRAWN) =>
  imaginedColours(influence({ subject, pictures: [{ content: 'a', weight: 1 }] }), sheet);

test('whoever has no colours gets some, the same ones every time', () => {
  expect(Object.keys(of('Runa'))).toEqual(expect.arrayContaining(['skin', 'eyes', 'upper']));
  expect(of('Runa')).toEqual(of('Runa'));
  const all = Array.from({ length: 30 }, (_, k) => JSON.stringify(of(`Somebody ${k}`)));
  expect(new Set(all).size).toBeGreaterThan(10);
});

test('what is known is never made up, what was hardly read is', () => {
  const known: TraitSheet = { ...DRAWN, hair: { colour: [0.5, 0.1, 0.1], confidence: 0.6 } };
  expect(of('Runa', known).hair).toBeUndefined();
  const hardly: TraitSheet = { ...DRAWN, skin: { colour: [0.5, 0.1, 0.1], confidence: 0.05 } };
  expect(of('Runa', hardly).skin).toBeDefined();
});

test('of a thing, a creature or nobody nothing is made up', () => {
  expect(of('Runa', {})).toEqual({});
  expect(of('Brom', { body: { colour: [0.5, 0, 0], confidence: 1 } })).toEqual({});
});

describe('in a picture', () => {
  const shares = { face: 1, hair: 1, build: 1, clothes: 1 };
  const drawn = (prompt: string) => {
    const [brief] = understand(prompt).entities as PersonBrief[];
    const imagined = { hair: STRANGERS[0].hair, skin: STRANGERS[0].skin, upper: STRANGERS[0].upper };
    return withTraits(personFrom(brief, 0), brief, { sources: [{ sheet: DRAWN, imagined, shares }], over: shares });
  };

  test('scenes that know nothing of them show the same colours', () => {
    const [one, other] = ['half figure of a woman on the pier', 'portrait of an old man in the kitchen'].map(drawn);
    one.hair.colour.forEach((v, k) => expect(v).toBeCloseTo(other.hair.colour[k], 9));
    one.skin.forEach((v, k) => expect(v).toBeCloseTo(other.skin[k], 9));
  });

  test('what the words say goes before what is made up', () => {
    const [said, plain] = ['portrait of a woman with black hair', 'portrait of a woman'].map(drawn);
    expect(said.hair.colour[0]).toBeLessThan(0.4);
    expect(plain.hair.colour[0]).toBeGreaterThan(0.6);
  });
});
