import fc from 'fast-check';
import { pictureOf, testScene } from '../testing';
import { cutOutAlpha, findPlainBackground, isPlain } from './plainBackground';
import { areaOf } from '../checks/faces';
import { focusOnFace, salienceOf, salientBox, squareAround } from './salience';

/** A dark disk on an even ground. */
const disk = (cx: number, cy: number, r: number, ground = 0.95) =>
  pictureOf(200, 160, (u, v) => (Math.hypot((u - cx) * 1.25, v - cy) < r ? [0.35, 0.08, 0.02] : [ground, 0, 0.01]));

test.each([[0.95], [0.5], [0.12]])('an even ground of lightness %s is plain, and its share is right', (ground) => {
  const found = findPlainBackground(disk(0.5, 0.5, 0.3, ground));
  expect(isPlain(found)).toBe(true);
  expect(found.share).toBeCloseTo(1 - (Math.PI * 0.09) / 1.25, 1);
  expect(found.border).toBe(1);
});

test('a scene has no plain background; a sky alone is not one', () => {
  for (let seed = 1; seed < 8; seed++) expect(isPlain(findPlainBackground(testScene(seed)))).toBe(false);
  expect(
    isPlain(
      findPlainBackground(
        pictureOf(160, 120, (u, v) => (v < 0.4 ? [0.8, 0, -0.05] : [0.4 + 0.2 * ((u * 40) % 1), 0, 0.05])),
      ),
    ),
  ).toBe(false);
});

test('the cut-out keeps the subject and drops the ground, with a soft edge', () => {
  const alpha = cutOutAlpha(findPlainBackground(disk(0.5, 0.5, 0.3)), 200, 160);
  const at = (u: number, v: number) => alpha[Math.floor(v * 160) * 200 + Math.floor(u * 200)];
  expect(at(0.5, 0.5)).toBe(1);
  expect(at(0.05, 0.05)).toBe(0);
  expect(at(0.95, 0.5)).toBe(0);
  expect([...alpha].some((v) => v > 0.2 && v < 0.8)).toBe(true);
  const nothing = cutOutAlpha(findPlainBackground(pictureOf(50, 50, () => [0.9, 0, 0])), 50, 50);
  expect(Math.min(...nothing)).toBe(1);
});

test('the focus is proposed around the subject, wherever it is', () => {
  for (const [cx, cy] of [
    [0.3, 0.4],
    [0.7, 0.6],
    [0.5, 0.3],
  ]) {
    const box = salientBox(disk(cx, cy, 0.15));
    expect((box.left + box.right) / 2).toBeCloseTo(cx, 1);
    expect((box.top + box.bottom) / 2).toBeCloseTo(cy, 1);
    expect(areaOf(box)).toBeLessThan(0.25);
  }
});

test('salience is highest where something stands out, and a scene has a focus inside it', () => {
  const { map, width } = salienceOf(disk(0.3, 0.5, 0.12));
  const best = map.indexOf(Math.max(...map));
  expect((best % width) / width).toBeGreaterThan(0.12);
  expect((best % width) / width).toBeLessThan(0.48);
  const box = salientBox(testScene(3));
  expect(Math.min(box.left, box.top)).toBeGreaterThanOrEqual(0);
  expect(Math.max(box.right, box.bottom)).toBeLessThanOrEqual(1);
  expect(box.right).toBeGreaterThan(box.left);
});

test('a square around any box is square in pixels and lies inside the picture', () => {
  const part = fc.double({ min: 0, max: 0.7, noNaN: true });
  fc.assert(
    fc.property(
      part,
      part,
      fc.double({ min: 0.05, max: 0.3, noNaN: true }),
      fc.integer({ min: 50, max: 900 }),
      fc.integer({ min: 50, max: 900 }),
      (left, top, size, w, h) => {
        const s = squareAround({ left, top, right: left + size, bottom: top + size }, w, h);
        expect((s.right - s.left) * w).toBeCloseTo((s.bottom - s.top) * h, 6);
        expect(Math.min(s.left, s.top)).toBeGreaterThan(-1e-9);
        expect(Math.max(s.right, s.bottom)).toBeLessThan(1 + 1e-9);
      },
    ),
  );
});

test('a face becomes the focus: square with hair and neck, or with the body below for a character', () => {
  const face = { left: 0.4, top: 0.2, right: 0.6, bottom: 0.4 };
  const close = focusOnFace(face, 'face', 800, 800);
  expect(close.right - close.left).toBeCloseTo(close.bottom - close.top, 9);
  expect(close.top).toBeLessThan(face.top - 0.05);
  const whole = focusOnFace(face, 'character', 800, 800);
  expect(whole.bottom).toBe(1);
  expect(areaOf(whole)).toBeGreaterThan(areaOf(close));
});
