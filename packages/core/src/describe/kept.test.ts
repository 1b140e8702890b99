/**
 * What is measured of two made-up pictures, as it was when these numbers were written: descriptors of all references are stored, so a
 * change of what they measure has to be meant. A number that changes on purpose is written anew, with a migration of what is stored.
 */
import { createPicture, type Picture } from '../picture/picture';
import { testScene } from '../testing';
import { describe as describePicture } from './descriptors';
import { findHorizon } from './horizon';
import { describeLikeness } from './likeness';
import { swatchesOf } from './palette';
import { describeStrokes } from './strokes';
import { styleVector } from './style';

/** A few numbers that stand for many: sums with weights that no two places share. */
const printOf = (values: ArrayLike<number>): number[] =>
  [0.37, 1.13, 2.71].map((step) => Array.from(values).reduce((sum, v, i) => sum + v * Math.cos(i * step), 0));

const measured = (p: Picture): Record<string, number[]> => {
  const d = describePicture(p);
  const horizon = findHorizon(p);
  return {
    surface: printOf(d.surface),
    palette: printOf(d.palette),
    layout: printOf(d.layout),
    style: printOf(styleVector(d)),
    likeness: printOf(describeLikeness(p)),
    strokes: printOf(describeStrokes(p)),
    horizon: [horizon.at, horizon.confidence],
    swatches: swatchesOf(p)
      .slice(0, 3)
      .flatMap((s) => [...s.lab, s.weight]),
  };
};

const KEPT: Readonly<Record<number, Record<string, number[]>>> = {
  1: {
    surface: [0.2929, -0.2905, -0.3245],
    palette: [-12.7797, 3.834, 1.9066],
    layout: [-0.98, 0.8086, 0.1688],
    style: [-1.8557, 0.0408, -0.034],
    likeness: [-0.9551, 0.194, 0.2496],
    strokes: [-9.5263, -5.5859, -0.8595],
    horizon: [0.5078, 1],
    swatches: [0.4847, 0.0936, 0.0796, 0.2471, 0.7957, 0.077, -0.06, 0.2387, 0.4164, 0.0937, 0.0798, 0.238],
  },
  7: {
    surface: [0.2324, -0.3694, -0.385],
    palette: [-13.4015, 4.0922, 2.0419],
    layout: [-0.2882, 0.7978, 0.1963],
    style: [-1.7139, 0.0236, -0.0186],
    likeness: [-0.6478, 0.5077, -0.5111],
    strokes: [-8.9428, -5.8543, -1.5026],
    horizon: [0.5234, 1],
    swatches: [0.7685, 0.032, -0.0598, 0.4491, 0.4145, 0.0043, 0.0799, 0.2398, 0.4899, 0.0044, 0.0794, 0.2289],
  },
};

test.each([1, 7])('picture %i', (seed) => {
  const now = measured(testScene(seed));
  for (const [name, numbers] of Object.entries(KEPT[seed]))
    numbers.forEach((value, k) => expect([name, k, now[name][k]]).toEqual([name, k, expect.closeTo(value, 2)]));
});

test('a flat picture has no surface, whatever its colour', () => {
  const flat = (lab: readonly [number, number, number]) => {
    const p = createPicture(96, 64);
    p.planes.forEach((plane, c) => plane.fill(lab[c]));
    return describePicture(p).surface;
  };
  const [grey, red] = [flat([0.5, 0, 0]), flat([0.8, 0.15, 0.1])];
  expect(Math.max(...grey.map((v, i) => Math.abs(v - red[i])))).toBeLessThan(1e-3);
});
