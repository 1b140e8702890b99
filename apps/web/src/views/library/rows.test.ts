import fc from 'fast-check';
import { justify } from './rows';

const GAP = 8;
const layOut = (aspects: readonly number[], width = 900, height = 200) =>
  justify(aspects, (a) => a, width, height, GAP);

test('every picture stands once, in order, in its own aspect', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.3, max: 4, noNaN: true }), { maxLength: 60 }),
      fc.integer({ min: 400, max: 2400 }),
      (aspects, width) => {
        const rows = layOut(aspects, width);
        expect(rows.flatMap((r) => r.items.map((p) => p.item))).toEqual(aspects);
        for (const row of rows) for (const p of row.items) expect(p.width / row.height).toBeCloseTo(p.item, 6);
      },
    ),
  );
});

test('full rows reach exactly from edge to edge, and no row is wider than the frame', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.5, max: 2, noNaN: true }), { minLength: 8, maxLength: 60 }), (aspects) => {
      const rows = layOut(aspects);
      rows.forEach((row, k) => {
        const last = row.items[row.items.length - 1];
        const right = last.x + last.width;
        expect(right).toBeLessThan(900.001);
        if (k < rows.length - 1) {
          expect(right).toBeCloseTo(900, 6);
          expect(row.height).toBeGreaterThan(110);
          expect(row.height).toBeLessThan(340);
        }
        row.items.slice(1).forEach((p, i) => expect(p.x - row.items[i].x - row.items[i].width).toBeCloseTo(GAP, 6));
      });
    }),
  );
});

test('a last row that is not full keeps the wanted height', () => {
  const rows = layOut([1.5, 1.5, 1.5, 1.5]);
  expect(rows[rows.length - 1].height).toBeLessThanOrEqual(200);
  expect(layOut([])).toEqual([]);
});
