import fc from 'fast-check';
import { createPicture, type Picture } from '../picture/picture';
import { hexOf, labOfHex } from './hex';
import { applyColourTable, blendColourTables, learnColourTable } from './lut';
import { encodeSrgb, labToLinear, linearToLab, srgbToLab, SRGB_TO_LINEAR } from './oklab';
import { adjustLch, cssOf, labToLch, lchToLab, lchToRgb, mixLch } from './oklch';
import { QUANTILES, quantileTable, tableDistanceSquared, transportShift } from './quantiles';
import { transportColours } from './transport';

const byte = fc.integer({ min: 0, max: 255 });

test.each(['#000000', '#0a1bcf', '#ffffff', '#9d4e07', '#c0ffee'])('%s is the same after OKLab', (hex) => {
  expect(hexOf(labOfHex(hex))).toBe(hex);
});

describe('OKLab', () => {
  test.each([
    [
      [255, 255, 255],
      [1, 0, 0],
    ],
    [
      [0, 0, 0],
      [0, 0, 0],
    ],
    [
      [255, 0, 0],
      [0.628, 0.2249, 0.1258],
    ],
    [
      [0, 0, 255],
      [0.452, -0.0325, -0.3115],
    ],
  ])('of sRGB %j is %j (published values)', (rgb, lab) => {
    srgbToLab(rgb[0], rgb[1], rgb[2]).forEach((v, i) => expect(v).toBeCloseTo(lab[i], 3));
  });

  test('there and back gives the same code values', () => {
    fc.assert(
      fc.property(byte, byte, byte, (r, g, b) => {
        const lab = linearToLab(SRGB_TO_LINEAR[r], SRGB_TO_LINEAR[g], SRGB_TO_LINEAR[b]);
        expect(labToLinear(...lab).map(encodeSrgb)).toEqual([r, g, b]);
        const back = lchToLab(labToLch(lab));
        back.forEach((v, i) => expect(v).toBeCloseTo(lab[i], 9));
      }),
    );
  });
});

describe('OKLCH', () => {
  test('is brought into the gamut by giving up chroma, not hue', () => {
    const [r, g, b] = lchToRgb([0.6, 0.4, 30]);
    for (const v of [r, g, b]) expect(v).toBeGreaterThanOrEqual(0);
    const [, C, h] = labToLch(srgbToLab(r, g, b));
    expect(C).toBeLessThan(0.4);
    expect(Math.abs(h - 30)).toBeLessThan(3);
  });

  test('mixes between its ends', () => {
    expect(mixLch([0.2, 0.1, 30], [0.8, 0.1, 30], 0.5)[0]).toBeCloseTo(0.5, 9);
    expect(mixLch([0.5, 0.1, 0], [0.5, 0.1, 180], 0.5)[1]).toBeCloseTo(0, 9);
    expect(adjustLch([0.5, 0.1, 10], 0.9)[0]).toBe(0.995);
    expect(cssOf([1, 0, 0])).toBe('rgb(255,255,255)');
    expect(cssOf([0, 0, 0], 0.5)).toBe('rgba(0,0,0,0.5)');
  });
});

describe('quantiles', () => {
  test('of evenly spread values are evenly spread', () => {
    const table = quantileTable(Float32Array.from({ length: 5000 }, (_, i) => i / 5000));
    for (let q = 0; q < QUANTILES; q++) expect(table[q]).toBeCloseTo((q + 0.5) / QUANTILES, 2);
    expect(quantileTable(new Float32Array(0)).every((v) => v === 0)).toBe(true);
  });

  test('transport gives the values the wanted distribution and keeps their order', () => {
    const values = Float32Array.from({ length: 4000 }, (_, i) => Math.sin(i));
    const wanted = quantileTable(Float32Array.from({ length: 4000 }, (_, i) => 5 + (i / 4000) ** 2));
    const shift = new Float32Array(4000);
    transportShift(values, wanted, shift);
    const moved = values.map((v, i) => v + shift[i]);
    expect(tableDistanceSquared(quantileTable(moved), wanted)).toBeLessThan(1e-4);
    const order = [...values.keys()].sort((a, b) => values[a] - values[b]);
    for (let i = 1; i < order.length; i++) expect(moved[order[i]]).toBeGreaterThanOrEqual(moved[order[i - 1]] - 1e-3);
  });
});

