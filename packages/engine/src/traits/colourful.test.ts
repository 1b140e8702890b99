import { pictureFromRgba, understand, type Medium } from '@urbild/core';
import { paintStage } from '../painter/paint';
import { colourful } from './colourful';
import { readTraits } from './readTraits';
import { paintPersonFrom } from '@urbild/engine-tools';

const painted = (medium: Medium) => {
  const { rgba } = paintStage(understand('half figure of Ilse, meadow at noon'), {
    width: 160,
    height: 200,
    seed: 4,
    medium,
  });
  return pictureFromRgba(rgba, 160, 200);
};

test.each<[Medium, number]>([
  ['gouache', 1],
  ['pastel', 1],
  ['ink wash', 1],
  ['pencil', 0],
  ['charcoal', 0],
  ['cyanotype', 0],
])('%s is colourful: %d', (medium, wanted) => {
  expect(colourful(painted(medium))).toBeCloseTo(wanted, 1);
});

test('a picture of three flat colours, none of them paper, is of several colours', () => {
  const colours = [
    [0.8, 0.05, 0.09],
    [0.5, 0.16, 0.11],
    [0.6, -0.08, -0.16],
  ];
  const planes = [0, 1, 2].map((c) => Float32Array.from({ length: 900 }, (_, i) => colours[Math.floor(i / 300)][c]));
  expect(colourful({ width: 30, height: 30, planes: [planes[0], planes[1], planes[2]] })).toBe(1);
});

test('an empty sheet of paper has no colours to tell of', () => {
  const planes = [0.93, 0.005, 0.03].map((v) => new Float32Array(900).fill(v));
  expect(colourful({ width: 30, height: 30, planes: [planes[0], planes[1], planes[2]] })).toBe(0);
});

test('a drawing in one ink tells of forms, not of colours', () => {
  const sheet = (medium: Medium) => {
    const { picture, frame } = paintPersonFrom('half figure of Ilse, front, meadow at noon', medium, 4, undefined)!;
    return readTraits(picture, frame, { exact: true }).traits;
  };
  const [inColour, inPencil] = [sheet('gouache'), sheet('pencil')];
  expect(inColour.hair!.confidence).toBeGreaterThan(0.5);
  expect(inPencil.hair!.confidence).toBe(0);
  expect(inPencil.skin!.confidence).toBe(0);
  expect(inPencil['hair style']!.confidence).toBeGreaterThan(0.2);
});

test('before a dark ground what is read is half believed', () => {
  const sheet = (time: string) => {
    const { picture, frame } = paintPersonFrom(`half figure of Ilse, front, meadow ${time}`, 'gouache', 4, undefined)!;
    return readTraits(picture, frame, { exact: true }).traits;
  };
  const [day, night] = [sheet('at noon'), sheet('at night')];
  expect(night.skin!.confidence).toBeLessThan(0.75 * day.skin!.confidence);
  expect(night.beard!.confidence).toBeLessThan(0.85 * day.beard!.confidence);
  expect(night.beard!.confidence).toBeGreaterThan(0.4);
});
