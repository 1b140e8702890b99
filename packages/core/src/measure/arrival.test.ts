import fc from 'fast-check';
import { describe as describePicture } from '../describe/descriptors';
import { traitsOfParts } from '../traits/parts';
import { testScene } from '../testing';
import type { Trait } from '../traits/types';
import { arrivalOf, measureArrival } from './arrival';
import { arrivalText } from './arrivalText';

const [control, reference] = [describePicture(testScene(1)), describePicture(testScene(7))];

test('arrival is the part of the way that was gone, limited to what can be told', () => {
  expect(arrivalOf({ take: 2, control: 4 })).toBe(0.5);
  expect(arrivalOf({ take: 0, control: 4 })).toBe(1);
  expect(arrivalOf({ take: 9, control: 4 })).toBe(0);
  expect(arrivalOf({ take: 1, control: 0 })).toBeUndefined();
});

test.each([
  [undefined, 'not measured'],
  [null, 'not measured'],
  [0, 'no'],
  [0.0299, 'no'],
  [0.03, '3 %'],
  [0.515, '52 %'],
  [1, '100 %'],
])('an arrival of %s reads %s', (arrival, text) => {
  expect(arrivalText(arrival)).toBe(text);
});

test('what went away on one channel does not take from what arrived on another', () => {
  const away = measureArrival({
    gives: 'pose',
    take: control,
    control: control,
    reference,
    others: { pose: { take: 0.9, control: 0.5 } },
  });
  expect(away).toEqual({ overall: 0, channels: { pose: 0 } });
});

test('the reference itself has arrived, the control has not, on the channels that are given', () => {
  expect(measureArrival({ gives: 'look', take: reference, control: control, reference })).toEqual({
    overall: 1,
    channels: { colour: 1, surface: 1 },
  });
  expect(measureArrival({ gives: 'layout', take: control, control: control, reference })).toEqual({
    overall: 0,
    channels: { layout: 0 },
  });
});

test('pose and identity are measured by the distances that somebody else found, where they are given', () => {
  const others = { pose: { take: 1, control: 4 }, identity: { value: 0.5 } };
  expect(measureArrival({ gives: 'character', take: control, control: control, reference, others })).toEqual({
    overall: 0.5,
    channels: { identity: 0.5 },
  });
  expect(measureArrival({ gives: 'pose', take: control, control: control, reference, others }).channels).toEqual({
    pose: 0.75,
  });
  expect(measureArrival({ gives: 'pose', take: control, control: control, reference }).overall).toBeUndefined();
});

test('traits belong to parts: clothes are no face', () => {
  const skin: Trait = { colour: [0.7, 0, 0], confidence: 1 };
  const sheet = { skin, upper: skin, hair: skin };
  expect(Object.keys(traitsOfParts(sheet, ['face', 'hair']))).toEqual(['skin', 'hair']);
  expect(traitsOfParts(sheet, [])).toEqual({});
});

describe('strangers are where arrival begins', () => {
  test('what a take has in common with anybody is no arrival; a copy is all of it whatever the strangers', () => {
    const strangers = [
      { take: 3, control: 4 },
      { take: 2, control: 4 },
      { take: 8, control: 4 },
    ];
    expect(arrivalOf({ take: 3, control: 4 }, strangers)).toBe(0);
    expect(arrivalOf({ take: 0, control: 4 }, strangers)).toBe(1);
    expect(arrivalOf({ take: 2, control: 4 }, strangers)).toBeCloseTo((0.5 - 0.25) / 0.75);
  });

  test('strangers from whom a take went away do not raise it, and those who are as it leave a tenth', () => {
    expect(arrivalOf({ take: 2, control: 4 }, [{ take: 9, control: 4 }])).toBe(0.5);
    expect(arrivalOf({ take: 0.1, control: 4 }, [{ take: 0, control: 4 }])).toBeCloseTo(0.75);
    expect(arrivalOf({ take: 2, control: 4 }, [{ take: 1, control: 0 }])).toBe(0.5);
  });

  test('nearer to the reference is never less, for any strangers', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ take: fc.double({ min: 0, max: 9, noNaN: true }), control: fc.constantFrom(1, 4) })),
        fc.double({ min: 0, max: 9, noNaN: true }),
        fc.double({ min: 0, max: 9, noNaN: true }),
        (strangers, a, b) => {
          const at = (take: number) => arrivalOf({ take, control: 4 }, strangers)!;
          expect(at(Math.min(a, b))).toBeGreaterThanOrEqual(at(Math.max(a, b)) - 1e-12);
          expect(at(a)).toBeGreaterThanOrEqual(0);
          expect(at(a)).toBeLessThanOrEqual(1);
        },
      ),
    );
  });

  test('strangers that were compared with a picture before say the same again', () => {
    const strangers = [3, 4, 5].map((seed) => describePicture(testScene(seed)));
    const at = (take: typeof control, list: typeof strangers) =>
      measureArrival({ gives: 'everything', take, control, reference, strangers: list });
    const [first, other] = [reference, describePicture(testScene(10))];
    const fresh = [at(first, [...strangers]), at(other, [...strangers])];
    expect([at(first, strangers), at(other, strangers), at(first, strangers)]).toEqual([...fresh, fresh[0]]);
    expect(fresh[0]).not.toEqual(fresh[1]);
  });

  test('a take of one reference has not arrived at another one', () => {
    const others = [3, 4, 5].map((seed) => describePicture(testScene(seed)));
    const input = { gives: 'palette' as const, control, reference, strangers: others };
    const none = measureArrival({ ...input, take: others[0], reference: others[1] }).overall!;
    expect(measureArrival({ ...input, take: reference }).overall).toBe(1);
    expect(none).toBeLessThan(0.6);
  });
});

test('what cannot be told says why; what was judged on a part says on how much', () => {
  const said = measureArrival({
    gives: 'character',
    take: control,
    control,
    reference,
    others: { identity: 'The head is too small.' },
  });
  expect(said).toEqual({ overall: undefined, channels: {}, untold: { identity: 'The head is too small.' } });
  const posed = measureArrival({
    gives: 'pose',
    take: control,
    control,
    reference,
    others: { pose: { take: 1, control: 2, part: 0.2 } },
  });
  expect(posed).toEqual({ overall: 0.5, channels: { pose: 0.5 }, parts: { pose: 0.2 } });
  const agreed = measureArrival({ gives: 'palette', take: control, control, reference: control });
  expect(agreed.untold!.colour).toMatch(/as near to it already/);
});

test('an arrangement that was judged by its areas goes before what tones tell of it', () => {
  const input = { gives: 'layout', take: control, control, reference } as const;
  expect(measureArrival({ ...input, others: { layout: { value: 0.8 } } })).toEqual({
    overall: 0.8,
    channels: { layout: 0.8 },
  });
  expect(measureArrival(input).channels.layout).toBe(0);
  // who gives no arrangement is not asked for one
  expect(
    measureArrival({ ...input, gives: 'palette', others: { layout: { value: 0.8 } } }).channels.layout,
  ).toBeUndefined();
});
