import { understand, type SeenKind } from '@urbild/core';
import { compose } from '../compose';
import type { Path } from '../geometry/point';
import { mapsOf } from '../paint';
import { REGION } from '../scene/region';
import type { AreaHint, AreasHint } from './areasHint';

const box = (x0: number, y0: number, x1: number, y1: number): Path => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];
let numbers = 0;
const area = (kind: SeenKind, outline: Path, fields: Partial<AreaHint> = {}): AreaHint => ({
  ...{ kind, outlines: [outline], share: 0.1, tone: 0, group: numbers++, nth: 0, strokes: [] },
  colours: [
    [0.6, 0.15, 30],
    [0.5, 0.15, 30],
  ],
  ...fields,
});
/** A lake between two shores with a house on the left and the sun on the right. */
const AREAS: readonly AreaHint[] = [
  area('sky', box(0, 0, 1, 0.5), { share: 0.5 }),
  area('water', box(0, 0.5, 1, 0.7), { share: 0.2 }),
  area('ground', box(0, 0.7, 1, 1), { share: 0.3 }),
  area('building', box(0.1, 0.45, 0.3, 0.75), { share: 0.06 }),
  area('sun or moon', box(0.75, 0.1, 0.85, 0.22), { share: 0.01 }),
];
const hint = (fields: Partial<AreasHint> = {}): AreasHint => ({
  ...{ areas: AREAS, share: 1, ownColours: 0, alone: false, lines: [], horizon: 0.5 },
  ...fields,
});
const size = { width: 240, height: 180, seed: 3 };
const brief = understand('Ilse in the village street in the morning');
const labelsWith = (areas: AreasHint | undefined, words = brief) => mapsOf(words, { ...size, hints: { areas } }).labels;
const at = (labels: Uint8Array, u: number, v: number) => labels[Math.floor(v * 180) * 240 + Math.floor(u * 240)];
const count = (labels: Uint8Array, ...regions: number[]) =>
  labels.filter((l) => regions.includes(l)).length / labels.length;

test('a place is laid out anew: what its areas are lies where they lie, what stood there is gone', () => {
  const labels = labelsWith(hint());
  expect([at(labels, 0.6, 0.6), at(labels, 0.2, 0.6), at(labels, 0.6, 0.05)]).toEqual([
    REGION.water,
    REGION.building,
    REGION.sky,
  ]);
  expect(count(labels, REGION.roof, REGION.window)).toBe(0);
  expect(count(labelsWith(undefined), REGION.roof, REGION.window)).toBeGreaterThan(0.02);
});

test('whoever the words name stands on the ground, not in the water nor in the house', () => {
  for (const words of ['Ilse in the village street', 'Tove on the beach', 'a man in the forest']) {
    const { figures } = compose(understand(words), {
      ...size,
      hints: { areas: hint(), horizon: { at: 0.5, share: 1 } },
    });
    const [, , , foot] = figures[0].box;
    expect(foot / 180).toBeGreaterThan(0.69);
  }
});

test('while a place is only partly taken over, nothing is cut in two: far things go first, near ones stay', () => {
  const houses = [0, 0.3, 0.6, 1].map((share) =>
    count(labelsWith(share ? hint({ share }) : undefined), REGION.roof, REGION.window),
  );
  for (let k = 1; k < houses.length; k++) expect(houses[k]).toBeLessThanOrEqual(houses[k - 1]);
  expect(houses[1]).toBeGreaterThan(0);
});

test('in its own colours it has those of the reference; else those of the place', () => {
  const colours = (ownColours: number) =>
    compose(brief, { ...size, hints: { areas: hint({ ownColours }) } }).root.children.flatMap((n) =>
      n.kind === 'shape' && n.region === REGION.building ? [n.colour] : [],
    );
  expect(colours(1)).toContainEqual([0.6, 0.15, 30]);
  expect(colours(0)).not.toContainEqual([0.6, 0.15, 30]);
});

test('alone, nobody of the words is there', () => {
  expect(compose(brief, { ...size, hints: { areas: hint({ ownColours: 1, alone: true }) } }).figures).toHaveLength(0);
  expect(compose(brief, { ...size, hints: { areas: hint({ ownColours: 1 }) } }).figures).toHaveLength(1);
});

test('the sun of the light goes where the reference has one', () => {
  const sun = compose(brief, { ...size, hints: { areas: hint() } }).sun!;
  expect(sun.x / 240).toBeCloseTo(0.8, 2);
  expect(sun.y / 180).toBeCloseTo(0.16, 2);
});

test('drawn lines come in their own ink, those of somebody as somebody', () => {
  const line = {
    path: [
      [0.4, 0.8],
      [0.6, 0.8],
    ] as const,
    width: 0.03,
    colour: [0.2, 0, 0] as const,
  };
  const labels = labelsWith(hint({ ownColours: 1, alone: true, lines: [{ ...line, of: 'person' }] }));
  expect(at(labels, 0.5, 0.8)).toBe(REGION.garment);
  expect(at(labelsWith(hint({ ownColours: 1, alone: true, lines: [line] })), 0.5, 0.8)).not.toBe(REGION.garment);
});
