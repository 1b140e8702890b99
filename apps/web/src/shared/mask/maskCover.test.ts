import { coverageOf, cutFigure } from './maskCover';

/** A mask of 10 x 10 px whose first `columns` columns are painted. */
const mask = (columns: number) =>
  Uint8ClampedArray.from({ length: 400 }, (_, i) => (i % 4 === 3 && (i >> 2) % 10 < columns ? 255 : 0));
const ilse = { name: 'Ilse', box: [0, 0, 0.5, 1] };

test('coverage', () => {
  expect(coverageOf(mask(3))).toBeCloseTo(0.3);
  expect(coverageOf(new Uint8ClampedArray())).toBe(0);
});

test('a figure that is covered in part is cut; one that is covered, or not touched, is not', () => {
  const cut = (columns: number, invert = false) => cutFigure(mask(columns), 10, 10, [ilse], invert);
  expect(cut(2)).toBe('Ilse');
  expect(cut(5)).toBeUndefined();
  expect(cut(0)).toBeUndefined();
  expect(cut(3, true)).toBe('Ilse');
  expect(cutFigure(mask(2), 10, 10, [{ box: ilse.box }], false)).toBe('figure 1');
});
