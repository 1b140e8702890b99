import fc from 'fast-check';
import { CHANNELS, GIVES, sharesAt, type Influence } from '@urbild/core';
import type { Mix, Reference, Take } from '../../api/client';
import { alone, changed, moved, showsMix, warningsFor } from './influences';
import { lookupIn, type Source } from '../../shared/mix/lookup';
import { newInfluence } from '../../shared/mix/newInfluences';
import { sharesFor } from './shares';

const reference = (kind: Reference['kind'], id = kind): Reference => ({ id, kind, title: `a ${kind}` }) as Reference;

const sources = (...all: Reference[]) =>
  new Map(all.map((r): [string, Source] => [r.id, { name: r.title, hue: r.kind }]));

test('the chart shows the shares of the formula, and all of them together sum to 1', () => {
  const span = fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }));
  const influence = fc
    .record({
      id: fc.uuid(),
      gives: fc.constantFrom(...GIVES),
      weight: fc.double({ min: 0, max: 2, noNaN: true }),
      span,
      on: fc.boolean(),
    })
    .map(({ span: s, ...rest }): Influence => ({ ...rest, from: Math.min(...s), to: Math.max(...s) }));
  fc.assert(
    fc.property(fc.array(influence, { maxLength: 4 }), fc.double({ min: 0, max: 1, noNaN: true }), (influences, t) => {
      const mix = { influences, balance: 1 };
      for (const c of CHANNELS) expect(sharesFor(mix, c, t).influences).toEqual([...sharesAt(mix, c, t).influences]);
      const all = sharesFor(mix, 'all', t);
      expect(all.words + all.influences.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      expect(Math.min(all.words, ...all.influences)).toBeGreaterThanOrEqual(-1e-9);
    }),
  );
});

test('every kind of reference has first values that raise no warning', () => {
  for (const kind of ['style', 'character', 'face', 'image'] as const) {
    const influence = newInfluence(reference(kind));
    const mix = { influences: [influence], settings: { aspect: '3:2', seed: 1, balance: 1 } } as unknown as Mix;
    expect(warningsFor(mix, lookupIn(sources(reference(kind))), GIVES)).toEqual([]);
  }
  expect(newInfluence(reference('style')).id).not.toBe(newInfluence(reference('style')).id);
});

test('warnings speak of references by their titles', () => {
  const influence = { ...newInfluence(reference('style')), weight: 3 };
  const mix = { influences: [influence], settings: { aspect: '3:2', seed: 1, balance: 1 } } as unknown as Mix;
  expect(
    warningsFor(mix, lookupIn(sources(reference('style'))), undefined)
      .map((w) => w.cause)
      .join(),
  ).toContain('a style');
  expect(
    warningsFor(mix, lookupIn(sources()), undefined)
      .map((w) => w.cause)
      .join(),
  ).toContain('was archived');
});

test('a take shows a mix only if words, seed and influences are the same', () => {
  const influences = [newInfluence(reference('style'))];
  const settings = { seed: 4, balance: 1 };
  const mix = { prompt: 'marsh', settings, influences } as unknown as Mix;
  const take = { prompt: 'marsh', seed: 4, settings, influences: structuredClone(influences) } as unknown as Take;
  expect(showsMix(take, mix)).toBe(true);
  const { id, ...rest } = influences[0];
  expect(showsMix({ ...take, influences: [{ ...rest, id }] }, mix)).toBe(true);
  expect(showsMix({ ...take, seed: 5 }, mix)).toBe(false);
  const start = { of: 'take' as const, id: 't', change: 0.5 };
  expect(showsMix({ ...take, settings: { ...take.settings, start } }, mix)).toBe(false);
  expect(showsMix({ ...take, settings: { ...take.settings, balance: 0.5 } }, mix)).toBe(false);
  for (const more of [
    { medium: 'pastel' as const },
    { strictness: 0.9 },
    { ornateness: 0.1 },
    { spread: 0 },
    { emphases: [{ words: 'marsh', weight: 2 }] },
  ])
    expect(showsMix({ ...take, settings: { ...take.settings, ...more } }, mix)).toBe(false);
  const usual = { strictness: 0.5, ornateness: 0.5, spread: 1, emphases: [{ words: 'marsh', weight: 1 }] };
  expect(showsMix({ ...take, settings: { ...take.settings, ...usual } }, mix)).toBe(true);
  expect(showsMix({ ...take, influences: [{ ...influences[0], weight: 0.1 }] }, mix)).toBe(false);
  expect(showsMix({ ...take, influences: [{ ...influences[0], motif: 1.4 }] }, mix)).toBe(false);
});

