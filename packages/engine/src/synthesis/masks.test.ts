import { createPicture, type Picture } from '@urbild/core';
import { contourLines, surfaceArea } from './detail';
import { softEdge } from './softEdge';
import { isWhole } from './whole';

const SIDE = 64;
/** A picture whose lightness is said by place. */
function drawn(light: (x: number, y: number) => number): Picture {
  const picture = createPicture(SIDE, SIDE);
  picture.planes[0].forEach((_, i) => (picture.planes[0][i] = light(i % SIDE, Math.floor(i / SIDE))));
  return picture;
}

test('contours run where two areas meet, and nowhere in an even one', () => {
  const lines = contourLines(
    drawn((x) => (x < SIDE / 2 ? 0.3 : 0.8)),
    6,
  );
  const at = (x: number) => lines[(SIDE / 2) * SIDE + x];
  const edge = Math.max(at(SIDE / 2 - 1), at(SIDE / 2));
  expect(edge).toBeGreaterThan(0.1);
  expect(edge).toBe(Math.max(...lines));
  expect(at(8)).toBe(0);
  expect(at(SIDE - 8)).toBe(0);
  expect(
    Math.max(
      ...contourLines(
        drawn(() => 0.5),
        6,
      ),
    ),
  ).toBe(0);
});

test('the most structured part of a reference is its subject, all else its surface', () => {
  const inside = (x: number, y: number) => Math.hypot(x - 40, y - 24) < 8;
  const area = surfaceArea(drawn((x, y) => (inside(x, y) ? ((x + y) % 4 < 2 ? 0.1 : 0.9) : 0.5)));
  expect(area[24 * SIDE + 40]).toBe(0);
  expect(area[56 * SIDE + 8]).toBe(1);
  const part = area.reduce((sum, v) => sum + v, 0) / area.length;
  expect(part).toBeGreaterThan(0.8);
  expect(part).toBeLessThan(0.92);
});

test('masks are softened by a pixel of 640, and a share is whole only where nothing else can be seen', () => {
  expect([softEdge(100, 60), softEdge(640, 400), softEdge(800, 1280)]).toEqual([0.6, 1, 2]);
  expect([0.99, 0.999, 1].map(isWhole)).toEqual([false, true, true]);
});