/** A picture of two flat halves. */
function halves(upper: readonly number[], lower: readonly number[], noise = 0): Picture {
  const p = createPicture(32, 32);
  for (let i = 0; i < 1024; i++)
    p.planes.forEach((plane, c) => (plane[i] = (i < 512 ? upper : lower)[c] + noise * Math.sin(i * 12.9898 + c)));
  return p;
}
const meanOf = (p: Float32Array, from: number, to: number) =>
  p.slice(from, to).reduce((a, b) => a + b, 0) / (to - from);

describe('colour transport', () => {
  const stage = halves([0.8, 0, 0.1], [0.3, 0.05, -0.1], 0.02);
  const target = halves([0.9, 0.1, 0.2], [0.2, -0.1, 0], 0.02);

  test('moves light to light and dark to dark', () => {
    const moved = transportColours(stage, [target], [1], { dither: 0 });
    for (let c = 0; c < 3; c++) {
      expect(meanOf(moved.planes[c], 0, 512)).toBeCloseTo(meanOf(target.planes[c], 0, 512), 1);
      expect(meanOf(moved.planes[c], 512, 1024)).toBeCloseTo(meanOf(target.planes[c], 512, 1024), 1);
    }
  });

  test('goes to the barycentre of two targets, and does not change its input', () => {
    const before = stage.planes[0].slice();
    const a = halves([1, 0, 0], [0.5, 0, 0], 0.02);
    const b = halves([0.6, 0, 0], [0.1, 0, 0], 0.02);
    const moved = transportColours(stage, [a, b], [1, 1], { dither: 0 });
    expect(meanOf(moved.planes[0], 0, 512)).toBeCloseTo(0.8, 1);
    expect(meanOf(moved.planes[0], 512, 1024)).toBeCloseTo(0.3, 1);
    expect(stage.planes[0]).toEqual(before);
  });

  test('a mix is as colourful as its parts are on the mean, by any weights, and no more; grey stays grey', () => {
    const chroma = ({ planes: [, a, b] }: Picture) => a.reduce((sum, v, i) => sum + Math.hypot(v, b[i]) / a.length, 0);
    const yellow = halves([0.9, 0, 0.2], [0.5, 0.02, 0.15], 0.02);
    const violet = halves([0.6, 0.12, -0.12], [0.2, 0.1, -0.05], 0.02);
    const grey = halves([0.9, 0, 0], [0.1, 0, 0], 0);
    for (const weight of [0.2, 0.5, 0.7]) {
      const mixed = chroma(transportColours(stage, [yellow, violet], [weight, 1 - weight], { dither: 0 }));
      const wanted = weight * chroma(yellow) + (1 - weight) * chroma(violet);
      expect(mixed).toBeGreaterThan(0.9 * wanted);
      expect(mixed).toBeLessThan(1.1 * wanted);
    }
    expect(chroma(transportColours(grey, [grey, grey], [1, 1], { dither: 0 }))).toBeLessThan(1e-3);
  });

  test('between two tables colours go evenly from what one makes of them to what the other does', () => {
    const other = halves([0.1, 0.05, 0], [0.2, 0, 0.1], 0.02);
    const [a, b] = [target, other].map((t) =>
      learnColourTable(stage, transportColours(stage, [t], [1], { dither: 0 })),
    );
    const at = (amount: number) => applyColourTable(stage, blendColourTables(a, b, amount));
    for (const c of [0, 1, 2]) {
      const [from, middle, to] = [0, 0.25, 1].map((amount) => meanOf(at(amount).planes[c], 0, 1024));
      expect(middle).toBeCloseTo(from + 0.25 * (to - from), 4);
    }
    expect(at(0)).toEqual(applyColourTable(stage, a));
  });

  test('a learnt table repeats what it saw, by any amount', () => {
    const moved = transportColours(stage, [target], [1], { dither: 0 });
    const table = learnColourTable(stage, moved);
    const all = applyColourTable(stage, table);
    const half = applyColourTable(stage, table, 0.5);
    expect(meanOf(all.planes[0], 512, 1024)).toBeCloseTo(meanOf(moved.planes[0], 512, 1024), 2);
    expect(meanOf(half.planes[0], 512, 1024)).toBeCloseTo(
      (meanOf(stage.planes[0], 512, 1024) + meanOf(moved.planes[0], 512, 1024)) / 2,
      2,
    );
  });
});
