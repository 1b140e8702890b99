import fc from 'fast-check';
import { inFrame, inPicture, WHOLE, within, zoomAt, zoomStyle } from './zoom';

const part = fc.double({ min: 0, max: 1, noNaN: true });

test('nothing beyond the edges is ever shown', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 50, noNaN: true }), part, part, (scale, x, y) => {
      const z = within({ scale, x, y });
      expect(z.scale).toBeGreaterThanOrEqual(1);
      for (const at of [z.x, z.y]) {
        expect(at - 0.5 / z.scale).toBeGreaterThanOrEqual(-1e-9);
        expect(at + 0.5 / z.scale).toBeLessThanOrEqual(1 + 1e-9);
      }
    }),
  );
});

test('the point under the pointer stays under it while zooming in', () => {
  fc.assert(
    fc.property(part, part, fc.double({ min: 1, max: 4, noNaN: true }), (u, v, factor) => {
      const z = zoomAt(WHOLE, factor, u, v);
      expect(z.x + (u - 0.5) / z.scale).toBeCloseTo(u);
      expect(z.y + (v - 0.5) / z.scale).toBeCloseTo(v);
    }),
  );
});

test('the whole picture is shown as it is', () => {
  expect(zoomStyle(WHOLE).transform).toBe('scale(1) translate(0%, 0%)');
  expect(zoomAt(zoomAt(WHOLE, 3), 1 / 9)).toEqual(WHOLE);
});

test('a point of the frame and the point of the picture that lies there lead to each other', () => {
  const zoom = { scale: 4, x: 0.3, y: 0.7 };
  expect(inFrame(zoom, 0.3, 0.7)).toEqual([0.5, 0.5]);
  expect(inFrame(WHOLE, 0.1, 0.9)).toEqual([expect.closeTo(0.1), expect.closeTo(0.9)]);
  expect(inFrame(zoom, 0, 1)[0]).toBeLessThan(0);
  const [x, y] = inPicture(zoom, 0.25, 0.9);
  expect(inFrame(zoom, x, y)).toEqual([expect.closeTo(0.25), expect.closeTo(0.9)]);
  expect(inPicture(WHOLE, -0.2, 1.3)).toEqual([0, 1]);
});
