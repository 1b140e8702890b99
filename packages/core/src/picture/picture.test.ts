import fc from 'fast-check';
import { Random } from '../maths/random';
import { blur, blurPlane, boxPlane, dilatePlane, erodePlane, reflect } from './filter';
import { applyGuided, fitGuided } from './guided';
import { createPicture, pictureFromRgba, pictureToRgba, type Picture } from './picture';
import { joinBands, splitBands } from './pyramid';
import { resample, resamplePlane, resampleToLongSide } from './resample';

function noisy(width: number, height: number, seed = 1): Picture {
  const random = new Random(seed);
  const p = createPicture(width, height);
  p.planes.forEach((plane) => plane.forEach((_, i) => (plane[i] = random.next())));
  return p;
}
const sum = (p: Float32Array) => p.reduce((a, b) => a + b, 0);

test('8-bit pixels survive the way into a picture and back, but for one step of rounding', () => {
  const random = new Random(3);
  const rgba = Uint8ClampedArray.from({ length: 64 * 4 }, (_, i) =>
    i % 4 === 3 ? 255 : Math.floor(random.next() * 256),
  );
  const back = pictureToRgba(pictureFromRgba(rgba, 8, 8));
  back.forEach((v, i) => expect(Math.abs(v - rgba[i])).toBeLessThanOrEqual(1));
});

test('transparency is laid over white', () => {
  const p = pictureFromRgba(Uint8Array.from([0, 0, 0, 0]), 1, 1);
  expect(p.planes[0][0]).toBeCloseTo(1, 5);
});

test.each([0, -1, 1.5, NaN])('a picture with a side of %p is refused', (side) => {
  expect(() => createPicture(side, 4)).toThrow(RangeError);
});

test('resampling keeps the mean, and a flat picture flat, at any size', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: 1, max: 60 }),
      fc.integer({ min: 1, max: 60 }),
      (sw, sh, dw, dh) => {
        const flat = resamplePlane(new Float32Array(sw * sh).fill(0.4), sw, sh, dw, dh);
        flat.forEach((v) => expect(v).toBeCloseTo(0.4, 5));
        if (dw <= sw && dh <= sh) {
          const p = noisy(sw, sh).planes[0];
          const small = resamplePlane(p, sw, sh, dw, dh);
          expect(sum(small) / small.length).toBeCloseTo(sum(p) / p.length, 4);
        }
      },
    ),
  );
  expect(resampleToLongSide(noisy(40, 10), 20)).toMatchObject({ width: 20, height: 5 });
  expect(resample(noisy(4, 4), 4, 4).width).toBe(4);
});

test('blurring keeps the mean of the inside and lowers contrast', () => {
  const p = noisy(48, 48).planes[0];
  const soft = blurPlane(p, 48, 48, 2);
  const deviation = (q: Float32Array) => Math.sqrt(q.reduce((s, v) => s + (v - sum(q) / q.length) ** 2, 0) / q.length);
  expect(deviation(soft)).toBeLessThan(deviation(p) / 3);
  expect(sum(soft) / soft.length).toBeCloseTo(sum(p) / p.length, 2);
  expect(blur(noisy(9, 9), 1).planes).toHaveLength(3);
});

test('a box is the mean of its window', () => {
  const p = Float32Array.from({ length: 25 }, (_, i) => i);
  expect(boxPlane(p, 5, 5, 1)[12]).toBeCloseTo(12, 5);
  expect(boxPlane(p, 5, 5, 1)[0]).toBeCloseTo((6 * 4 + 5 * 2 + 1 * 2 + 0) / 9, 5);
});

test('dilation grows a dot to a square, erosion takes it away', () => {
  const p = new Float32Array(49);
  p[24] = 1;
  expect(sum(dilatePlane(p, 7, 7, 1))).toBe(9);
  expect(sum(erodePlane(p, 7, 7, 1))).toBe(0);
});

test('reflected indices stay inside', () => {
  fc.assert(
    fc.property(fc.integer({ min: -300, max: 300 }), fc.integer({ min: 1, max: 50 }), (i, n) => {
      const k = reflect(i, n);
      expect(k >= 0 && k < n).toBe(true);
      if (i >= 0 && i < n) expect(k).toBe(i);
    }),
  );
});

test('bands join to the picture they were split from', () => {
  const p = noisy(40, 24);
  const sizes = [
    { width: 5, height: 3 },
    { width: 10, height: 6 },
    { width: 20, height: 12 },
    { width: 40, height: 24 },
  ];
  const joined = joinBands(splitBands(p, sizes));
  joined.planes.forEach((plane, c) => plane.forEach((v, i) => expect(v).toBeCloseTo(p.planes[c][i], 4)));
});

test('a guided filter finds a linear relation again, also at a larger size', () => {
  const guide = noisy(32, 32);
  const target = createPicture(32, 32);
  target.planes.forEach((plane, c) => plane.forEach((_, i) => (plane[i] = 0.2 + 0.5 * guide.planes[c][i])));
  const model = fitGuided(guide, target, 4, 1e-6);
  const same = applyGuided(model, guide);
  same.planes.forEach((plane, c) => plane.forEach((v, i) => expect(v).toBeCloseTo(target.planes[c][i], 2)));
  const large = resample(guide, 64, 64);
  expect(applyGuided(model, large).planes[0][2000]).toBeCloseTo(0.2 + 0.5 * large.planes[0][2000], 1);
});
