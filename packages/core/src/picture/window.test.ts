import fc from 'fast-check';
import { createPicture, type Picture } from './picture';
import { codesThrough, seenThrough } from './window';

/** A slope from left to right and top to bottom: every place has its own value. */
function slope(width: number, height: number): Picture {
  const p = createPicture(width, height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      p.planes[0][y * width + x] = (x + 0.5) / width;
      p.planes[1][y * width + x] = (y + 0.5) / height;
    }
  return p;
}

test('the whole window at the same size is the picture', () => {
  const p = slope(20, 12);
  const seen = seenThrough(p, { x: 0, y: 0, width: 20, height: 12 }, 20, 12);
  for (let i = 0; i < 240; i++) expect(seen.planes[0][i]).toBeCloseTo(p.planes[0][i], 6);
});

test('every window shows just its place, moved by parts of a pixel', () => {
  const p = slope(60, 40);
  fc.assert(
    fc.property(
      fc.double({ min: 0.15, max: 0.3, noNaN: true }),
      fc.double({ min: 0.15, max: 0.3, noNaN: true }),
      fc.double({ min: 0.3, max: 0.5, noNaN: true }),
      (x, y, size) => {
        const seen = seenThrough(p, { x: x * 60, y: y * 40, width: size * 60, height: size * 40 }, 30, 20);
        for (const [u, v] of [
          [3, 3],
          [15, 10],
          [26, 16],
        ]) {
          expect(seen.planes[0][v * 30 + u]).toBeCloseTo(x + ((u + 0.5) / 30) * size, 2);
          expect(seen.planes[1][v * 30 + u]).toBeCloseTo(y + ((v + 0.5) / 20) * size, 2);
        }
      },
    ),
    { numRuns: 40 },
  );
});

test('beyond the edges the edge goes on', () => {
  const p = slope(10, 10);
  const seen = seenThrough(p, { x: -10, y: 0, width: 20, height: 10 }, 20, 10);
  expect(seen.planes[0][5]).toBeCloseTo(0.05, 5);
  expect(seen.planes[0][0]).toBeCloseTo(0.05, 5);
  expect(seen.planes[0][19]).toBeCloseTo(0.95, 5);
});

test('a shrunken checkerboard becomes grey, codes stay codes', () => {
  const p = createPicture(40, 40);
  const codes = new Uint8Array(1600);
  for (let i = 0; i < 1600; i++) {
    p.planes[0][i] = ((i % 40) + Math.floor(i / 40)) % 2;
    codes[i] = i % 40 < 20 ? 3 : 9;
  }
  const seen = seenThrough(p, { x: 0, y: 0, width: 40, height: 40 }, 10, 10);
  for (let i = 11; i < 89; i++) if (i % 10 && i % 10 < 9) expect(Math.abs(seen.planes[0][i] - 0.5)).toBeLessThan(0.05);
  const small = codesThrough(codes, 40, 40, { x: 10, y: 0, width: 20, height: 40 }, 10, 10);
  expect([...small.slice(0, 10)]).toEqual([3, 3, 3, 3, 3, 9, 9, 9, 9, 9]);
});
