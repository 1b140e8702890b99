import { pictureOf } from '../testing';
import { labOfHex } from '../colour/hex';
import { AREA_KINDS, nearestColours, planColours } from './layoutMap';

/** Flat areas: colours by rows and columns of a grid of 60 x 40 px. */
const plan = (colourAt: (x: number, y: number) => string) =>
  pictureOf(60, 40, (_, __, x, y) => labOfHex(colourAt(x, y)));

const landscape = plan((x, y) => {
  if (x > 28 && x < 33 && y > 22 && y < 34) return '#111111';
  if (y < 14) return '#9cc4e4';
  if (x < 14 && y < 28) return '#2e7a3c';
  if (x > 44 && y < 26) return '#b5482f';
  return y > 30 ? '#2f5fa8' : '#c9b458';
});

test('a plan of flat areas is flat, and its colours are named by custom', () => {
  const { flat, colours } = planColours(landscape);
  expect(flat).toBeGreaterThan(0.9);
  expect(colours.map((c) => c.is).sort()).toEqual(['building', 'ground', 'sky', 'somebody', 'trees', 'water']);
  expect(colours[0].part).toBeGreaterThanOrEqual(colours[colours.length - 1].part);
  expect(colours.reduce((s, c) => s + c.part, 0)).toBeCloseTo(1, 1);
});

test('the same blue is sky above and water below', () => {
  const blue = (from: number, to: number) =>
    planColours(plan((_, y) => (y >= from && y < to ? '#5c8fc4' : '#c9b458'))).colours.map((c) => c.is);
  expect(blue(0, 12)).toContain('sky');
  expect(blue(0, 12)).not.toContain('water');
  expect(blue(28, 40)).toContain('water');
});

test('a picture of many tones is no plan', () => {
  const toned = pictureOf(96, 64, (_, __, x, y) => {
    const wave = (k: number) => Math.sin((y * 96 + x) * k);
    return [0.5 + 0.5 * wave(12.9898), 0.18 * wave(78.233), 0.18 * wave(37.719)];
  });
  const { flat, colours } = planColours(toned);
  expect(flat).toBeLessThan(0.5);
  for (const { is } of colours) expect(AREA_KINDS).toContain(is);
});

test('every pixel belongs to the colour that is nearest', () => {
  const labs = ['#000000', '#ffffff', '#cc2222'].map(labOfHex);
  const nearest = nearestColours(
    plan((x) => (x < 20 ? '#101010' : x < 40 ? '#f0e8e0' : '#b03a30')),
    labs,
  );
  expect([nearest[5], nearest[25], nearest[50]]).toEqual([0, 1, 2]);
});
