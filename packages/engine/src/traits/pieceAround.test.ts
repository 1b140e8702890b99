import { pictureFromRgba, traitDistance, understand } from '@urbild/core';
import { paintStage } from '../painter/paint';
import { colourful } from './colourful';
import { faceOfRecord, placeFrame } from './frame';
import { pieceAround } from './pieceAround';
import { readTraits } from './readTraits';

const stage = paintStage(understand('a woman and a man walking in the meadow, noon'), {
  width: 480,
  height: 320,
  seed: 5,
  medium: 'gouache',
});
const picture = pictureFromRgba(stage.rgba, stage.width, stage.height);
const faces = stage.figures.flatMap((f) => faceOfRecord(f, picture.width, picture.height) ?? []);

test('a face lies in its piece where it lay in the picture, and as large', () => {
  expect(faces.length).toBeGreaterThan(0);
  for (const face of faces) {
    const there = pieceAround(picture, face);
    expect(there.picture.width * there.picture.height).toBeLessThan(0.5 * picture.width * picture.height);
    const [whole, part] = [
      placeFrame(face, picture.width, picture.height),
      placeFrame(there.face, there.picture.width, there.picture.height),
    ];
    expect(part.unit).toBeCloseTo(whole.unit, 6);
    const [x, y] = part.at(0, 0).map(Math.round);
    const [u, v] = whole.at(0, 0).map(Math.round);
    expect(there.picture.planes[0][y * there.picture.width + x]).toBe(picture.planes[0][v * picture.width + u]);
  }
});

test('what is read in the piece is what is read in the whole picture', () => {
  for (const face of faces) {
    const there = pieceAround(picture, face);
    const whole = readTraits(picture, face, { exact: true }).traits;
    const part = readTraits(there.picture, there.face, { exact: true, tinted: colourful(picture) }).traits;
    expect(Object.keys(part)).toEqual(Object.keys(whole));
    expect(traitDistance(part, whole)).toBeLessThan(1e-3);
  }
});

test('a face that fills the picture, or lies beyond it, leaves the picture whole', () => {
  expect(pieceAround(picture, { eyes: [0.5, 0.3], chin: [0.5, 0.7], yaw: 0 }).picture).toBe(picture);
  expect(pieceAround(picture, { eyes: [5, 5], chin: [5, 5.05], yaw: 0 }).picture).toBe(picture);
});
