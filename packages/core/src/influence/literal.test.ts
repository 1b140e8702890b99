import fc from 'fast-check';
import { GIVES } from '../mix/gives';
import { anInfluence } from '../mix/testing';
import { literalAt } from './literal';

const everything = (fields = {}) => anInfluence('a', { gives: 'everything', weight: 1, ...fields });
const LEVELS = [0, 1, 2, 3];
const at = (level: number, fields = {}, balance = 1) => literalAt(everything(fields), balance, level, 4);

test('a picture itself comes over its redrawing above weight 1 only, coarse levels first, and never wholly', () => {
  for (const weight of [0, 0.5, 1]) expect(LEVELS.map((l) => at(l, { weight }))).toEqual([0, 0, 0, 0]);
  expect(LEVELS.map((l) => at(l, { weight: 2 }))).toEqual([0.7, 0.7, 0.7, 0.7]);
  const between = LEVELS.map((l) => at(l, { weight: 1.6 }));
  expect(between[0]).toBeGreaterThan(0.4);
  for (let l = 1; l < 4; l++) expect(between[l]).toBeLessThan(between[l - 1]);
});

test('grows steadily with the weight and with the balance, 0..1', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 2, noNaN: true }),
      fc.double({ min: 0, max: 2, noNaN: true }),
      fc.constantFrom(...LEVELS),
      (a, b, level) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(at(level, { weight: low })).toBeLessThanOrEqual(at(level, { weight: high }));
        expect(at(level, { weight: 2 }, low)).toBeLessThanOrEqual(at(level, { weight: 2 }, high));
        expect(at(level, { weight: a }, b)).toBeGreaterThanOrEqual(0);
        expect(at(level, { weight: a }, b)).toBeLessThanOrEqual(1);
      },
    ),
  );
});

test('only at the levels that its span covers', () => {
  expect(at(0, { weight: 2, from: 0, to: 0.25 })).toBeGreaterThan(0.6);
  expect(at(3, { weight: 2, from: 0, to: 0.25 })).toBe(0);
});

test('nothing of what is off, only a hint, or gives something else', () => {
  expect(at(0, { on: false })).toBe(0);
  expect(at(0, { reading: 'hint' })).toBe(0);
  for (const gives of GIVES.filter((g) => g !== 'everything')) expect(at(0, { gives })).toBe(0);
});
