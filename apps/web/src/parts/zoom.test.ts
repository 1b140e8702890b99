import fc from 'fast-check';
import { WHOLE, within, zoomAt, zoomStyle } from './zoom';

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
