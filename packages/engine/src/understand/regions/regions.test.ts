import { pictureFromRgba, understand, type Medium, type Picture } from '@urbild/core';
import { foreignLooks } from '@urbild/engine-tools';
import { paintStage } from '../../painter/paint';
import { REGION } from '../../painter/scene/region';
import { foreignPhotograph } from '../../testing';
import { kindOf, PLACE_OF_KIND, REGION_KINDS } from './kinds';
import { commonRegions, readRegions, regionsOfLabels } from './readRegions';

const SIZE = { width: 300, height: 200 };
const painted = (words: string, medium: Medium, seed = 31) => {
  const { rgba, labels } = paintStage(understand(words), { ...SIZE, seed, medium });
  return { picture: pictureFromRgba(rgba, SIZE.width, SIZE.height), labels };
};
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/** What is said of the pixels of one kind of region. */
function saidOf(picture: Picture, labels: Uint8Array, is: (region: number) => boolean): number {
  const { width, height, places } = readRegions(picture);
  const said: number[] = [];
  labels.forEach((region, i) => {
    if (!is(region)) return;
    const x = Math.floor(((i % SIZE.width) * width) / SIZE.width);
    const y = Math.floor((Math.floor(i / SIZE.width) * height) / SIZE.height);
    said.push(places[y * width + x]);
  });
  return mean(said);
}

test.each(['gouache', 'pastel', 'woodblock', 'embroidery'] as const)(
  'sky, ground and things of a harbour in %s are told apart',
  (medium) => {
    const { picture, labels } = painted('three sailing boats, harbour at noon', medium);
    const of = (kind: (typeof REGION_KINDS)[number]) =>
      saidOf(picture, labels, (region) => kindOf(region) === REGION_KINDS.indexOf(kind));
    expect(of('sky')).toBeGreaterThan(0.7);
    expect(of('ground')).toBeGreaterThan(0.2);
    expect(of('ground')).toBeLessThan(0.6);
    expect(of('thing')).toBeLessThan(0.3);
  },
);

test('a sail before the sky is no sky', () => {
  const { picture, labels } = painted('three sailing boats, harbour at noon', 'gouache');
  expect(saidOf(picture, labels, (r) => r === REGION.boat)).toBeLessThan(0.35);
});

test('in a photograph the upper part is sky and the hills are not', () => {
  const { width, height, places } = readRegions(foreignPhotograph());
  const rows = (from: number, to: number) =>
    mean([...places.subarray(Math.round(from * height) * width, Math.round(to * height) * width)]);
  // it is in some doubt about a grainy yellow sky, as it may be
  expect(rows(0, 0.15)).toBeGreaterThan(0.5);
  expect(rows(0.7, 1)).toBeLessThan(rows(0, 0.15) - 0.15);
});

test('labels say it outright; pictures of the same kinds have much in common, an interior and a sea have not', () => {
  const all = (region: number) => regionsOfLabels(new Uint8Array(64 * 48).fill(region), 64, 48);
  expect(all(REGION.cloud).places.every((v) => v === 1)).toBe(true);
  expect(all(REGION.water).places[5]).toBeCloseTo(PLACE_OF_KIND[1]);
  expect(all(REGION.skin).shares).toEqual([0, 0, expect.closeTo(1)]);
  const sea = painted('open sea at noon', 'gouache');
  const seaMap = regionsOfLabels(sea.labels, SIZE.width, SIZE.height);
  expect(commonRegions(seaMap, readRegions(sea.picture))).toBeGreaterThan(0.75);
  const room = painted('a table in the kitchen', 'gouache');
  expect(commonRegions(seaMap, regionsOfLabels(room.labels, SIZE.width, SIZE.height))).toBeLessThan(0.4);
});

test('a texture has no order: spots that are read into it are no regions', () => {
  const panes = foreignLooks().find((l) => l.name === 'leaded panes')!;
  expect(readRegions(pictureFromRgba(panes.rgba, panes.width, panes.height)).order).toBeLessThan(0.25);
  expect(readRegions(painted('harbour at noon', 'gouache').picture).order).toBeGreaterThan(0.45);
  expect(regionsOfLabels(new Uint8Array(64 * 48).fill(REGION.cloud), 64, 48).order).toBe(1);
});
