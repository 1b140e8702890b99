import { createPicture, Random, type Picture } from '@urbild/core';
import type { RegionMap } from '../understand/regions/readRegions';
import { createWasmKernel } from './kernel';
import type { Source } from './source';
import { PatchLevel } from './patchLevel';
import { heightsIn, placesIn, regionWeightOf } from './places';

const W = 48;
const H = 32;
const even = (value: number): RegionMap => ({
  width: 4,
  height: 4,
  places: new Float32Array(16).fill(value),
  shares: [value === 1 ? 1 : 0, 0, value === 1 ? 0 : 1],
  order: 1,
});

/** Grain of one colour everywhere. */
function grain(seed: number): Picture {
  const random = new Random(seed);
  const picture = createPicture(W, H);
  picture.planes[0].forEach((_, i) => (picture.planes[0][i] = 0.6 + 0.05 * random.normal()));
  return picture;
}

test('of patches that look the same, those of the same kind of place are taken', () => {
  const reference = grain(2);
  // its left half is a thing, its right half sky
  const sky = new Float32Array(W * H).map((_, i) => (i % W < W / 2 ? 0 : -0.3));
  const level = new PatchLevel(createWasmKernel(), {
    width: W,
    height: H,
    references: [reference],
    guides: [reference],
    places: [sky],
  });
  const random = new Random(9);
  level.field.forEach((_, i) => {
    level.field[i] = (4 + Math.floor(random.next() * (H - 8))) * W + 4 + Math.floor(random.next() * (W - 8));
  });
  const current = grain(3);
  const partFromSky = () => level.field.filter((q) => q % W >= W / 2).length / level.field.length;
  const before = partFromSky();
  level.setGuide(current, new Float32Array(W * H).fill(-0.3), new Float32Array(W * H).fill(1));
  level.match(
    current,
    { guide: 1.5, texture: 1, usage: 0, quota: 0, shares: [1], passes: 4, probes: 8, phase: 0 },
    () => undefined,
  );
  expect(before).toBeLessThan(0.65);
  expect(partFromSky()).toBeGreaterThan(0.9);
});

test('heights go from the top to the foot; sky lies above what is as high', () => {
  const heights = heightsIn(4, 10, 0.2);
  expect(heights[0]).toBeCloseTo(0.01);
  expect(heights[39]).toBeCloseTo(0.19);
  const sky = placesIn(even(1), 4, 10, 0.3);
  const thing = placesIn(even(0), 4, 10, 0.3);
  expect(thing[20] - sky[20]).toBeCloseTo(0.3);
  expect(placesIn(even(1), 4, 10, 0)).toEqual(placesIn(even(0), 4, 10, 0));
});

test('regions count where a stage and its references have them in common, and not where they have not', () => {
  const source = (regions: RegionMap) => ({ reference: { regions }, influence: 0, part: 1 }) as unknown as Source;
  expect(regionWeightOf(even(1), [source(even(1))], [1])).toBeCloseTo(0.22);
  expect(regionWeightOf(even(1), [source(even(0))], [1])).toBe(0);
  const half = regionWeightOf(even(1), [source(even(1)), source(even(0))], [0.45, 0.55]);
  expect(half).toBeGreaterThan(0);
  expect(half).toBeLessThan(0.22);
});
