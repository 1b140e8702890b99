import fc from 'fast-check';
import { GRIPS, moveBox, pixelsOf } from './focusBox';

const box = fc
  .tuple(
    fc.double({ min: 0, max: 0.6, noNaN: true }),
    fc.double({ min: 0, max: 0.6, noNaN: true }),
    fc.double({ min: 0.1, max: 0.4, noNaN: true }),
    fc.double({ min: 0.1, max: 0.4, noNaN: true }),
  )
  .map(([left, top, w, h]) => ({ left, top, right: left + w, bottom: top + h }));
const step = fc.double({ min: -1, max: 1, noNaN: true });
const grip = fc.constantFrom('all' as const, ...GRIPS.map((g) => g.grip));

test('a focus stays inside the picture and never turns over, however it is dragged', () => {
  fc.assert(
    fc.property(
      box,
      grip,
      step,
      step,
      fc.option(fc.double({ min: 0.3, max: 3, noNaN: true }), { nil: undefined }),
      (from, g, dx, dy, aspect) => {
        const to = moveBox(from, g, dx, dy, aspect);
        expect(Math.min(to.left, to.top)).toBeGreaterThan(-1e-9);
        expect(Math.max(to.right, to.bottom)).toBeLessThan(1 + 1e-9);
        expect(to.right).toBeGreaterThan(to.left);
        expect(to.bottom).toBeGreaterThan(to.top);
      },
    ),
  );
});

test('moving all of it keeps its size; a handle moves only its own sides', () => {
  const from = { left: 0.2, top: 0.3, right: 0.6, bottom: 0.8 };
  const moved = moveBox(from, 'all', 0.1, -0.5);
  expect(moved.right - moved.left).toBeCloseTo(0.4);
  expect(moved.top).toBe(0);
  expect(moveBox(from, 'e', 0.1, 0.5)).toEqual({ ...from, right: 0.7 });
  expect(moveBox(from, 'nw', -0.1, 0.1)).toEqual({ ...from, left: 0.1, top: 0.4 });
});

test('square means square in pixels', () => {
  fc.assert(
    fc.property(box, fc.constantFrom(...GRIPS.map((g) => g.grip)), step, step, (from, g, dx, dy) => {
      const to = moveBox(from, g, dx, dy, 1.5);
      expect((to.right - to.left) * 1.5).toBeCloseTo(to.bottom - to.top, 6);
    }),
  );
  expect(pixelsOf({ left: 0, top: 0, right: 0.5, bottom: 1 }, 300, 200)).toEqual([150, 200]);
});
