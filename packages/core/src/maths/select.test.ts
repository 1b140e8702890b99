import { Random } from './random';
import { nthSmallest } from './select';

test('finds what sorting would find, also among equal values', () => {
  const random = new Random(4);
  for (let round = 0; round < 60; round++) {
    const values = Float32Array.from({ length: 1 + Math.floor(random.next() * 80) }, () =>
      round % 2 ? random.next() : Math.floor(random.next() * 4),
    );
    const n = Math.floor(random.next() * values.length);
    const sorted = values.slice().sort();
    expect(nthSmallest(values, n)).toBe(sorted[n]);
    expect(values.slice().sort()).toEqual(sorted);
  }
});

test.each([-1, 3])('says that there is no place %d among three', (n) => {
  expect(() => nthSmallest(Float32Array.of(1, 2, 3), n)).toThrow(RangeError);
});
