import { describe as measure, type Descriptors } from '../describe/descriptors';
import { describePalette, paletteDistance, swatchesOf } from '../describe/palette';
import { testScene } from '../testing';
import { blendDescriptors, blendSwatches } from './blend';
import { coherenceOf, lookDistance, type LookSample } from './coherence';

const palette = describePalette(testScene(1));
const sample = (manner: number[]): LookSample => {
  const length = Math.hypot(...manner);
  return { manner: manner.map((v) => v / length), palette };
};
const near = (k: number) => sample([1, 0.05 * Math.sin(k * 3), 0.05 * Math.cos(k * 5), 0.02]);

test('a picture of another manner is named as the stranger, wherever it stands', () => {
  for (let at = 0; at < 6; at++) {
    const samples = Array.from({ length: 6 }, (_, k) => (k === at ? sample([0.1, 1, 0.1, 0]) : near(k)));
    const c = coherenceOf(samples);
    expect(c.stranger).toBe(at);
    expect(c.off[at]).toBeGreaterThan(3);
  }
});

test('pictures of one manner have no stranger and hold together better than a heap', () => {
  const one = coherenceOf(Array.from({ length: 8 }, (_, k) => near(k)));
  expect(one.stranger).toBeUndefined();
  const heap = coherenceOf(
    [
      [1, 0, 0, 0],
      [0, 1, 0, 0],
      [0, 0, 1, 0],
      [0, 0, 0, 1],
    ].map(sample),
  );
  expect(heap.stranger).toBeUndefined();
  expect(one.figure).toBeGreaterThan(heap.figure + 0.5);
});

test('the map puts what is close together, and its first axis apart from the stranger', () => {
  const { map } = coherenceOf([near(0), near(1), near(2), sample([0, 1, 0, 0])]);
  const gap = (i: number, j: number) => Math.hypot(map[i][0] - map[j][0], map[i][1] - map[j][1]);
  expect(gap(0, 1)).toBeLessThan(0.3 * gap(0, 3));
  expect(Math.max(...map.flat().map(Math.abs))).toBeCloseTo(1, 9);
});

test('one picture, and none, make a look that holds', () => {
  expect(coherenceOf([near(1)])).toEqual({ figure: 1, off: [1], map: [[0, 0]] });
  expect(coherenceOf([]).map).toEqual([]);
  expect(lookDistance(near(1), near(1))).toBeCloseTo(0, 5);
});

test('blended descriptors move from one picture to the other with the weight', () => {
  const [a, b] = [measure(testScene(2)), measure(testScene(5))];
  const at = (w: number): Descriptors =>
    blendDescriptors([
      { descriptors: a, weight: 1 - w },
      { descriptors: b, weight: w },
    ]);
  const far = [0, 0.25, 0.5, 0.75, 1].map((w) => paletteDistance(at(w).palette, b.palette));
  for (let k = 1; k < far.length; k++) expect(far[k]).toBeLessThan(far[k - 1]);
  expect(far[4]).toBeCloseTo(0, 6);
  expect(blendDescriptors([{ descriptors: a, weight: 0.3 }])).toBe(a);
  expect(() => blendDescriptors([])).toThrow(RangeError);
});

test('blended swatches keep the weight of the whole and are few', () => {
  const parts = [1, 2, 3].map((k) => ({ swatches: swatchesOf(testScene(k)), weight: k }));
  const all = blendSwatches(parts, 6);
  expect(all.length).toBeLessThanOrEqual(6);
  const share = parts.reduce((s, p) => s + p.weight * p.swatches.reduce((q, x) => q + x.weight, 0), 0) / 6;
  expect(all.reduce((s, x) => s + x.weight, 0)).toBeCloseTo(share, 6);
  expect([...all].sort((x, y) => y.weight - x.weight)).toEqual(all);
});
