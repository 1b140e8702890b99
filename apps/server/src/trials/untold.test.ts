import type { Arrival } from '@urbild/core';
import { untoldIn } from './untold';

const take = (arrivals: Record<string, Arrival>) => ({ measurements: { arrivals, timings: {} } });
const WHY = 'The head is too small or turned away.';
const none: Arrival = { channels: {}, untold: { identity: WHY } };

test('a target that no take says anything of cannot be searched for, and says why', () => {
  expect(
    untoldIn([take({ face: none, look: { overall: 0.4, channels: { colour: 0.4 } } })], {
      arrivals: { face: 0.8, look: 0.5 },
    }),
  ).toEqual([{ influence: 'face', why: WHY }]);
});

test('one of several shots that tells it is enough', () => {
  const told: Arrival = { overall: 0, channels: { identity: 0 } };
  expect(untoldIn([take({ face: none }), take({ face: told })], { arrivals: { face: 0.8 } })).toEqual([]);
});

test('without a reason of its own it says that nothing can be measured; words alone need no influence', () => {
  expect(untoldIn([take({})], { arrivals: { a: 0.5 } })[0].why).toMatch(/nothing in a picture/);
  expect(untoldIn([take({})], { arrivals: {}, wordsKept: 0.9 })).toEqual([]);
});
