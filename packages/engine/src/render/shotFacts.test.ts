import type { JudgedInfluence } from '@urbild/core';
import type { RenderedFigure, ShareRecord } from '../contract/result';
import { factsOfRender, meanSharesOf } from './shotFacts';

const record = (fields: Partial<ShareRecord>): ShareRecord => ({
  channel: 'identity',
  from: 0,
  to: 1,
  influences: [0, 0],
  words: 1,
  over: 1,
  ...fields,
});
const figure = (fields: Partial<RenderedFigure>): RenderedFigure => ({
  kind: 'person',
  box: [0.2, 0.1, 0.5, 0.9],
  joints: {},
  traits: { hair: { colour: [0.5, 0, 0], confidence: 0.9 } },
  ...fields,
});
const influences = [{ id: 'look' }, { id: 'who' }];
const WHO: JudgedInfluence = { id: 'who', name: 'Ilse', gives: 'character', weight: 1, subject: 'Ilse' };

test('shares are means by how long a part of the course they were used', () => {
  const shares = [
    record({ channel: 'surface', from: 0, to: 0.25, influences: [1, 0] }),
    record({ channel: 'surface', from: 0.25, to: 1, influences: [0.2, 0.4] }),
    record({ channel: 'colour', influences: [1, 1] }),
  ];
  const { look, who } = meanSharesOf({ influences, shares }, 'surface');
  expect(look).toBeCloseTo(0.4);
  expect(who).toBeCloseTo(0.3);
  expect(meanSharesOf({ influences, shares: [] }, 'surface')).toEqual({ look: 0, who: 0 });
});

test('shares of identity are those of the subject', () => {
  const shares = [
    record({ subject: 'Ilse', part: 'face', influences: [0, 0.8] }),
    record({ subject: 'Ilse', part: 'hair', influences: [0, 0.6] }),
    record({ subject: 'Brom', part: 'face', influences: [0, 0] }),
  ];
  const { subjects } = factsOfRender({ influences, shares, figures: [figure({ name: 'Ilse' })] }, [WHO]);
  expect(subjects.who.shares.who).toBeCloseTo(0.7);
});

test('whoever an influence shows is found by name, else the first person; a creature is nobody', () => {
  const facts = (figures: RenderedFigure[]) => factsOfRender({ influences, shares: [], figures }, [WHO]).subjects.who;
  const named = facts([figure({ box: [0, 0, 1, 0.3] }), figure({ name: 'Ilse', box: [0, 0, 1, 0.7] })]);
  expect(named).toMatchObject({ there: true, height: 0.7 });
  expect(facts([figure({ box: [0, 0.1, 1, 0.3] })]).height).toBeCloseTo(0.2);
  expect(facts([figure({ kind: 'creature', name: 'Brom' })])).toMatchObject({ there: false, height: 0, traits: {} });
  expect(facts([])).toMatchObject({ there: false, traits: {} });
});

test('only what gives an identity has a subject', () => {
  const look: JudgedInfluence = { id: 'look', name: 'Chalk', gives: 'look', weight: 1 };
  const { subjects } = factsOfRender({ influences, shares: [], figures: [figure({})] }, [look]);
  expect(subjects).toEqual({});
});
