import { lchToLab, pictureFromRgba, type Picture } from '@urbild/core';
import { SCENE_FAMILIES } from '@urbild/engine-tools';
import { readPicture } from '../understand/readPicture';
import { areasOf, fitTo, type AreasWish } from './areas';

const family = (name: string) => SCENE_FAMILIES.find((f) => f.name === name)!;
const pictureOf = (name: string, seed: number): Picture => {
  const { rgba, width, height } = family(name).make({ who: seed, seed });
  return pictureFromRgba(rgba, width, height);
};
const street = pictureOf('pencil streets', 3);
const poster = pictureOf('posters', 2);
const frame = { width: 480, height: 340 };
const laid = (picture: Picture, wish: Omit<AreasWish, 'from'>) =>
  areasOf(readPicture(picture), { from: 0.12, ...wish }, frame);
const WEIGHTS = [0, 0.15, 0.3, 0.5, 0.75, 1, 1.5, 2];

test('areas take the place over steadily, wholly at half weight; an arrangement never brings colours', () => {
  const shares = WEIGHTS.map((weight) => laid(street, { weight, itself: false })?.share ?? 0);
  expect([...shares].sort((a, b) => a - b)).toEqual(shares);
  expect(shares[0]).toBe(0);
  expect(shares[3]).toBe(1);
  for (const weight of WEIGHTS.slice(2)) expect(laid(street, { weight, itself: false })!.ownColours).toBe(0);
});

test('a picture itself comes to its colours after its arrangement, and is alone from the weight that was asked for', () => {
  const at = (weight: number) => laid(poster, { weight, itself: true, aloneFrom: 0.9 })!;
  const own = WEIGHTS.slice(2).map((weight) => at(weight).ownColours);
  expect([...own].sort((a, b) => a - b)).toEqual(own);
  expect(own[0]).toBe(0);
  expect(at(1)).toMatchObject({ ownColours: 1, alone: true });
  expect(at(0.75).alone).toBe(false);
  expect(laid(poster, { weight: 2, itself: true })!.alone).toBe(false);
});

test('outlines follow more closely the more it weighs', () => {
  const points = (weight: number) =>
    laid(poster, { weight, itself: true })!.areas.reduce((n, a) => n + a.outlines.flat().length, 0);
  expect(points(1.5)).toBeGreaterThan(points(0.5));
});

test('people are there only where the reference is drawn alone: others stand in their place', () => {
  const kinds = (weight: number) => laid(poster, { weight, itself: true, aloneFrom: 0.9 })!.areas.map((a) => a.kind);
  expect(kinds(1)).toContain('person');
  expect(kinds(0.6)).not.toContain('person');
  // what they stood before goes on behind them
  const covered = laid(poster, { weight: 0.6, itself: true })!.areas.reduce((sum, a) => sum + sizeOf(a.outlines), 0);
  expect(covered).toBeGreaterThan(0.97);
});

test('colours are those of the picture, from the top of an area to its foot', () => {
  const { areas } = laid(poster, { weight: 1, itself: true })!;
  const sky = areas.find((a) => a.kind === 'sky')!;
  const [top] = sky.colours;
  const [L, A, B] = lchToLab(top);
  const near = Math.hypot(L - poster.planes[0][0], A - poster.planes[1][0] / 1.6, B - poster.planes[2][0] / 1.6);
  expect(near).toBeLessThan(0.03);
});

test('the horizon lies where the ground begins, not where hills end', () => {
  const { truth } = family('pencil streets').make({ who: 3, seed: 3 });
  const { map, kinds } = truth.areas!;
  let last = 0;
  // the third area of a street with hills, or the second, is the ground from the horizon on
  for (let y = 0; y < 340; y++) if (kinds[map[y * 480 + 2]] === 'sky') last = y;
  expect(laid(street, { weight: 1, itself: false })!.horizon).toBeGreaterThan(last / 340 - 0.02);
  expect(laid(street, { weight: 1, itself: false })!.horizon).toBeLessThan(0.72);
});

test('a reference of another shape is cut to the picture, one of nearly its shape stretched', () => {
  expect(fitTo({ width: 480, height: 340 }, 480, 330)(0.1, 0.9)).toEqual([0.1, 0.9]);
  const wide = fitTo({ width: 800, height: 400 }, 400, 400);
  expect(wide(0.25, 0.5)).toEqual([0.25, 0.5]);
  expect(wide(0.5, 0)[1]).toBeLessThan(0);
  const tall = fitTo({ width: 400, height: 800 }, 400, 400);
  expect(tall(0, 0.5)[0]).toBeLessThan(0);
  expect(tall(0.5, 0.25)).toEqual([0.5, 0.25]);
});

/** What outlines enclose, as a part of the picture; holes come after what they are in. */
function sizeOf(outlines: readonly (readonly (readonly [number, number, ...unknown[]])[])[]): number {
  const area = (ring: readonly (readonly [number, number, ...unknown[]])[]) =>
    Math.abs(
      ring.reduce((s, [x, y], k) => s + x * ring[(k + 1) % ring.length][1] - ring[(k + 1) % ring.length][0] * y, 0),
    ) / 2;
  const [outer, ...holes] = outlines.map(area);
  return outer - holes.reduce((a, b) => a + b, 0);
}

test('what comes late is not there before', () => {
  const late = (weight: number) => areasOf(readPicture(poster), { weight, from: 0.4, itself: true }, frame);
  expect(late(0.4)).toBeUndefined();
  expect(late(0.55)!.ownColours).toBe(0);
  expect(late(0.7)).toMatchObject({ share: 1 });
  expect(late(0.9)!.ownColours).toBe(1);
});