test('what a take found out of an influence is a warning as long as the influence gives the same', () => {
  const influence = { ...newInfluence(reference('face')), gives: 'pose' as const, weight: 0.5 };
  const mix = { influences: [influence], settings: { balance: 1 } } as unknown as Mix;
  const take = {
    influences: [influence],
    remarks: [{ influenceId: influence.id, kind: 'nothing-to-give' as const }],
    words: [],
  };
  const lookup = lookupIn(sources(reference('face')));
  expect(warningsFor(mix, lookup, GIVES, take)[0].cause).toContain('a face has no pose to give');
  const other = { ...mix, influences: [{ ...influence, gives: 'look' as const }] } as Mix;
  expect(warningsFor(other, lookup, GIVES, take)).toEqual([]);
});

test('what a take has lost of its words is a warning that offers to halve what lies over it', () => {
  const influence = { ...newInfluence(reference('style')), weight: 1 };
  const mix = { influences: [influence], settings: { balance: 1 } } as unknown as Mix;
  const words = [{ start: 0, end: 3, text: 'dog', means: 'creature: dog', found: 0.1 }];
  const [first] = warningsFor(mix, lookupIn(sources(reference('style'))), GIVES, {
    influences: [influence],
    remarks: [],
    words,
  });
  expect(first.kind).toBe('lost-words');
  expect(first.cause).toContain('"dog" can hardly be found');
  expect(first.fix!.changes).toEqual([{ influence: influence.id, set: { weight: 0.5 } }]);
});

describe('several lanes', () => {
  const list = ['a', 'b', 'c'].map((id, k) => ({
    ...newInfluence(reference('style')),
    id,
    weight: [0.4, 0.8, 1.2][k],
  }));
  const weights = (all: typeof list) => all.map((i) => i.weight);

  test('chosen lanes are scaled together, others stay', () => {
    const together = new Set(['a', 'c']);
    expect(weights(changed(list, 'a', { weight: 0.2 }, together) as typeof list)).toEqual([0.2, 0.8, 0.6]);
    expect(weights(changed(list, 'b', { weight: 0.2 }, together) as typeof list)).toEqual([0.4, 0.2, 1.2]);
    expect(weights(changed(list, 'a', { weight: 2 }, together) as typeof list)).toEqual([2, 0.8, 4]);
    const silent = list.map((i) => ({ ...i, weight: 0 }));
    expect(weights(changed(silent, 'a', { weight: 0.5 }, together) as typeof list)).toEqual([0.5, 0, 0.5]);
    expect(changed(list, 'a', { from: 0.2 }, together)[2]).toEqual(list[2]);
  });

  test('the order changes by steps or onto the place of another, and nothing gets lost', () => {
    const ids = (all: readonly { id: string }[]) => all.map((i) => i.id).join('');
    expect(ids(moved(list, 'a', 1))).toBe('bac');
    expect(ids(moved(list, 'a', -1))).toBe('abc');
    expect(ids(moved(list, 'c', 'a'))).toBe('cab');
    expect(ids(moved(list, 'q', 1))).toBe('abc');
  });

  test('alone, and with the others again', () => {
    const one = alone(list, 'b');
    expect(one.map((i) => i.on)).toEqual([false, true, false]);
    expect(alone(one, 'b').every((i) => i.on)).toBe(true);
  });
});
