import { createPicture, pictureToRgba, Random, type Picture } from '@urbild/core';
import { boxOf, bytesThrough, maskOf, through } from './masks';
import { stageBetween, strengthOf, towards } from './startPicture';

const [W, H] = [64, 48];
function picture(L: number, b: number, seed = 1): Picture {
  const random = new Random(seed);
  const p = createPicture(W, H);
  for (let i = 0; i < W * H; i++) {
    p.planes[0][i] = L + 0.1 * Math.sin((i % W) / 5) + 0.01 * random.bell();
    p.planes[2][i] = b;
  }
  return p;
}
const mean = (p: Picture, c = 0) => p.planes[c].reduce((a, v) => a + v, 0) / p.planes[c].length;
const apart = (a: Picture, b: Picture) =>
  a.planes[0].reduce((s, v, i) => s + Math.abs(v - b.planes[0][i]), 0) / (W * H);
/** White where x is less than `edge`, grey else. */
const half = (edge = W / 2, light = 1, dark = 0): Picture => {
  const p = createPicture(W, H);
  p.planes[0].forEach((_, i) => (p.planes[0][i] = i % W < edge ? light : dark));
  return p;
};

describe('a start picture', () => {
  const [start, painted] = [picture(0.35, 0.15, 1), picture(0.75, -0.15, 2)];
  test('is the stage where nothing may change, and gives way to it wholly', () => {
    expect(apart(stageBetween(start, painted, 0), start)).toBeLessThan(1e-6);
    expect(stageBetween(start, painted, 1)).toBe(painted);
  });
  test('comes nearer to what is painted with every bit of change', () => {
    const far = [0, 0.2, 0.4, 0.6, 0.8, 1].map((change) => apart(stageBetween(start, painted, change), painted));
    for (let k = 1; k < far.length; k++) expect(far[k]).toBeLessThan(far[k - 1]);
  });
  test('its colours move before its forms do', () => {
    const third = stageBetween(start, painted, 0.35);
    const wanted = (mean(third, 2) - mean(start, 2)) / (mean(painted, 2) - mean(start, 2));
    expect(wanted).toBeGreaterThan(0.3);
    const waves = (p: Picture) => {
      const m = mean(p);
      return p.planes[0].reduce((s, v, i) => s + (v - m) * Math.sin((i % W) / 5), 0);
    };
    expect(waves(third)).toBeGreaterThan(0.7 * waves(start));
  });
  test('references act on it wholly from half of the change on', () => {
    expect([0, 0.25, 0.5, 0.9].map(strengthOf)).toEqual([0, 0.5, 1, 1]);
  });
  test('from one picture to another band by band: nothing at 0, all of it at 1', () => {
    expect(towards(start, painted, () => 0)).toBe(start);
    expect(
      apart(
        towards(start, painted, () => 1),
        painted,
      ),
    ).toBeLessThan(1e-4);
    const broad = towards(start, painted, (level) => (level === 0 ? 1 : 0));
    expect(Math.abs(mean(broad) - mean(painted))).toBeLessThan(0.02);
    expect(apart(broad, painted)).toBeGreaterThan(0.002);
  });
});

describe('a mask', () => {
  const mask = (feather = 0, invert = false) => ({ content: 'x', feather, invert });
  test('lets through where it is light, or where it is dark', () => {
    const plain = maskOf(half(), mask(), W, H);
    expect([plain[5], plain[60]]).toEqual([1, 0]);
    const other = maskOf(half(), mask(0, true), W, H);
    expect([other[5], other[60]]).toEqual([0, 1]);
    expect(plain.map((v, i) => v + other[i])).toEqual(new Float32Array(W * H).fill(1));
  });
  test('a soft edge lies inside: what is black stays closed exactly', () => {
    const soft = maskOf(half(), mask(0.1), W, H);
    for (let x = W / 2; x < W; x++) expect(soft[10 * W + x]).toBe(0);
    expect(soft[10 * W + 2]).toBe(1);
    const edge = soft[10 * W + W / 2 - 1];
    expect(edge).toBeGreaterThan(0);
    expect(edge).toBeLessThan(0.8);
    for (let x = 2; x < W / 2; x++) expect(soft[10 * W + x]).toBeLessThanOrEqual(soft[10 * W + x - 1] + 1e-6);
  });
  test('softer than half a pixel is hard', () => {
    expect(new Set(maskOf(half(), mask(0.005), W, H))).toEqual(new Set([0, 1]));
  });
  test('takes any size', () => {
    const large = maskOf(half(), mask(), 2 * W, 2 * H);
    expect([large.length, large[10], large[2 * W - 5]]).toEqual([4 * W * H, 1, 0]);
  });
  test('two pictures are seen through it, the lower one untouched where it is closed', () => {
    const [over, under] = [picture(0.2, 0.1), picture(0.8, -0.1)];
    const m = maskOf(half(), mask(0.1), W, H);
    const seen = through(m, over, under);
    expect(seen.planes[0][10 * W + 2]).toBeCloseTo(over.planes[0][10 * W + 2], 6);
    expect(seen.planes[0][10 * W + 60]).toBe(under.planes[0][10 * W + 60]);
    const bytes = pictureToRgba(under);
    bytes[4 * (10 * W + 60)] = 123;
    expect(bytesThrough(m, over, under, bytes)[4 * (10 * W + 60)]).toBe(123);
    expect(bytesThrough(m, over, under, bytes)[4 * (10 * W + 2)]).toBe(pictureToRgba(over)[4 * (10 * W + 2)]);
  });
  test('has a box in parts of the picture, an empty one has none', () => {
    expect(boxOf(maskOf(half(16), mask(), W, H), W, H)).toEqual([0, 0, 0.25, 1]);
    expect(boxOf(new Float32Array(W * H), W, H)).toBeUndefined();
  });
});
