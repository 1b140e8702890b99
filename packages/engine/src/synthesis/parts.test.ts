import { createPicture, GIVES, meanShares, READINGS, type Picture } from '@urbild/core';
import fc from 'fast-check';
import { REGION } from '../painter/scene/region';
import { LeastRecentlyUsed } from './cache';
import { contourLines, detailMask, surfaceArea } from './detail';
import { planSynthesis, type ReadInfluence } from './plan';
import { extremesOf, fillKeyLines, hasKeyLines, measureRidges } from './ridges';

/** Grey with thin lines of another lightness. */
function ruled(background: number, line: number, every = 12): Picture {
  const p = createPicture(256, 256);
  p.planes[0].forEach((_, i) => (p.planes[0][i] = (i % 256) % every < 2 ? line : background));
  return p;
}

test('thin dark lines are told from thin light ones, and filled', () => {
  const dark = measureRidges(ruled(0.8, 0.1));
  const light = measureRidges(ruled(0.2, 0.9));
  expect(dark.dark).toBeGreaterThan(3 * dark.light);
  expect(light.light).toBeGreaterThan(3 * light.dark);
  expect([hasKeyLines(dark), hasKeyLines(light)]).toEqual([true, false]);
  expect(Math.min(...fillKeyLines(ruled(0.8, 0.1)).planes[0].slice(256 * 40, 256 * 216))).toBeGreaterThan(0.6);
});

test('extremes are the darkest and the lightest colours', () => {
  const { dark, light } = extremesOf(ruled(0.8, 0.1, 4));
  expect(dark[0]).toBeLessThan(light[0]);
  expect(light[0]).toBeGreaterThan(0.4);
});

test('detail is where contrast is, and on every figure', () => {
  const p = createPicture(128, 128);
  p.planes[0].forEach((_, i) => (p.planes[0][i] = i % 128 > 64 && (i >> 8) % 2 ? 0.9 : 0.4));
  const labels = new Uint8Array(128 * 128).fill(REGION.sky);
  for (let y = 50; y < 70; y++) labels.fill(REGION.skin, y * 128 + 10, y * 128 + 30);
  const mask = detailMask(p, labels);
  const at = (x: number, y: number) => mask[y * 128 + x];
  expect(at(100, 64)).toBeGreaterThan(0.5);
  expect(at(20, 60)).toBeGreaterThan(0.5);
  expect(at(20, 110)).toBeLessThan(0.05);
});

test('contours run along edges and nowhere else', () => {
  const p = createPicture(128, 128);
  p.planes[0].forEach((_, i) => (p.planes[0][i] = i % 128 < 64 ? 0.2 : 0.8));
  const lines = contourLines(p, 1.5);
  expect(Math.max(lines[64 * 128 + 63], lines[64 * 128 + 64])).toBeGreaterThan(0.3);
  expect(lines[64 * 128 + 20]).toBeLessThan(0.01);
});

test('a plan has the same levels at every weight, and says how literally the colours are taken', () => {
  const look = (weight: number): ReadInfluence => ({
    id: 'a',
    gives: 'look',
    weight,
    from: 0,
    to: 1,
    on: true,
    reading: 'normal',
  });
  expect(planSynthesis([look(1)], 1).levels.map((l) => l.part)).toEqual([1 / 8, 1 / 4, 1 / 2, 1]);
  expect(planSynthesis([look(2)], 1).levels.map((l) => l.part)).toEqual([1 / 8, 1 / 4, 1 / 2, 1]);
  expect([0.5, 1, 2].map((w) => Math.round(100 * planSynthesis([look(w)], 1).colourOver))).toEqual([100, 100, 200]);
  expect(planSynthesis([], 1).levels.every((l) => l.surface.length === 0)).toBe(true);
});

test('the cache forgets what was used longest ago', () => {
  const cache = new LeastRecentlyUsed<string>(2);
  let made = 0;
  const get = (key: string) => cache.get(key, () => `${key}${++made}`);
  expect([get('a'), get('b'), get('a'), get('c'), get('a'), get('b')]).toEqual(['a1', 'b2', 'a1', 'c3', 'a1', 'b4']);
  expect(cache.size).toBe(2);
});

test('a cache with a budget keeps no more than that, and nothing that is larger alone', () => {
  const cache = new LeastRecentlyUsed<number>(10, { costOf: (v) => v, most: 10 });
  const made: number[] = [];
  const get = (v: number) =>
    cache.get(String(v), () => {
      made.push(v);
      return v;
    });
  for (const v of [4, 5, 4]) get(v);
  expect(made).toEqual([4, 5]);
  get(3); // 5 was used longest ago
  expect(cache.size).toBe(2);
  get(5);
  expect(made).toEqual([4, 5, 3, 5]);
  expect(get(11)).toBe(11);
  get(11);
  expect(made.filter((v) => v === 11)).toHaveLength(2);
});

test('the subject of a reference is told from its surface', () => {
  const p = createPicture(160, 120);
  // a busy subject in the middle of a quiet ground
  p.planes[0].forEach((_, i) => {
    const inside = Math.abs((i % 160) - 80) < 22 && Math.abs(Math.floor(i / 160) - 60) < 22;
    p.planes[0][i] = inside && (i + Math.floor(i / 160)) % 7 < 3 ? 0.9 : 0.4;
  });
  const area = surfaceArea(p);
  expect(area[60 * 160 + 80]).toBe(0);
  expect(area[20 * 160 + 20]).toBe(1);
  const free = area.reduce((a, b) => a + b, 0) / area.length;
  expect(free).toBeGreaterThan(0.8);
  expect(free).toBeLessThan(0.92);
});

test('the log of shares is the formula, for 200 mixes of any kind', () => {
  const moment = fc.double({ min: 0, max: 1, noNaN: true });
  const one = fc
    .record({
      gives: fc.constantFrom(...GIVES),
      weight: fc.double({ min: 0, max: 4, noNaN: true }),
      span: fc.tuple(moment, moment),
      on: fc.boolean(),
      reading: fc.constantFrom(...READINGS),
    })
    .map(({ span, ...rest }): ReadInfluence => ({ id: 'x', ...rest, from: Math.min(...span), to: Math.max(...span) }));
  fc.assert(
    fc.property(fc.array(one, { maxLength: 6 }), fc.double({ min: 0, max: 2, noNaN: true }), (influences, balance) => {
      const { log } = planSynthesis(influences, balance);
      expect(new Set(log.map((r) => r.channel)).size).toBe(5);
      for (const { channel, from, to, influences: used, words } of log) {
        const formula = meanShares({ influences, balance }, channel, from, to);
        formula.influences.forEach((share, k) => expect(Math.abs(used[k] - share)).toBeLessThan(1e-9));
        expect(Math.abs(words - formula.words)).toBeLessThan(1e-9);
      }
    }),
    { numRuns: 200 },
  );
});
