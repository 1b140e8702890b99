import { Throttle } from './throttle';

function clocked() {
  let now = 1_000_000;
  const throttle = new Throttle(() => now);
  return { throttle, pass: (ms: number) => (now += ms) };
}
const wrongTimes = (throttle: Throttle, n: number, ...keys: string[]) => {
  for (let k = 0; k < n; k++) throttle.wrong(...keys);
};

test('four wrong ones cost nothing, from the fifth on each makes the wait twice as long', () => {
  const { throttle } = clocked();
  wrongTimes(throttle, 4, 'a');
  expect(throttle.wait('a')).toBe(0);
  const waits = [2_000, 4_000, 8_000, 16_000];
  for (const wait of waits) {
    throttle.wrong('a');
    expect(throttle.wait('a')).toBe(wait);
  }
});

test('the wait ends, never grows beyond a quarter of an hour, and a right one clears it', () => {
  const { throttle, pass } = clocked();
  wrongTimes(throttle, 30, 'a');
  expect(throttle.wait('a')).toBe(900_000);
  pass(900_000);
  expect(throttle.wait('a')).toBe(0);
  throttle.wrong('a');
  throttle.right('a');
  expect(throttle.wait('a')).toBe(0);
});

test('name and address wait each by itself, the longer one counts', () => {
  const { throttle } = clocked();
  wrongTimes(throttle, 5, 'name', 'address');
  throttle.wrong('name');
  expect(throttle.wait('address')).toBe(2_000);
  expect(throttle.wait('name', 'address')).toBe(4_000);
  expect(throttle.wait('other')).toBe(0);
});

test('forgets the oldest when too many are remembered', () => {
  const { throttle } = clocked();
  wrongTimes(throttle, 6, 'first');
  for (let k = 0; k < 10_000; k++) throttle.wrong(`n${k}`);
  expect(throttle.wait('first')).toBe(0);
});
