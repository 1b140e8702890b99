import { ValueNoise } from './noise';
import { hashText, Random } from './random';
import { clamp, lerp, median, smoothstep, table } from './scalar';

test('the same seed gives the same numbers, another one others', () => {
  const draw = (seed: number) => {
    const r = new Random(seed);
    return Array.from({ length: 5 }, () => r.next());
  };
  expect(draw(7)).toEqual(draw(7));
  expect(draw(7)).not.toEqual(draw(8));
  expect(hashText('Ilse')).toBe(hashText('Ilse'));
  expect(hashText('Ilse')).not.toBe(hashText('Brom'));
});

test('distributions keep their ranges and means', () => {
  const r = new Random(1);
  const many = (draw: () => number) => Array.from({ length: 4000 }, draw);
  const mean = (v: number[]) => v.reduce((a, b) => a + b, 0) / v.length;
  const ranges = many(() => r.range(2, 4));
  expect(Math.min(...ranges)).toBeGreaterThanOrEqual(2);
  expect(Math.max(...ranges)).toBeLessThan(4);
  expect(new Set(many(() => r.integer(1, 3)))).toEqual(new Set([1, 2, 3]));
  expect(mean(many(() => r.normal()))).toBeCloseTo(0, 1);
  expect(mean(many(() => r.bell()))).toBeCloseTo(0, 1);
  expect(mean(many(() => (r.chance(0.25) ? 1 : 0)))).toBeCloseTo(0.25, 1);
  expect(['a', 'b']).toContain(r.pick(['a', 'b']));
});

test('noise is smooth, bounded and not flat', () => {
  const n = new ValueNoise(3);
  const values = Array.from({ length: 500 }, (_, i) => n.at(i * 0.37, i * 0.11));
  expect(Math.max(...values.map(Math.abs))).toBeLessThanOrEqual(1);
  expect(Math.max(...values) - Math.min(...values)).toBeGreaterThan(0.5);
  expect(Math.abs(n.at(2.5, 2.5) - n.at(2.501, 2.5))).toBeLessThan(0.01);
  expect(Math.abs(n.fractal(1.3, 4.2))).toBeLessThanOrEqual(1);
});

test('scalars', () => {
  expect([clamp(-1), clamp(2), clamp(5, 1, 3)]).toEqual([0, 1, 3]);
  expect(lerp(2, 4, 0.25)).toBe(2.5);
  expect([smoothstep(0, 1, -1), smoothstep(0, 1, 0.5), smoothstep(1, 0, 0)]).toEqual([0, 0.5, 1]);
  expect(
    [0, 1.5, 9].map(
      table([
        [1, 10],
        [2, 20],
      ]),
    ),
  ).toEqual([10, 15, 20]);
  expect([median([3, 1, 2]), median([4, 1, 2, 3]), median([])]).toEqual([2, 2.5, NaN]);
});
