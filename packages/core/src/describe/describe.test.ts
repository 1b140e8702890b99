import { Random } from '../maths/random';
import { createPicture, type Picture } from '../picture/picture';
import { measureArrival, arrivalOf } from '../measure/arrival';
import { decodeDescriptors, describe as describePicture, distanceOn, encodeDescriptors } from './descriptors';
import { findHorizon } from './horizon';
import { swatchesOf } from './palette';

/** A made-up picture: sky and ground of two colours with a horizon, and strokes of a certain size. */
function scene({ horizon = 0.5, sky = [0.8, 0, -0.05], ground = [0.4, -0.05, 0.1], stroke = 0, seed = 1 }): Picture {
  const p = createPicture(120, 90);
  const random = new Random(seed);
  const grain = Float32Array.from({ length: 400 }, () => random.bell() * 0.08);
  for (let y = 0; y < 90; y++)
    for (let x = 0; x < 120; x++) {
      const base = y < horizon * 90 ? sky : ground;
      const mark = stroke ? grain[(Math.floor(x / stroke) * 7 + Math.floor(y / 2) * 13) % 400] : 0;
      p.planes.forEach((plane, c) => (plane[y * 120 + x] = base[c] + (c === 0 ? mark : 0)));
    }
  return p;
}

test('a picture is at distance 0 from itself and from its copy after storing', () => {
  const d = describePicture(scene({ stroke: 5 }));
  const stored = decodeDescriptors(encodeDescriptors(d));
  for (const channel of ['colour', 'surface', 'layout'] as const)
    expect(distanceOn(channel, d, stored)).toBeCloseTo(0, 3);
});

test('each channel answers to its own quality and little to the others', () => {
  const plain = describePicture(scene({}));
  const recoloured = describePicture(scene({ sky: [0.8, 0.15, 0.1], ground: [0.4, 0.1, -0.1] }));
  const stroked = describePicture(scene({ stroke: 6 }));
  const moved = describePicture(scene({ horizon: 0.3 }));
  const by = (channel: 'colour' | 'surface' | 'layout') =>
    [recoloured, stroked, moved].map((d) => distanceOn(channel, plain, d));
  const [colour, surface, layout] = [by('colour'), by('surface'), by('layout')];
  expect(colour[0]).toBeGreaterThan(1.4 * Math.max(colour[1]));
  expect(surface[1]).toBeGreaterThan(2 * surface[2]);
  expect(layout[2]).toBeGreaterThan(2 * layout[0]);
});

test('bytes that are no descriptors are refused', () => {
  expect(() => decodeDescriptors(new Uint8Array(12))).toThrow(RangeError);
  const bytes = encodeDescriptors(describePicture(scene({})));
  bytes[0] ^= 1;
  expect(() => decodeDescriptors(bytes)).toThrow(/version 1/);
});

test('swatches are the colours of the picture with their parts', () => {
  const [first, second] = swatchesOf(scene({ horizon: 0.7 }), 2);
  expect(first.weight).toBeCloseTo(0.7, 1);
  expect(first.lab[0]).toBeCloseTo(0.8, 1);
  expect(second.weight).toBeCloseTo(0.3, 1);
  expect(second.lab[0]).toBeCloseTo(0.4, 1);
});

test.each([0.3, 0.5, 0.65])('a horizon at %p of the height is found', (at) => {
  const found = findHorizon(scene({ horizon: at }));
  expect(Math.abs(found.at - at)).toBeLessThan(0.04);
  expect(found.confidence).toBeGreaterThan(0.6);
});

test('a picture without a horizon is not sure of one', () => {
  const p = createPicture(80, 80);
  p.planes[0].forEach((_, i) => (p.planes[0][i] = Math.sin((i % 80) / 5) * 0.3 + 0.5));
  expect(findHorizon(p).confidence).toBeLessThan(0.2);
});

describe('arrival', () => {
  test('is 0 at the control and away from the reference, 1 at it', () => {
    expect([
      arrivalOf({ take: 10, control: 10 }),
      arrivalOf({ take: 0, control: 10 }),
      arrivalOf({ take: 5, control: 10 }),
      arrivalOf({ take: 11, control: 10 }),
      arrivalOf({ take: 90, control: 10 }),
    ]).toEqual([0, 1, 0.5, 0, 0]);
    expect(arrivalOf({ take: 1, control: 0 })).toBeUndefined();
  });

  test('is measured on the channels that are given, and only there', () => {
    const control = describePicture(scene({}));
    const reference = describePicture(scene({ sky: [0.6, 0.2, 0.1], ground: [0.2, 0.1, -0.1], stroke: 6 }));
    const between = describePicture(scene({ sky: [0.7, 0.1, 0.025], ground: [0.3, 0.025, 0] }));
    const palette = measureArrival({ gives: 'palette', take: between, control: control, reference });
    expect(Object.keys(palette.channels)).toEqual(['colour']);
    expect(palette.overall).toBeGreaterThan(0.3);
    expect(palette.overall).toBeLessThan(0.8);
    expect(
      Object.keys(measureArrival({ gives: 'look', take: reference, control: control, reference }).channels),
    ).toEqual(['colour', 'surface']);
    expect(measureArrival({ gives: 'look', take: reference, control: control, reference }).overall).toBeCloseTo(1, 3);
    expect(measureArrival({ gives: 'pose', take: between, control: control, reference })).toEqual({
      overall: undefined,
      channels: {},
    });
  });
});
