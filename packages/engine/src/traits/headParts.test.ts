import type { Lab } from '@urbild/core';
import { CELL_AREA, placeOf, type HeadField } from './headField';
import { headParts } from './headParts';

const [COLUMNS, ROWS] = [81, 98];
const SKIN: Lab = [0.75, 0.04, 0.06];
const HAIR: Lab = [0.45, 0.08, 0.07];
const COAT: Lab = [0.5, -0.02, -0.12];
type Kind = 'ground' | 'skin' | 'hair' | 'cloth';

/** A head with hair that hangs over the shoulders, down to `to`. */
const kindAt = (a: number, b: number, to: number): Kind => {
  const aside = Math.abs(a);
  if (Math.hypot(a / 0.75, (b - 0.17) / 0.86) < 1 && b > -0.5) return 'skin';
  if (Math.hypot(a / 1, (b + 0.2) / 1.1) < 1 && b < 0.2) return 'hair';
  if (aside > 0.6 && aside < 1.05 && b > 0 && b < to) return 'hair';
  if (aside < 0.38 && b > 0.8 && b < 1.7) return 'skin';
  return b > 1.6 && aside < 2 ? 'cloth' : 'ground';
};
const COLOUR: Record<Kind, Lab> = { skin: SKIN, hair: HAIR, cloth: COAT, ground: [0.6, 0, 0] };

/** That head in a light of its own at every place: shade changes lightness, and a and b with it. */
function look(to: number, light: (a: number) => number = () => 1) {
  const alpha = new Float32Array(COLUMNS * ROWS);
  const kinds: Kind[] = [];
  const lab = [...alpha.keys()].map((k): Lab => {
    const [a, b] = placeOf({ columns: COLUMNS }, k);
    const kind = kindAt(a, b, to);
    kinds.push(kind);
    alpha[k] = kind === 'ground' ? 0 : 1;
    const l = light(a);
    return COLOUR[kind].map((v) => v * l) as unknown as Lab;
  });
  const field: HeadField = { columns: COLUMNS, rows: ROWS, lab, alpha, there: new Uint8Array(alpha.length).fill(1) };
  const above = [...alpha.keys()].filter((k) => {
    const [a, b] = placeOf(field, k);
    return kinds[k] === 'hair' && b < -0.62 && Math.abs(a) < 0.7;
  });
  const parts = headParts(field, { skin: SKIN, hair: above, neverHair: () => false });
  const right = (kind: 'skin' | 'hair' | 'cloth') => {
    const own = kinds.flatMap((is, k) => (is === kind ? [k] : []));
    return own.filter((k) => parts[kind][k] > 0.5).length / own.length;
  };
  return { field, kinds, parts, right };
}

test.each([0.2, 1, 2.4])('skin, hair down to %f and clothes are told apart', (to) => {
  const { right } = look(to);
  for (const kind of ['skin', 'hair', 'cloth'] as const) expect(right(kind)).toBeGreaterThan(0.9);
});

test('a strong light from one side changes nothing of it', () => {
  const { right } = look(1, (a) => 0.8 - 0.2 * Math.max(-1, Math.min(1, a)));
  for (const kind of ['skin', 'hair', 'cloth'] as const) expect(right(kind)).toBeGreaterThan(0.85);
});

test('nothing of it is told of the ground, and no cell is more than one whole', () => {
  const { kinds, parts } = look(1);
  kinds.forEach((kind, k) => {
    const sum = parts.skin[k] + parts.hair[k] + parts.cloth[k];
    expect(sum).toBeLessThanOrEqual(1.0001);
    if (kind === 'ground') expect(sum).toBe(0);
  });
});

test('without a hint of hair nothing is hair, and without clothes in sight nothing breaks', () => {
  const { field } = look(0.2);
  const { hair } = headParts(field, { skin: SKIN, hair: [], neverHair: () => false });
  expect(hair.reduce((s, v) => s + (v > 0.5 ? CELL_AREA : 0), 0)).toBe(0);
  const alpha = field.alpha.map((v, k) => (placeOf(field, k)[1] < 1 ? v : 0));
  const { cloth, skin } = headParts({ ...field, alpha }, { skin: SKIN, hair: [], neverHair: () => false });
  expect([...cloth, ...skin].some(Number.isNaN)).toBe(false);
});

test('what cannot be hair is none, whatever colour it has', () => {
  const { field, kinds } = look(1);
  const above = [...kinds.keys()].filter((k) => kinds[k] === 'hair' && placeOf(field, k)[1] < -0.62);
  const { hair } = headParts(field, { skin: SKIN, hair: above, neverHair: (k) => placeOf(field, k)[1] > 0 });
  expect([...hair.keys()].filter((k) => hair[k] > 0 && placeOf(field, k)[1] > 0)).toEqual([]);
});
