import fc from 'fast-check';
import { faceOfRecord, frameOfBox, frameOfMesh, placeFrame } from './frame';
import { FACE_NUMBERS, fromSpreads, inSpreads, lengthOf, SEEN_STYLES, seenStyle } from './kinds';

/** A face mesh that lies straight: eyes at their row, nose, lips and chin below, as far down as they usually are. */
function mesh(at: (a: number, b: number) => readonly [number, number]): [number, number][] {
  const points = Array.from({ length: 468 }, () => [0.5, 0.5] as [number, number]);
  const put = (indices: readonly number[], a: number, b: number) =>
    indices.forEach((i) => (points[i] = [...at(a, b)] as [number, number]));
  put([33, 133, 159, 145], -0.3, 0);
  put([362, 263, 386, 374], 0.3, 0);
  put([2], 0, 0.448);
  put([13, 14], 0, 0.63);
  put([152], 0, 1.018);
  return points;
}

describe('the frame of a mesh', () => {
  test('goes from the middle of the eyes to the chin', () => {
    const { eyes, chin, yaw } = frameOfMesh(
      mesh((a, b) => [0.5 + 0.2 * a, 0.3 + 0.2 * b]),
      12,
    );
    expect(eyes).toEqual([expect.closeTo(0.5, 9), expect.closeTo(0.3, 9)]);
    expect(chin).toEqual([expect.closeTo(0.5, 9), expect.closeTo(0.5, 9)]);
    expect(yaw).toBe(12);
  });
  test('a chin that strays under a beard is set right by nose and lips', () => {
    const straying = mesh((a, b) => [0.5 + 0.2 * a, 0.3 + 0.2 * (b > 1 ? 1.5 : b)]);
    expect(frameOfMesh(straying, 0).chin[1]).toBeCloseTo(0.5, 2);
  });
  test('a tilted head tilts its frame', () => {
    const turned = mesh((a, b) => [0.5 + 0.2 * (a + b) * Math.SQRT1_2, 0.3 + 0.2 * (b - a) * Math.SQRT1_2]);
    const { eyes, chin } = frameOfMesh(turned, 0);
    expect(chin[0] - eyes[0]).toBeCloseTo(chin[1] - eyes[1], 6);
  });
});

test('a box from brow to chin has its eyes a third down and its chin at its foot', () => {
  const { eyes, chin, yaw } = frameOfBox({ left: 0.2, right: 0.4, top: 0.1, bottom: 0.6 });
  expect(eyes).toEqual([expect.closeTo(0.3, 9), expect.closeTo(0.28, 9)]);
  expect(chin).toEqual([expect.closeTo(0.3, 9), 0.6]);
  expect(yaw).toBe(0);
});

test('a painted face has a frame in parts of its picture, one that is turned away has none', () => {
  const landmarks = { 'far eye': [90, 40], 'near eye': [110, 40], chin: [100, 80] } as never;
  expect(faceOfRecord({ landmarks, yaw: 5 }, 200, 100)).toEqual({ eyes: [0.5, 0.4], chin: [0.5, 0.8], yaw: 5 });
  expect(faceOfRecord({ landmarks: { chin: [100, 80] } as never, yaw: 170 }, 200, 100)).toBeUndefined();
});

test('the measure of a face is the way from eyes to chin, whichever way it is turned', () => {
  const part = fc.double({ min: 0.1, max: 0.9, noNaN: true });
  fc.assert(
    fc.property(part, part, part, part, (ex, ey, cx, cy) => {
      fc.pre(Math.hypot(cx - ex, cy - ey) > 0.05);
      const { at, unit } = placeFrame({ eyes: [ex, ey], chin: [cx, cy], yaw: 0 }, 300, 200);
      const [x0, y0] = at(0, 0);
      const [x1, y1] = at(0, 1);
      const [x2, y2] = at(1, 0);
      expect(Math.hypot(x1 - 300 * cx, y1 - 200 * cy)).toBeLessThan(1e-9);
      expect(Math.hypot(x1 - x0, y1 - y0)).toBeCloseTo(unit, 9);
      // to the right of the face is at a right angle to down, and as long
      expect(Math.hypot(x2 - x0, y2 - y0)).toBeCloseTo(unit, 9);
      expect((x1 - x0) * (x2 - x0) + (y1 - y0) * (y2 - y0)).toBeCloseTo(0, 6);
    }),
  );
});

test('numbers of a face go into spreads and back', () => {
  const numbers = [1.1, 0.2, 0.9, 1.5, 1.2, 0.6];
  expect(fromSpreads(inSpreads(numbers))).toEqual(numbers.map((v) => expect.closeTo(v, 9) as number));
  expect(inSpreads(fromSpreads(FACE_NUMBERS.map(() => 0)))).toEqual(
    FACE_NUMBERS.map(() => expect.closeTo(0, 9) as number),
  );
});

test('what is tied looks alike from the front; hair is none, short or long', () => {
  expect([seenStyle('bun'), seenStyle('ponytail'), seenStyle('wavy')]).toEqual(['tied', 'tied', 'long']);
  expect(SEEN_STYLES.map(lengthOf)).toEqual([
    'none',
    'short',
    'short',
    'short',
    'short',
    'short',
    'long',
    'long',
    'long',
  ]);
});
