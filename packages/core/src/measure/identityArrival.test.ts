import fc from 'fast-check';
import { distancesToPeople } from '../traits/apart';
import { STRANGERS } from '../traits/strangers';
import type { Trait, TraitSheet } from '../traits/types';
import { identityArrival } from './identityArrival';

const colour = (L: number, a: number, b: number, confidence = 0.9): Trait => ({ colour: [L, a, b], confidence });
const choice = (value: string, confidence = 0.9) => ({ choice: value, confidence });
const RED: TraitSheet = {
  hair: colour(0.5, 0.11, 0.09),
  skin: colour(0.82, 0.03, 0.05),
  upper: colour(0.5, -0.1, 0.08),
  'hair style': choice('long'),
  'hair length': choice('long'),
  beard: choice('no'),
};
const SISTER: TraitSheet = { ...RED, upper: colour(0.54, -0.07, 0.06) };
const DARK: TraitSheet = {
  ...RED,
  hair: colour(0.2, 0.01, 0.01),
  skin: colour(0.45, 0.05, 0.06),
  beard: choice('yes'),
};

test('who looks as their sheet says has arrived and is the first of all', () => {
  expect(identityArrival(RED, RED)).toEqual({ value: 1, rank: 1, of: 1 + STRANGERS.length });
});

test('who looks like somebody else has not', () => {
  expect(identityArrival(DARK, RED)!.value).toBe(0);
  expect(identityArrival(DARK, RED)!.rank).toBeGreaterThan(5);
});

test('of two who are alike neither can be told surely, but the right one stays first', () => {
  const alone = identityArrival(RED, RED)!;
  const beside = identityArrival(RED, RED, [SISTER])!;
  expect(beside.value).toBeLessThan(alone.value);
  expect(beside.rank).toBe(1);
  expect(identityArrival(RED, SISTER, [RED])).toMatchObject({ value: 0, rank: 2 });
});

test('somebody of whom hardly anything is known has not arrived, whoever is seen', () => {
  const known = { 'hair length': choice('long', 0.5) };
  expect(identityArrival(RED, known)!.value).toBe(0);
});

test('where nothing is seen nothing can be told', () => {
  expect(identityArrival({}, RED)).toBeUndefined();
  expect(distancesToPeople({}, [RED], STRANGERS)).toBeUndefined();
});

test('who is known least is nearest to nobody', () => {
  const [own, other, unknown] = distancesToPeople(RED, [RED, DARK, {}], STRANGERS)!;
  expect(own).toBeLessThan(unknown);
  expect(unknown).toBeLessThan(other);
});

test('coming nearer to somebody never takes from their arrival', () => {
  const between = (t: number): TraitSheet => ({
    ...RED,
    hair: colour(0.2 + 0.3 * t, 0.01 + 0.1 * t, 0.01 + 0.08 * t),
    skin: colour(0.45 + 0.37 * t, 0.05 - 0.02 * t, 0.06 - 0.01 * t),
  });
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 0.98, noNaN: true }), (t) => {
      const [less, more] = [t, t + 0.02].map((at) => identityArrival(between(at), RED)!.value);
      return more >= less - 1e-9;
    }),
  );
});

test('strangers are broad: none of them is first for another', () => {
  const wrong = STRANGERS.filter((one, k) => identityArrival(one, one, STRANGERS.slice(0, k))!.rank > 1);
  expect(wrong).toEqual([]);
});

test('somebody who is in the cast twice does not stand in their own way', () => {
  const again: TraitSheet = { ...RED, hair: colour(0.505, 0.11, 0.09), skin: colour(0.825, 0.03, 0.05) };
  expect(identityArrival(RED, RED, [again])).toEqual(identityArrival(RED, RED));
  // a sister is somebody else
  expect(identityArrival(RED, RED, [SISTER])!.value).toBeLessThan(1);
});
