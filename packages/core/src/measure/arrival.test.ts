import { describe as describePicture } from '../describe/descriptors';
import { traitsOfParts } from '../traits/parts';
import { testScene } from '../testing';
import type { Trait } from '../traits/types';
import { arrivalOf, measureArrival } from './arrival';
import { arrivalText } from './arrivalText';

const [control, reference] = [describePicture(testScene(1)), describePicture(testScene(7))];

test('arrival is the part of the way that was gone, limited to what can be told', () => {
  expect(arrivalOf(2, 4)).toBe(0.5);
  expect(arrivalOf(0, 4)).toBe(1);
  expect(arrivalOf(9, 4)).toBe(0);
  expect(arrivalOf(1, 0)).toBeUndefined();
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
  const away = measureArrival('character', control, control, reference, { identity: { take: 0.9, control: 0.5 } });
  expect(away).toEqual({ overall: 0, channels: { identity: 0 } });
});

test('the reference itself has arrived, the control has not, on the channels that are given', () => {
  expect(measureArrival('look', reference, control, reference)).toEqual({
    overall: 1,
    channels: { colour: 1, surface: 1 },
  });
  expect(measureArrival('layout', control, control, reference)).toEqual({ overall: 0, channels: { layout: 0 } });
});

test('pose and identity are measured by the distances that somebody else found, where they are given', () => {
  const others = { pose: { take: 1, control: 4 }, identity: { take: 0.3, control: 0.6 } };
  expect(measureArrival('character', control, control, reference, others)).toEqual({
    overall: 0.5,
    channels: { identity: 0.5 },
  });
  expect(measureArrival('pose', control, control, reference, others).channels).toEqual({ pose: 0.75 });
  expect(measureArrival('pose', control, control, reference).overall).toBeUndefined();
});

test('traits belong to parts: clothes are no face', () => {
  const skin: Trait = { colour: [0.7, 0, 0], confidence: 1 };
  const sheet = { skin, upper: skin, hair: skin };
  expect(Object.keys(traitsOfParts(sheet, ['face', 'hair']))).toEqual(['skin', 'hair']);
  expect(traitsOfParts(sheet, [])).toEqual({});
});
