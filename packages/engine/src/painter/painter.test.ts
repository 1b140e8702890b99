import { createHash } from 'crypto';
import { ACTIONS, pictureFromRgba, TIMES, understand, WEATHERS, type Medium } from '@urbild/core';
import { bendLimb } from './people/pose/limbs';
import { HeadModel } from './people/head/headModel';
import { CAST } from './people/cast';
import { ribbon, resamplePath, spline } from './geometry/curve';
import { areaOf, boundsOf, ellipse, rectangle } from './geometry/point';
import { scanPath } from './geometry/scan';
import { paintStage, type Stage } from './paint';
import { REGION } from './scene/region';

const paint = (prompt: string, options: { seed?: number; medium?: Medium; horizon?: number } = {}): Stage =>
  paintStage(understand(prompt), {
    width: 144,
    height: 96,
    seed: options.seed ?? 5,
    medium: options.medium,
    hints: options.horizon === undefined ? {} : { horizon: { at: options.horizon, share: 1 } },
  });
const digest = (s: Stage) => createHash('sha256').update(s.rgba).digest('hex');
const lightness = (s: Stage) =>
  pictureFromRgba(s.rgba, s.width, s.height).planes[0].reduce((a, b) => a + b, 0) / (s.width * s.height);
const part = (s: Stage, ...regions: number[]) => s.labels.filter((l) => regions.includes(l)).length / s.labels.length;

test('the same words and seed give the same pixels; other words or another seed do not', () => {
  const words = 'Ilse walking in the harbour at noon';
  expect(digest(paint(words))).toBe(digest(paint(words)));
  expect(digest(paint(words, { seed: 6 }))).not.toBe(digest(paint(words)));
});

test('every time and every weather looks different', () => {
  const looks = [
    ...TIMES.map((t) => digest(paint(`marsh at ${t}`))),
    ...WEATHERS.map((w) => digest(paint(`marsh, ${w}`))),
  ];
  // noon and clear weather are one and the same
  expect(new Set(looks).size).toBe(looks.length - 1);
  expect(lightness(paint('marsh at noon'))).toBeGreaterThan(lightness(paint('marsh at dusk')));
  expect(lightness(paint('marsh at dusk'))).toBeGreaterThan(lightness(paint('marsh at night')));
});

test.each(ACTIONS)('Ilse can %s, and has skin, hair and a coat', (action) => {
  const stage = paint(`Ilse, ${action}, reed channel`);
  for (const region of [REGION.skin, REGION.hair, REGION.garment]) expect(part(stage, region)).toBeGreaterThan(0.0008);
});

test('nearer framings show a larger figure; nobody is there who was not asked for', () => {
  const figure = (prompt: string) => part(paint(prompt), REGION.skin, REGION.hair, REGION.garment);
  const sizes = ['wide view of Ilse', 'Ilse', 'half figure of Ilse', 'portrait of Ilse'].map((p) =>
    figure(`${p} in the marsh`),
  );
  for (let k = 1; k < sizes.length; k++) expect(sizes[k]).toBeGreaterThan(sizes[k - 1]);
  expect(figure('marsh at noon')).toBe(0);
  expect(part(paint('Brom in the marsh'), REGION.animal)).toBeGreaterThan(0.005);
  expect(part(paint('marsh, no heron'), REGION.animal)).toBe(0);
});

test('a mustard coat stays a mustard coat at noon and at dusk', () => {
  for (const time of ['noon', 'dusk']) {
    const stage = paint(`half figure of Ilse, marsh at ${time}`);
    const { planes } = pictureFromRgba(stage.rgba, stage.width, stage.height);
    const coat = [...stage.labels.keys()].filter((i) => stage.labels[i] === REGION.garment);
    const yellow = coat.reduce((s, i) => s + planes[2][i], 0) / coat.length;
    expect(yellow).toBeGreaterThan(0.09);
  }
});

test('a layout overrules the horizon', () => {
  const skyPart = (horizon: number) => part(paint('open sea at noon', { horizon }), REGION.sky, REGION.cloud);
  expect(skyPart(0.65) - skyPart(0.32)).toBeGreaterThan(0.2);
});

test('a medium word chooses the medium', () => {
  expect(digest(paint('linocut of the lighthouse'))).toBe(
    digest(paint('linocut of the lighthouse', { medium: 'linocut' })),
  );
});

test('painting can be stopped', () => {
  let calls = 0;
  const checkpoint = () => {
    if (++calls > 30) throw new Error('stopped');
  };
  expect(() => paintStage(understand('marsh'), { width: 96, height: 64, seed: 1, checkpoint })).toThrow('stopped');
});

describe('geometry', () => {
  test('scan conversion covers the area of a path', () => {
    for (const path of [rectangle(3, 4, 20, 10), ellipse(40, 30, 18, 12, 0.4, 60)]) {
      let pixels = 0;
      scanPath(path, 80, 60, (_, x0, x1) => (pixels += x1 - x0 + 1));
      expect(Math.abs(pixels / areaOf(path) - 1)).toBeLessThan(0.02);
    }
  });

  test('a spline passes through its points and keeps its corners', () => {
    const path = [
      [0, 0, 1],
      [10, 0, 1],
      [10, 10, 1],
    ] as const;
    const curve = spline(path, true, 1);
    for (const [x, y] of path) expect(curve.some((q) => Math.hypot(q[0] - x, q[1] - y) < 1e-9)).toBe(true);
    boundsOf(curve).forEach((v, i) => expect(v).toBeCloseTo([0, 0, 10, 10][i], 9));
    expect(
      resamplePath(
        [
          [0, 0],
          [10, 0],
        ],
        2,
        false,
      ),
    ).toHaveLength(6);
  });

  test('a ribbon is as wide as it is told', () => {
    const band = ribbon(
      [
        [0, 0],
        [100, 0],
      ],
      [10, 10],
    );
    const [, top, , bottom] = boundsOf(band);
    expect(bottom - top).toBeCloseTo(10, 5);
  });

  test('limbs keep the lengths of their bones, and reach as far as they can', () => {
    for (const target of [
      [0.5, 0.9],
      [3, 3],
      [0.1, 0.1],
    ] as const) {
      const [joint, end] = bendLimb([0, 0], target, 0.8, 0.7, 1);
      expect(Math.hypot(joint[0], joint[1])).toBeCloseTo(0.8, 6);
      expect(Math.hypot(end[0], end[1])).toBeLessThanOrEqual(1.5);
    }
  });

  test('a head is symmetrical from the front and turns to the side', () => {
    const front = new HeadModel(CAST.Ilse, 0, 0, 0, 0);
    expect(front.on(30, 0.1)[0]).toBeCloseTo(-front.on(-30, 0.1)[0], 9);
    const turned = new HeadModel(CAST.Ilse, 0, 0, 40, 0);
    expect(turned.on(0, 0.1)[0]).toBeGreaterThan(0.1);
    expect(turned.facing(90)).toBeLessThan(0);
    expect(turned.facing(-90)).toBeGreaterThan(0);
  });
});
