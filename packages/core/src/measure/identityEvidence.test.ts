import { MEAN_FACE } from '../traits/meanFace';
import { rowOf, shapeOf } from '../traits/faceShape';
import type { TraitSheet } from '../traits/types';
import { identityEvidence } from './identityEvidence';

const sure = <T extends object>(fields: T) => ({ ...fields, confidence: 0.9 });
const RUNA: TraitSheet = {
  hair: sure({ colour: [0.55, 0.1, 0.08] as never }),
  skin: sure({ colour: [0.75, 0.03, 0.05] as never }),
  eyes: sure({ colour: [0.5, -0.06, 0.05] as never }),
  'hair style': sure({ choice: 'plait' }),
  'hair length': sure({ choice: 'long' }),
  headwear: sure({ choice: 'none' }),
  glasses: sure({ choice: 'yes' }),
  beard: sure({ choice: 'no' }),
  jaw: sure({ number: 1 }),
  'face shape': sure({ shape: MEAN_FACE }),
};
const seen = (fields: TraitSheet) => identityEvidence({ ...RUNA, ...fields }, RUNA);

test('of somebody who is as known all that tells them is the same, what counts most first', () => {
  const { same, unlike } = seen({});
  expect(unlike).toEqual([]);
  expect(same.slice(0, 2).sort()).toEqual(['hair', 'skin']);
  expect(same).toEqual(expect.arrayContaining(['eyes', 'hair style', 'form of the face', 'glasses']));
});

test('that there is no beard and no hat speaks for nobody, and numbers of a face are told to nobody', () => {
  const { same, unlike } = seen({ jaw: sure({ number: 3 }) });
  expect([...same, ...unlike].join()).not.toMatch(/beard|headwear|jaw/);
});

const wide = shapeOf(rowOf(MEAN_FACE).map((v, k) => (k % 2 ? v : v * 1.5)));
test.each<[TraitSheet, string]>([
  [{ hair: sure({ colour: [0.2, 0, 0] as never }) }, 'hair black instead of rust'],
  [{ skin: sure({ colour: [0.35, 0.03, 0.05] as never }) }, 'skin brown instead of beige'],
  [{ glasses: sure({ choice: 'no' }) }, 'no glasses'],
  [{ beard: sure({ choice: 'yes' }) }, 'beard'],
  [{ headwear: sure({ choice: 'beret' }) }, 'beret'],
  [{ 'hair style': sure({ choice: 'short' }) }, 'hair style short instead of plait'],
  [{ 'hair length': sure({ choice: 'none' }) }, 'no hair'],
  [{ 'face shape': sure({ shape: wide }) }, 'another form of the face'],
])('what is not as known is told in words: %#', (fields, words) => {
  const { same, unlike } = seen(fields);
  expect(unlike).toEqual([words]);
  expect(same.length).toBeGreaterThan(3);
});

test('a hat that is missed is told by its kind, one that is there by its own', () => {
  const hatted = { ...RUNA, headwear: sure({ choice: 'beret' }) };
  expect(identityEvidence(RUNA, hatted).unlike).toEqual(['no beret']);
  expect(identityEvidence({ ...RUNA, headwear: sure({ choice: 'hat' }) }, hatted).unlike).toEqual([
    'headwear hat instead of beret',
  ]);
});

test('what was hardly read, or is not known, is not told of', () => {
  const faint = { hair: { colour: [0.1, 0, 0] as never, confidence: 0.1 } };
  expect(seen(faint).unlike).toEqual([]);
  expect(identityEvidence({ hair: RUNA.hair! }, { skin: RUNA.skin! })).toEqual({ same: [], unlike: [] });
});
