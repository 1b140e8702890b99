/** What is read of references and stages before anything is matched, each on pictures of which the answer is known. */
import { createPicture, Random, type Picture } from '@urbild/core';
import { REGION } from '../painter/scene/region';
import { LeastRecentlyUsed } from './cache';
import { contourLines, detailMask, surfaceArea } from './detail';
import { drawKeyLines } from './keyLines';
import { cloudOf, amountOf, insistOnPalette, mixName, tonesOf } from './palette';
import { planSynthesis } from './plan';
import { prepareReference, referenceLevel, type PreparedReference } from './reference';
import { extremesOf, fillKeyLines, hasKeyLines, measureRidges } from './ridges';

const SIDE = 192;
const HALF = SIDE / 2;
type Colour = readonly [number, number, number];

/** A picture of one colour with a little grain, and whatever `change` makes of some pixels. */
function picture(
  colour: Colour,
  change: (x: number, y: number) => Colour | undefined = () => undefined,
  grain = 0.004,
): Picture {
  const random = new Random(9);
  const p = createPicture(SIDE, SIDE);
  for (let i = 0; i < SIDE * SIDE; i++) {
    const c = change(i % SIDE, Math.floor(i / SIDE)) ?? colour;
    for (let k = 0; k < 3; k++) p.planes[k][i] = c[k] + grain * random.bell();
  }
  return p;
}
const WHITE: Colour = [0.95, 0, 0];
const BLACK: Colour = [0.1, 0, 0];
const BLUE: Colour = [0.5, -0.03, -0.2];
const lined = picture(WHITE, (x, y) => (x % 16 < 2 || y % 16 < 2 ? BLACK : undefined));
const mean = (p: Picture, c: number) => p.planes[c].reduce((a, b) => a + b, 0) / p.planes[c].length;

describe('key lines', () => {
  test('dark lines on light ground are dark ridges, light ones on dark are light', () => {
    const dark = measureRidges(lined);
    const light = measureRidges(picture(BLACK, (x, y) => (x % 16 < 2 || y % 16 < 2 ? WHITE : undefined)));
    expect(dark.dark).toBeGreaterThan(5 * dark.light);
    expect(light.light).toBeGreaterThan(5 * light.dark);
    expect([hasKeyLines(dark), hasKeyLines(light)]).toEqual([true, false]);
  });
  test('broad areas are no lines', () => {
    expect(hasKeyLines(measureRidges(picture(WHITE, (x) => (x < HALF ? BLACK : undefined))))).toBe(false);
    expect(hasKeyLines(measureRidges(picture(WHITE)))).toBe(false);
  });
  test('filled in, the areas between them are left', () => {
    const filled = fillKeyLines(picture(BLUE, (x, y) => (x % 16 < 2 || y % 16 < 2 ? BLACK : undefined)));
    expect(Math.min(...filled.planes[0])).toBeGreaterThan(0.42);
    expect(mean(filled, 2)).toBeCloseTo(-0.2, 1);
  });
  test('are drawn into a guide along the edges of the stage, in the look’s own dark, as strongly as it is heard', () => {
    const stage = picture(WHITE, (x) => (x < HALF ? BLUE : undefined));
    const look = prepareReference('lined', lined, SIDE);
    const drawn = (weight: number) => {
      const plan = planSynthesis(
        [
          {
            id: 'a',
            gives: 'look',
            weight,
            from: 0,
            to: 1,
            on: true,
            reading: 'normal',
            subject: undefined,
            parts: undefined,
          } as never,
        ],
        1,
      );
      const guide = picture([0.7, 0, 0]);
      drawKeyLines(guide, stage, [{ reference: look, influence: 0, part: 1 }], plan);
      return guide.planes[0][HALF * SIDE + HALF - 1];
    };
    expect(drawn(0)).toBeCloseTo(0.7, 1);
    expect(drawn(1)).toBeLessThan(0.5);
    expect(drawn(0.5)).toBeGreaterThan(drawn(1));
    expect(drawn(0.5)).toBeLessThan(0.7);
  });
});

describe('detail', () => {
  const stage = picture(WHITE, (x, y) => (x > 120 && y < 80 && (x + y) % 6 < 3 ? BLACK : undefined));
  test('is where there is local contrast, and every figure', () => {
    const labels = new Uint8Array(SIDE * SIDE).fill(REGION.sky);
    for (let y = 120; y < 180; y++) for (let x = 20; x < 80; x++) labels[y * SIDE + x] = REGION.garment;
    const plain = detailMask(stage);
    const told = detailMask(stage, labels);
    expect(plain[40 * SIDE + 160]).toBeGreaterThan(0.7);
    expect(plain[150 * SIDE + 50]).toBeLessThan(0.1);
    expect(told[150 * SIDE + 50]).toBeGreaterThan(0.5);
    expect(told[150 * SIDE + 160]).toBeLessThan(0.1);
  });
  test('contours lie along edges of colour, of equal lightness too', () => {
    const hues = picture([0.6, 0.15, 0], (x) => (x < HALF ? [0.6, -0.15, 0] : undefined), 0);
    const lines = contourLines(hues, 1.5);
    expect(lines[HALF * SIDE + HALF - 1] + lines[HALF * SIDE + HALF]).toBeGreaterThan(0.2);
    expect(lines[HALF * SIDE + 40]).toBe(0);
    expect(Math.max(...contourLines(picture(BLUE, undefined, 0), 1.5))).toBe(0);
  });
  test('the most structured seventh of a reference is its subject', () => {
    const surface = surfaceArea(stage);
    const part = surface.reduce((a, b) => a + b, 0) / surface.length;
    expect(part).toBeCloseTo(0.86, 1);
    expect(surface[40 * SIDE + 160]).toBe(0);
    expect(surface[160 * SIDE + 40]).toBe(1);
  });
});

