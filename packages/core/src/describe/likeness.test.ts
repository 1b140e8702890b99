import { mirrored, pictureOf, testScene } from '../testing';
import { resample } from '../picture/resample';
import {
  cosine,
  describeLikeness,
  LIKENESS_LENGTH,
  mirrorLikeness,
  NEAR_DOUBLE,
  NEAR_DOUBLE_BITS,
  quantise,
} from './likeness';
import { hashDistance, perceptualHash } from './perceptualHash';
import { describe as measure } from './descriptors';
import { STYLE_LENGTH, styleDistance, styleVector } from './style';
import { describeStrokes, STROKES_LENGTH } from './strokes';
import type { Picture } from '../picture/picture';

const scenes = Array.from({ length: 12 }, (_, k) => testScene(k + 1));
const lighter = (p: Picture): Picture => ({
  ...p,
  planes: [p.planes[0].map((v) => Math.min(1, v + 0.06)), p.planes[1], p.planes[2]],
});
const cropped = (p: Picture, part: number): Picture =>
  pictureOf(Math.round(p.width * part), Math.round(p.height * part), (_u, _v, x, y) => {
    const i = y * p.width + x;
    return [p.planes[0][i], p.planes[1][i] / 1.6, p.planes[2][i] / 1.6];
  });

test('a likeness vector has 300 numbers and unit length', () => {
  const v = describeLikeness(scenes[0]);
  expect(v).toHaveLength(300);
  expect(LIKENESS_LENGTH).toBe(300);
  expect(cosine(v, v)).toBeCloseTo(1, 6);
  expect(Math.hypot(...v)).toBeCloseTo(1, 5);
});

test.each([
  ['another size', (p: Picture) => resample(p, 171, 110)],
  ['lighter', lighter],
  ['a little cropped', (p: Picture) => cropped(p, 0.96)],
] as const)('%s: the same picture ranks first among twelve, and is taken for a double', (_name, change) => {
  const vectors = scenes.map(describeLikeness);
  scenes.forEach((scene, k) => {
    const v = describeLikeness(change(scene));
    const scores = vectors.map((w) => cosine(v, w));
    expect(scores.indexOf(Math.max(...scores))).toBe(k);
  });
  const v = describeLikeness(change(scenes[0]));
  expect(cosine(v, vectors[0])).toBeGreaterThan(0.95);
});

test('different scenes are no doubles', () => {
  const vectors = scenes.map(describeLikeness);
  for (let i = 0; i < scenes.length; i++)
    for (let j = 0; j < i; j++) expect(cosine(vectors[i], vectors[j])).toBeLessThan(NEAR_DOUBLE);
});

test('the mirrored vector is the vector of the mirrored picture', () => {
  for (const scene of scenes.slice(0, 4))
    expect(cosine(mirrorLikeness(describeLikeness(scene)), describeLikeness(mirrored(scene)))).toBeGreaterThan(0.985);
  const v = describeLikeness(scenes[0]);
  expect([...mirrorLikeness(mirrorLikeness(v))]).toEqual([...v]);
});

test('8 bits a number change the cosine by less than .01', () => {
  const [a, b] = [describeLikeness(scenes[0]), describeLikeness(scenes[1])];
  expect(Math.abs(cosine(quantise(a), quantise(b)) - cosine(a, b))).toBeLessThan(0.01);
  expect([...quantise([0, 0])]).toEqual([0, 0]);
  expect(cosine([0, 0], [1, 1])).toBe(0);
});

test('perceptual hashes withstand size and light, and tell scenes apart', () => {
  const hashes = scenes.map(perceptualHash);
  expect(hashes[0]).toMatch(/^[0-9a-f]{16}$/);
  scenes.forEach((scene, k) => {
    expect(hashDistance(perceptualHash(lighter(resample(scene, 150, 100))), hashes[k])).toBeLessThanOrEqual(
      NEAR_DOUBLE_BITS,
    );
    hashes.slice(0, k).forEach((h) => expect(hashDistance(h, hashes[k])).toBeGreaterThan(NEAR_DOUBLE_BITS));
  });
  expect(hashDistance('f'.repeat(16), '0'.repeat(16))).toBe(64);
});

test('style vectors are near for one manner with other subjects, far for another manner', () => {
  const vectorOf = (p: Picture) => styleVector(measure(p));
  const rough = (p: Picture, seed: number): Picture => ({
    ...p,
    planes: [p.planes[0].map((v, i) => v + 0.16 * (((i * 7919 + seed) % 13) / 13 - 0.5)), p.planes[1], p.planes[2]],
  });
  const [a, b, c] = [vectorOf(scenes[0]), vectorOf(mirrored(scenes[0])), vectorOf(rough(scenes[0], 3))];
  expect(a).toHaveLength(STYLE_LENGTH);
  expect(styleDistance(a, a)).toBe(0);
  expect(styleDistance(a, b)).toBeLessThan(0.5 * styleDistance(a, c));
});

test('strokes: 43 numbers that see grain, flats and a border of paper', () => {
  const flat = pictureOf(200, 140, (u) => (u < 0.5 ? [0.3, 0, 0] : [0.8, 0.05, 0.05]));
  const border = pictureOf(200, 140, (_u, _v, x, y) =>
    x < 12 || y < 12 || x > 187 || y > 127 ? [0.96, 0, 0.02] : [0.4 + 0.2 * ((x * y) % 3) * 0.3, 0, 0],
  );
  const all = [flat, border, scenes[0]].map(describeStrokes);
  for (const s of all) {
    expect(s).toHaveLength(STROKES_LENGTH);
    expect([...s].every(Number.isFinite)).toBe(true);
  }
  // the part of pixels without any difference, and the step from rim to inside
  expect(all[0][3]).toBeGreaterThan(0.8);
  expect(all[2][3]).toBeLessThan(0.3);
  expect(all[1][STROKES_LENGTH - 4]).toBeGreaterThan(0.2);
});
