import { Random } from '../maths/random';
import { createPicture, type Picture } from '../picture/picture';
import { seenThrough } from '../picture/window';
import { identityChange, strokeChange, timesSteadier } from './steadiness';
import { SHEET, shown, STRANGER } from './testing';

const WHOLE = { x: 0, y: 0, width: 1, height: 1 };

/** Strokes without any order: streaks of a few px. */
function streaks(seed: number, width = 384, height = 256): Picture {
  const p = createPicture(width, height);
  const random = new Random(seed);
  p.planes[0].fill(0.5);
  for (let k = 0; k < 6000; k++) {
    const at = Math.floor(random.next() * (width * height - 8));
    const by = random.bell() * 0.2;
    for (let i = 0; i < 6; i++) p.planes[0][at + i] += by;
  }
  return p;
}

test('strokes that stay do not change, new ones do', () => {
  const [a, b] = [streaks(1), streaks(2)];
  expect(strokeChange(a, a, WHOLE)).toBeLessThan(1e-6);
  expect(strokeChange(a, b, WHOLE)).toBeGreaterThan(1);
});

test('a half of new strokes is half of the change', () => {
  const [a, b] = [streaks(1), streaks(2)];
  const half = createPicture(a.width, a.height);
  half.planes[0].set(a.planes[0]);
  half.planes[0].set(b.planes[0].subarray(a.planes[0].length / 2), a.planes[0].length / 2);
  const ratio = strokeChange(a, half, WHOLE) / strokeChange(a, b, WHOLE);
  expect(ratio).toBeGreaterThan(0.4);
  expect(ratio).toBeLessThan(0.6);
});

test('a camera that moves is no change, as long as its way is known', () => {
  const scene = streaks(3, 768, 512);
  const seen = (x: number) => seenThrough(scene, { x, y: 60, width: 384, height: 256 }, 384, 256);
  const window = { x: 24 / 384, y: 0, width: 1, height: 1 };
  expect(strokeChange(seen(100), seen(124), window)).toBeLessThan(0.02);
  expect(strokeChange(seen(100), seen(124), WHOLE)).toBeGreaterThan(0.9);
});

test('identity changes from frame to frame; frames that show nobody are passed over', () => {
  expect(identityChange([SHEET, SHEET])).toBe(0);
  expect(identityChange([SHEET, STRANGER, SHEET])!).toBeGreaterThan(identityChange([SHEET, shown(0.1), SHEET])!);
  expect(identityChange([SHEET, {}, SHEET])).toBeUndefined();
});

test('so many times steadier', () => {
  expect(timesSteadier({ strokes: 0.2, identity: 0.05 }, { strokes: 0.8, identity: 0.1 })).toEqual({
    strokes: 4,
    identity: 2,
  });
  expect(timesSteadier({ strokes: 0 }, { strokes: 0.8 })).toEqual({ strokes: 99, identity: undefined });
});
