import fc from 'fast-check';
import {
  channelsOf,
  combinedSharesAt,
  divideWeight,
  envelope,
  gate,
  givesFactor,
  meanGate,
  meanShares,
  partOfGive,
  partsOf,
  pullOf,
  shareAgainstNamedTrait,
  sharesAt,
} from './formula';
import { GIVES } from '../mix/gives';
import { CHANNELS, type Channel } from '../mix/gives/give';
import type { Influence, Weighing } from './types';

const moment = fc.double({ min: 0, max: 1, noNaN: true });
const channel = fc.constantFrom<Channel>(...CHANNELS);
const influence: fc.Arbitrary<Influence> = fc
  .record({
    id: fc.uuid(),
    gives: fc.constantFrom(...GIVES),
    weight: fc.double({ min: 0, max: 4, noNaN: true }),
    span: fc.tuple(moment, moment),
    on: fc.boolean(),
  })
  .map(({ span, ...rest }) => ({ ...rest, from: Math.min(...span), to: Math.max(...span) }));
const mixOf = (influences: readonly Influence[], balance = 1): Weighing => ({ influences, balance });
const mix = fc.record({
  influences: fc.array(influence, { maxLength: 6 }),
  balance: fc.double({ min: 0, max: 2, noNaN: true }),
});
const look = (fields: Partial<Influence> = {}): Influence => ({
  id: 'a',
  gives: 'look',
  weight: 1,
  from: 0,
  to: 1,
  on: true,
  ...fields,
});

