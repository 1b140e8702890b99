import { arrivalsOf } from './arrivals';
import type { Take } from './take.entity';

const take = (arrivals: object | null) =>
  ({ measurements: arrivals && { arrivals } }) as unknown as Pick<Take, 'measurements'>;

test('a take that is not measured yet has none', () => {
  expect(arrivalsOf(take(null))).toEqual({});
});

test('what an older studio stored below zero is none of it, and what cannot be told stays untold', () => {
  const stored = {
    a: { overall: -0.01, channels: { colour: -0.07, surface: 0.01, layout: 0.03 } },
    b: { overall: 0.4, channels: { colour: 0.4 } },
    c: { channels: {} },
  };
  expect(arrivalsOf(take(stored))).toEqual({
    a: { overall: 0, channels: { colour: 0, surface: 0.01, layout: 0.03 } },
    b: { overall: 0.4, channels: { colour: 0.4 } },
    c: { overall: undefined, channels: {} },
  });
});
