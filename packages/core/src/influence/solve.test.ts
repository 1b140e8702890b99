import fc from 'fast-check';
import { misses, MOST_DRAFTS, NEAR_ENOUGH, solveStep, type Targets, type Trial } from './solve';

describe('solve', () => {
  /** A stand-in for rendering: arrivals that saturate, references that take from each other, words that give way. */
  const measured = (weights: Readonly<Record<string, number>>, strength: Readonly<Record<string, number>>): Trial => {
    const ids = Object.keys(weights);
    const total = ids.reduce((s, id) => s + weights[id], 0);
    const arrivals = Object.fromEntries(
      ids.map((id) => [id, strength[id] * (1 - Math.exp(-1.6 * weights[id])) * (1 - 0.12 * (total - weights[id]))]),
    );
    return { weights, arrivals, wordsKept: Math.max(0, 1 - 0.3 * total) };
  };
  const search = (targets: Targets, strength: Readonly<Record<string, number>>) => {
    const path: Trial[] = [];
    for (;;) {
      const step = solveStep({ a: 0.8, b: 0.8 }, targets, path);
      if (step.say !== 'try') return { ...step, path };
      path.push(measured(step.weights, strength));
    }
  };

  test('finds weights that meet two targets in few drafts', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        (wa, wb) => {
          const strength = { a: 0.9, b: 0.8 };
          const { arrivals } = measured({ a: wa, b: wb }, strength);
          const { say, best, path } = search({ arrivals }, strength);
          expect(say).toBe('met');
          expect(Math.max(...misses(path[best], { arrivals }).map(Math.abs))).toBeLessThanOrEqual(NEAR_ENOUGH);
          expect(path.length).toBeLessThanOrEqual(MOST_DRAFTS);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('says so when targets cannot be met together, with the nearest', () => {
    const { say, best, reason, path } = search({ arrivals: { a: 0.85, b: 0.75 }, wordsKept: 0.9 }, { a: 0.9, b: 0.8 });
    expect(say).toBe('cannot');
    expect(reason).toMatch(/nearest misses (a reference|the words) by \d+ points/);
    const off = path.map((t) =>
      Math.max(...misses(t, { arrivals: { a: 0.85, b: 0.75 }, wordsKept: 0.9 }).map(Math.abs)),
    );
    expect(off[best]).toBe(Math.min(...off));
    expect(path.length).toBeLessThanOrEqual(MOST_DRAFTS);
  });

  test('words count only while they are missing', () => {
    const trial = { weights: { a: 1 }, arrivals: { a: 0.5 }, wordsKept: 0.9 };
    expect(misses(trial, { arrivals: { a: 0.5 }, wordsKept: 0.7 })).toEqual([0, 0]);
    expect(misses(trial, { arrivals: { a: 0.5 }, wordsKept: 1 })[1]).toBeCloseTo(0.1);
  });

  test('never tries weights outside 0..2, nor the same twice', () => {
    const { path } = search({ arrivals: { a: 1, b: 0 } }, { a: 0.3, b: 0.9 });
    for (const { weights } of path) for (const w of Object.values(weights)) expect(w >= 0 && w <= 2).toBe(true);
    expect(new Set(path.map((t) => JSON.stringify(t.weights))).size).toBe(path.length);
  });
});