describe('palettes', () => {
  const share = (reference: PreparedReference, part: number) => ({ reference, share: part });
  const [blue, red] = [
    prepareReference(
      'blue',
      picture(BLUE, (x) => (x < 40 ? BLACK : undefined)),
      SIDE,
    ),
    prepareReference(
      'red',
      picture([0.55, 0.2, 0.1], (x) => (x < 40 ? WHITE : undefined)),
      SIDE,
    ),
  ];
  test('references rule the colours as far as their shares sum to, and not beyond', () => {
    expect(amountOf([share(blue, 0.3), share(red, 0.4)])).toBeCloseTo(0.7, 9);
    expect(amountOf([share(blue, 0.8), share(red, 0.7)])).toBe(1);
    expect(amountOf([])).toBe(0);
  });
  test('their name says their parts, whatever they sum to', () => {
    expect(mixName([share(blue, 0.2), share(red, 0.6)])).toBe(mixName([share(blue, 0.1), share(red, 0.3)]));
    expect(mixName([share(blue, 0.2), share(red, 0.6)])).not.toBe(mixName([share(blue, 0.6), share(red, 0.2)]));
  });
  test('darkest and lightest tone come from whichever has them', () => {
    const { dark, light } = tonesOf([share(blue, 0.5), share(red, 0.5)]);
    expect(dark[0]).toBeCloseTo(extremesOf(blue.picture).dark[0], 9);
    expect(light[0]).toBeCloseTo(extremesOf(red.picture).light[0], 9);
  });
  test('insisting moves a picture on to the very palette, evenly', () => {
    const start = picture([0.7, 0.02, 0.02]);
    const far = (amount: number) =>
      Math.abs(mean(insistOnPalette(start, [share(blue, 1)], amount), 2) - mean(blue.picture, 2));
    expect(insistOnPalette(start, [share(blue, 1)], 0)).toBe(start);
    expect(insistOnPalette(start, [], 1)).toBe(start);
    expect(far(1)).toBeLessThan(0.02);
    expect(far(0.5)).toBeGreaterThan(far(1));
    expect(far(0.5)).toBeLessThan(far(0.01));
  });
  test('the colours of a stage are kept by its name', () => {
    const stage = picture(BLUE);
    expect(cloudOf(stage, 'stage one')).toBe(cloudOf(picture(WHITE), 'stage one'));
    expect(cloudOf(picture(WHITE), 'stage two')).not.toBe(cloudOf(stage, 'stage one'));
  });
});

describe('prepared references', () => {
  test('are kept by content and size; a motif makes the marks larger or smaller', () => {
    const [a, again, larger] = [
      prepareReference('x', lined, SIDE),
      prepareReference('x', picture(BLUE), SIDE),
      prepareReference('x', lined, SIDE, 1.5),
    ];
    expect(again).toBe(a);
    expect(larger.picture.width).toBe(288);
    expect(prepareReference('x', lined, 16).picture.width).toBe(48);
  });
  test('have their lines filled where lines carry them, and are themselves where not', () => {
    const { areas, picture: own } = prepareReference('lines', lined, SIDE);
    expect(areas).not.toBe(own);
    const plain = prepareReference('plain', picture(BLUE), SIDE);
    expect(plain.areas).toBe(plain.picture);
  });
  test('speak for the media by parts that sum to 1', () => {
    const { manner } = prepareReference('lines', lined, SIDE);
    expect(manner.reduce((sum, v) => sum + v * v, 0)).toBeCloseTo(1, 5);
  });
  test('a level is a part of it with a softer guide, kept as long as the picture is', () => {
    const reference = prepareReference('level', lined, SIDE);
    const half = referenceLevel(reference, 0.5, 2, SIDE);
    expect([half.picture.width, half.guide.width]).toEqual([96, 96]);
    const spread = (p: Picture) => Math.max(...p.planes[0]) - Math.min(...p.planes[0]);
    expect(spread(half.guide)).toBeLessThan(spread(half.picture));
    expect(referenceLevel(reference, 0.5, 2, SIDE)).toBe(half);
    expect(referenceLevel(reference, 0.5, 4, SIDE)).not.toBe(half);
    expect(referenceLevel(reference, 0.01, 2, SIDE).picture.width).toBe(16);
  });
});

describe('what is kept', () => {
  test('goes when it was used longest ago', () => {
    const kept = new LeastRecentlyUsed<number>(2);
    const make = jest.fn((v: number) => () => v);
    kept.get('a', make(1));
    kept.get('b', make(2));
    kept.get('a', () => 9);
    kept.get('c', make(3));
    expect(kept.size).toBe(2);
    expect(kept.get('a', () => 9)).toBe(1);
    expect(kept.get('b', () => 9)).toBe(9);
  });
  test('costs no more together than is allowed; what costs more alone is not kept', () => {
    const kept = new LeastRecentlyUsed<number>(10, { costOf: (v) => v, most: 5 });
    kept.get('a', () => 2);
    kept.get('b', () => 3);
    expect(kept.size).toBe(2);
    kept.get('c', () => 4);
    expect(kept.size).toBe(1);
    expect(kept.get('huge', () => 100)).toBe(100);
    expect(kept.get('huge', () => 7)).toBe(7);
  });
});
