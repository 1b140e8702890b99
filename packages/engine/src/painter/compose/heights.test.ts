/** How tall the cast is holds in every plate. */
import { understand, type TraitSheet } from '@urbild/core';
import type { TraitPulls } from '../people/fromTraits';
import { compose } from '.';
import { usualHeight } from './usualHeight';

const ALL = { face: 1, hair: 1, build: 1, clothes: 1 };
const pulled = (height: number, share = 1): TraitPulls => {
  const sheet: TraitSheet = { height: { number: height, confidence: 1, locked: true } };
  return { sources: [{ sheet, shares: { ...ALL, build: share } }], over: ALL };
};

/** From the ground to the top of the head against each other, of two people who stand side by side. */
function ratio(prompt: string, identities: ReadonlyMap<number, TraitPulls> = new Map()): number {
  const { figures } = compose(understand(prompt), { width: 480, height: 360, seed: 5, identities });
  const [a, b] = [0, 1].map((k) => figures.find((f) => f.entity === k)!.box);
  return (a[3] - a[1]) / (b[3] - b[1]);
}

const PLACES = [
  'the meadow',
  'the harbour',
  'the kitchen',
  'the village street',
  'the beach',
  'a forest',
  'the town square',
];

test.each(PLACES)('in %s a child is as much smaller than a grown person as everywhere', (place) => {
  expect(ratio(`Juna and Marek standing in ${place}`)).toBeGreaterThan(0.68);
  expect(ratio(`Juna and Marek standing in ${place}`)).toBeLessThan(0.86);
});

test.each(PLACES)('in %s whoever was made taller on a sheet is, by their share', (place) => {
  const prompt = `a woman and Marek standing in ${place}`;
  const at = (height: number, share?: number) => ratio(prompt, new Map([[0, pulled(height, share)]]));
  const heights = [0.6, 0.9, 1.3].map((h) => at(h));
  expect(heights[1] / heights[0]).toBeCloseTo(0.9 / 0.6, 0);
  expect(heights[0]).toBeLessThan(0.75);
  expect(heights[2]).toBeGreaterThan(1.1);
  expect(at(1.3, 0.5)).toBeGreaterThan(at(1.3, 0) + 0.02);
  expect(at(1.3, 0.5)).toBeLessThan(at(1.3, 1) - 0.02);
});

test.each([0, 4])('a height of %d, which nobody has, still draws somebody', (height) => {
  const tall = ratio('a woman and Marek standing in the meadow', new Map([[0, pulled(height)]]));
  expect(tall).toBeGreaterThan(0.3);
  expect(tall).toBeLessThan(1.8);
});

test('words for the size of somebody hold against a sheet', () => {
  const tall = new Map([[0, pulled(1.3, 0.8)]]);
  const plain = ratio('a woman and Marek standing in the meadow', tall);
  const small = ratio('a small woman and Marek standing in the meadow', tall);
  expect(small).toBeLessThan(plain - 0.1);
});

test('who was never measured is as tall as the words draw them', () => {
  const height = (name: string, description?: string) => usualHeight({ name, description });
  expect(height('Ilse')).toBe(1);
  expect(height('Brom')).toBeLessThan(1);
  expect(height('Bo', 'a boy')).toBeLessThan(height('Bo', 'a man'));
  expect(height('Bo', 'a tall man')).toBeGreaterThan(height('Bo', 'a man'));
  expect(height('Fips', 'a mouse')).toBeLessThan(0.3);
  expect(height('Nobody')).toBeGreaterThan(0.9);
});
