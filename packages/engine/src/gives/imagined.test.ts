import { STRANGERS, understand, type Lab, type PersonBrief, type TraitSheet } from '@urbild/core';
import { withTraits } from '../painter/people/fromTraits';
import { personFrom } from '../painter/people/fromWords';
import { influence } from '../testing';
import { asDrawn, imaginedColours } from './imagined';
import { figureDistances } from '../render/figures';

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

describe('what somebody looks like in the studio', () => {
  const drawn: TraitSheet = {
    'hair style': { choice: 'long', confidence: 0.8 },
    glasses: { choice: 'yes', confidence: 0.8 },
  };
  const who = (subject: string) => influence({ gives: 'character', subject });
  test('has the made-up colours of their name, half believed, and all that is known besides', () => {
    const asIs = asDrawn(who('Runa'), drawn);
    expect(asIs).toMatchObject(drawn);
    const imagined = imaginedColours(who('Runa'), drawn);
    expect(asIs.hair!.colour).toEqual(imagined.hair!.colour);
    expect(asIs.hair!.confidence).toBeLessThan(imagined.hair!.confidence);
    expect(asDrawn(who('Runa'), drawn)).toEqual(asIs);
  });
  test('known colours are as they are', () => {
    const hair = { colour: [0.5, 0.1, 0.1] as Lab, confidence: 0.9 };
    expect(asDrawn(who('Runa'), { ...drawn, hair }).hair).toEqual(hair);
  });
  test('so a take in those colours is recognised, and one in others is not', () => {
    const figure = (traits: TraitSheet) => ({
      kind: 'person' as const,
      name: 'Runa',
      box: [0, 0, 1, 1] as const,
      joints: {},
      traits,
    });
    const arrival = (traits: TraitSheet) => {
      const take = [figure(traits)];
      const asked = { influence: who('Runa'), take, control: take, sheet: drawn, aspect: { picture: 1, reference: 1 } };
      return (figureDistances(asked).identity as { value: number }).value;
    };
    const sure = (sheet: TraitSheet): TraitSheet =>
      Object.fromEntries(Object.entries(sheet).map(([name, t]) => [name, { ...t, confidence: 0.9 }]));
    const own = sure({ ...drawn, ...imaginedColours(who('Runa'), drawn) });
    const other = {
      ...own,
      hair: { colour: [0.95, -0.1, 0.1] as Lab, confidence: 0.9 },
      skin: { colour: [0.2, 0, 0] as Lab, confidence: 0.9 },
    };
    expect(arrival(own)).toBeGreaterThan(arrival(other) + 0.2);
  });
});