describe('shares', () => {
  test('of words and references sum to 1 at every moment of every channel', () => {
    fc.assert(
      fc.property(mix, channel, moment, (m, c, t) => {
        const { influences, words } = sharesAt(m, c, t);
        expect(words + influences.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        for (const s of [...influences, words]) expect(s).toBeGreaterThanOrEqual(-1e-12);
      }),
    );
  });

  test('grow with their own weight and never with that of another', () => {
    fc.assert(
      fc.property(
        fc.array(influence, { minLength: 2, maxLength: 5 }),
        channel,
        moment,
        fc.double({ min: 0.01, max: 2, noNaN: true }),
        (influences, c, t, more) => {
          const heavier = influences.map((i, k) => (k === 0 ? { ...i, weight: i.weight + more } : i));
          const before = sharesAt(mixOf(influences), c, t);
          const after = sharesAt(mixOf(heavier), c, t);
          expect(after.influences[0]).toBeGreaterThanOrEqual(before.influences[0] - 1e-12);
          for (let k = 1; k < influences.length; k++)
            expect(after.influences[k]).toBeLessThanOrEqual(before.influences[k] + 1e-12);
          expect(after.words).toBeLessThanOrEqual(before.words + 1e-12);
        },
      ),
    );
  });

  test('vanish outside the span, when off, and on channels that are not given', () => {
    fc.assert(
      fc.property(influence, channel, moment, (i, c, t) => {
        const [share] = sharesAt(mixOf([i]), c, t).influences;
        if (!i.on || t < i.from || t > i.to || givesFactor(i.gives, c) === 0) expect(share).toBe(0);
      }),
    );
  });

  test('change smoothly with the weight', () => {
    fc.assert(
      fc.property(fc.array(influence, { minLength: 1, maxLength: 4 }), channel, moment, (influences, c, t) => {
        const nudged = influences.map((i, k) => (k === 0 ? { ...i, weight: i.weight + 1e-6 } : i));
        const change = sharesAt(mixOf(nudged), c, t).influences[0] - sharesAt(mixOf(influences), c, t).influences[0];
        // d(share)/d(weight) is at most m x balance / max(1, W), or 1 / W above it
        expect(Math.abs(change)).toBeLessThanOrEqual(1.0001e-6);
      }),
    );
  });

  test('of two equal looks are equal, and together they leave the words what one at their sum leaves', () => {
    const two = sharesAt(mixOf([look({ weight: 0.3 }), look({ id: 'b', weight: 0.3 })]), 'surface', 0.5);
    expect(two.influences).toEqual([0.3, 0.3]);
    expect(two.words).toBeCloseTo(sharesAt(mixOf([look({ weight: 0.6 })]), 'surface', 0.5).words, 12);
  });

  test('say how literal a reference is taken above a sum of 1', () => {
    expect(sharesAt(mixOf([look({ weight: 0.8 })]), 'colour', 0.3).over).toBe(1);
    expect(sharesAt(mixOf([look({ weight: 1.5 })], 1.2), 'colour', 0.3).over).toBeCloseTo(1.8, 12);
  });

  test('of one subject do not count for another', () => {
    const m = mixOf([
      look({ gives: 'character', subject: 'Ilse' }),
      look({ id: 'b', gives: 'character', subject: 'Marek' }),
    ]);
    expect(sharesAt(m, 'identity', 0.1, { subject: 'Ilse' }).influences).toEqual([1, 0]);
    expect(sharesAt(m, 'identity', 0.1).influences).toEqual([0.5, 0.5]);
  });
});

describe('parts of an identity', () => {
  const m = mixOf([
    look({ gives: 'face' }),
    look({ id: 'b', gives: 'outfit' }),
    look({ id: 'c', gives: 'character', weight: 0.5, parts: ['clothes', 'build'] }),
  ]);

  test('a face and an outfit do not take from each other', () => {
    expect(sharesAt(m, 'identity', 0.1, { part: 'face' }).influences).toEqual([1, 0, 0]);
    expect(sharesAt(m, 'identity', 0.1, { part: 'build' }).influences).toEqual([0, 0, 0.5]);
    const clothes = sharesAt(m, 'identity', 0.1, { part: 'clothes' });
    expect(clothes.influences[1]).toBeCloseTo(2 / 3, 12);
    expect(clothes.influences[2]).toBeCloseTo(1 / 3, 12);
  });

  test('whole people carry every part, looks and things none', () => {
    expect(partsOf({ gives: 'everything' })).toEqual(partsOf({ gives: 'character' }));
    expect(partsOf({ gives: 'character', parts: ['hair'] })).toEqual(['hair']);
    for (const gives of ['look', 'thing', 'pose', 'layout'] as const) expect(partsOf({ gives })).toEqual([]);
  });
});

describe('balance', () => {
  test('0 silences every reference, 1 changes nothing', () => {
    fc.assert(
      fc.property(fc.array(influence, { maxLength: 4 }), channel, moment, (influences, c, t) => {
        expect(sharesAt(mixOf(influences, 0), c, t).words).toBe(1);
        influences.forEach((i) => expect(pullOf(i, c, t, 1)).toBeCloseTo(pullOf(i, c, t, 2) / 2, 12));
      }),
    );
  });
});

describe('mean shares', () => {
  test('of a whole span at weight 1 are exactly the factor of what is given', () => {
    for (const gives of GIVES)
      for (const c of CHANNELS)
        expect(meanShares(mixOf([look({ gives })]), c).influences[0]).toBeCloseTo(givesFactor(gives, c), 12);
  });

  test('over parts of the course average to the mean over the whole', () => {
    const m = mixOf([look({ weight: 0.7, from: 0.2, to: 0.8 })]);
    const weightOf = (from: number, to: number) => {
      let sum = 0;
      for (let t = from + 0.0005; t < to; t += 0.001) sum += envelope('surface', t) * 0.001;
      return sum;
    };
    const parts = [0, 0.25, 0.5, 0.75].map((f) => [
      meanShares(m, 'surface', f, f + 0.25).influences[0],
      weightOf(f, f + 0.25),
    ]);
    const total = parts.reduce((s, [share, w]) => s + share * w, 0) / weightOf(0, 1);
    expect(total).toBeCloseTo(meanShares(m, 'surface').influences[0], 2);
  });

  test('an early span rules the palette, a late one the surface', () => {
    const early = mixOf([look({ to: 0.25 })]);
    const late = mixOf([look({ from: 0.5 })]);
    expect(meanShares(early, 'colour').influences[0]).toBeGreaterThan(0.5);
    expect(meanShares(late, 'colour').influences[0]).toBeLessThan(0.1);
    expect(meanShares(early, 'surface').influences[0]).toBeLessThan(0.1);
    expect(meanShares(late, 'surface').influences[0]).toBeGreaterThan(0.7);
  });
});

describe('gate', () => {
  test('has ramps just inside its ends, but none at the ends of the course', () => {
    expect(gate({ from: 0, to: 1 }, 0)).toBe(1);
    expect(gate({ from: 0, to: 1 }, 1)).toBe(1);
    expect(gate({ from: 0.2, to: 0.6 }, 0.2)).toBe(0);
    expect(gate({ from: 0.2, to: 0.6 }, 0.22)).toBeCloseTo(0.5, 9);
    expect(gate({ from: 0.2, to: 0.6 }, 0.24)).toBeCloseTo(1, 9);
    expect(gate({ from: 0.2, to: 0.6 }, 0.61)).toBe(0);
    expect(gate({ from: 0.5, to: 0.5 }, 0.5)).toBe(0);
  });

  test('its mean is about the part that a span covers', () => {
    expect(meanGate({ from: 0, to: 1 }, 0.25, 0.5)).toBe(1);
    expect(meanGate({ from: 0.25, to: 0.75 }, 0, 1)).toBeCloseTo(0.46, 2);
  });
});

test('envelopes: layout first, colour next, surface last', () => {
  expect([envelope('layout', 0), envelope('layout', 0.4), envelope('colour', 0.35), envelope('colour', 0.7)]).toEqual([
    1, 0, 0.5, 0,
  ]);
  expect(
    [envelope('surface', 0.1), envelope('surface', 0.4), envelope('surface', 0.7), envelope('surface', 1)].map(
      (v) => Math.round(v * 1e9) / 1e9,
    ),
  ).toEqual([0, 0.5, 1, 1]);
});

test('everything gives on all channels, a palette on colour alone', () => {
  expect(channelsOf('everything').sort()).toEqual([...CHANNELS].sort());
  expect(channelsOf('palette')).toEqual(['colour']);
});

test('a named trait counts as a pull of 1', () => {
  expect([0, 1, 3].map((total) => shareAgainstNamedTrait(total))).toEqual([0, 0.5, 0.75]);
  // strict words count twice, words that do not hold at all not
  expect([0, 1, 2].map((words) => shareAgainstNamedTrait(1, words))).toEqual([1, 0.5, 1 / 3]);
  expect(shareAgainstNamedTrait(0, 0)).toBe(0);
});

test('the weight of a look is divided over its pictures', () => {
  expect(divideWeight(0.9, [2, 1, 0])).toEqual([0.6, 0.3, 0]);
  expect(divideWeight(1, [0, 0])).toEqual([0, 0]);
});

describe('shares over all channels', () => {
  test('and the words sum to 1 at every moment, and lie between the least and the most of the channels', () => {
    fc.assert(
      fc.property(mix, moment, (m, t) => {
        const { influences, words, over } = combinedSharesAt(m, t);
        expect(influences.reduce((a, b) => a + b, words)).toBeCloseTo(1, 9);
        expect(over).toBeGreaterThanOrEqual(1);
        const deciding = CHANNELS.filter((c) => envelope(c, t) > 0).map((c) => sharesAt(m, c, t).influences);
        influences.forEach((share, i) => {
          const all = deciding.map((one) => one[i]);
          expect(share).toBeGreaterThanOrEqual(Math.min(1, ...all) * (all.length ? 1 : 0) - 1e-9);
          expect(share).toBeLessThanOrEqual(Math.max(0, ...all) + 1e-9);
        });
      }),
    );
  });

  test('count a channel as much as it is decided just then', () => {
    const layout = look({ gives: 'layout' });
    // at .2 layout and pose are half decided, identity and colour 1 - .2 / .7, surface a sixth
    const parts = { layout: 0.5, pose: 0.5, identity: 1 - 0.2 / 0.7, colour: 1 - 0.2 / 0.7, surface: 1 / 6 };
    const total = Object.values(parts).reduce((a, b) => a + b, 0);
    expect(combinedSharesAt(mixOf([layout]), 0.2).influences[0]).toBeCloseTo(parts.layout / total, 9);
  });
});

test('a share is a part of the most that its give has: .35 of the colour is half of the light, and more is never more than all', () => {
  expect(partOfGive('light', 'colour', 0.35)).toBeCloseTo(0.5, 9);
  expect(partOfGive('palette', 'colour', 0.35)).toBeCloseTo(0.35, 9);
  expect(partOfGive('light', 'colour', 0.9)).toBe(1);
});
