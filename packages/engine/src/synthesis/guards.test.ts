import { createPicture, Random, splitBands, type Picture } from '@urbild/core';
import { REGION } from '../painter/scene/region';
import { calmSkin, holdFigures, holdMask, keepHues } from './figureGuard';
import { prepareReference, referenceLevel } from './reference';
import { toCommonPalette } from './commonPalette';
import { recolourStage } from './palette';
import { matchTextureEnergy } from './textureEnergy';
import { planValues } from './valuePlan';

const SIDE = 96;
const AREA = SIDE * SIDE;

/** A picture of one colour with grain of a certain strength. */
function flat(colour: readonly [number, number, number], grain = 0, seed = 1): Picture {
  const random = new Random(seed);
  const p = createPicture(SIDE, SIDE);
  p.planes.forEach((plane, c) => plane.forEach((_, i) => (plane[i] = colour[c] + grain * random.bell())));
  return p;
}

/** Another colour inside the middle square. */
function withSquare(p: Picture, colour: readonly [number, number, number]): Picture {
  p.planes.forEach((plane, c) =>
    plane.forEach((_, i) => {
      if (inSquare(i)) plane[i] = colour[c];
    }),
  );
  return p;
}
const inSquare = (i: number) => Math.abs((i % SIDE) - 48) < 16 && Math.abs(Math.floor(i / SIDE) - 48) < 16;
const CENTRE = 48 * SIDE + 48;

const labels = Uint8Array.from({ length: AREA }, (_, i) => (inSquare(i) ? REGION.skin : REGION.sky));
const hueOf = (p: Picture, i = CENTRE) => Math.atan2(p.planes[2][i], p.planes[1][i]);

describe('the figure guard', () => {
  test('holds faces most, what a person is known by less, and the sky not at all', () => {
    const codes = [REGION.skin, REGION.garment, REGION.prop, REGION.sky, REGION.building];
    const held = codes.map((code) => holdMask(new Uint8Array(AREA).fill(code), SIDE, SIDE)[CENTRE]);
    expect(held[0]).toBeGreaterThan(held[1]);
    expect(held[1]).toBeGreaterThan(held[2]);
    expect(held.slice(3)).toEqual([0, 0]);
  });

  const stage = withSquare(flat([0.6, 0.02, -0.1], 0.01), [0.8, 0.08, 0.1]);
  const blue = [0.35, -0.02, -0.16] as const;

  test('skin keeps its hue under a look that has such hues', () => {
    const reference = prepareReference(
      'blue with some warm places',
      withSquare(flat(blue, 0.02), [0.7, 0.1, 0.12]),
      SIDE,
    );
    const moved = flat(blue);
    keepHues(stage, moved, holdMask(labels, SIDE, SIDE), [{ reference, share: 1 }]);
    expect(Math.abs(hueOf(moved) - hueOf(stage))).toBeLessThan(0.35);
    // lightness is the look's, and the sky is left alone
    expect(moved.planes[0][CENTRE]).toBeCloseTo(0.35, 5);
    expect(hueOf(moved, 5)).toBeCloseTo(Math.atan2(-0.16, -0.02), 5);
  });

  test('a look without any such hue has its way with clothes, but not with a face', () => {
    const reference = prepareReference('nothing but blue', flat(blue, 0.01), SIDE);
    const under = (region: number) => {
      const moved = flat(blue);
      const codes = labels.map((l) => (l === REGION.skin ? region : l));
      keepHues(stage, moved, holdMask(codes, SIDE, SIDE), [{ reference, share: 1 }]);
      return hueOf(moved);
    };
    expect(under(REGION.garment)).toBeCloseTo(Math.atan2(-0.16, -0.02), 2);
    expect(Math.abs(under(REGION.skin) - hueOf(stage))).toBeLessThan(0.9);
  });

  test('a grey look leaves a face grey', () => {
    const reference = prepareReference('greys', flat([0.5, 0.002, 0.004]), SIDE);
    const moved = flat([0.5, 0.002, 0.004]);
    keepHues(stage, moved, holdMask(labels, SIDE, SIDE), [{ reference, share: 1 }]);
    expect(Math.hypot(moved.planes[1][CENTRE], moved.planes[2][CENTRE])).toBeLessThan(0.02);
  });

  test('marks are taken off a face by half, and left on everything else', () => {
    const marked = flat([0.2, 0, 0]);
    calmSkin(marked, flat([0.8, 0, 0]), labels);
    expect(marked.planes[0][CENTRE]).toBeCloseTo(0.5, 2);
    expect(marked.planes[0][5]).toBeCloseTo(0.2, 5);
  });
});

describe('the value plan', () => {
  const tones = { dark: [0.1, 0, 0], light: [0.9, 0, 0] } as const;
  const people = labels.map((l, i) => (l === REGION.skin && i % SIDE < 48 ? REGION.garment : l));
  const planned = (figure: number, ground: number, amount = 1) => {
    const guide = withSquare(flat([ground, 0, 0]), [figure, 0, 0]);
    planValues(guide, flat([0.7, 0, 0]), people, tones, amount);
    return guide.planes[0];
  };

  test('skin is lifted into the lighter half of the look, the ground stays', () => {
    const L = planned(0.2, 0.75);
    expect(L[CENTRE + 8]).toBeGreaterThan(0.5);
    expect(L[5]).toBeCloseTo(0.75, 5);
  });

  test('a figure of the tone of its surroundings is moved away from it, as far as the look rules', () => {
    const apart = [0, 0.5, 1].map((amount) => Math.abs(planned(0.5, 0.5, amount)[CENTRE - 8] - 0.5));
    expect(apart[0]).toBe(0);
    expect(apart[1]).toBeGreaterThan(0.04);
    expect(apart[2]).toBeGreaterThan(1.8 * apart[1]);
  });

  test('nothing changes without figures', () => {
    const guide = flat([0.5, 0, 0]);
    planValues(guide, guide, new Uint8Array(AREA), tones, 1);
    expect(guide.planes[0][CENTRE]).toBe(0.5);
  });

  test('broad colours of figures come back, fine strokes stay', () => {
    const guide = flat([0.7, 0.1, 0.1]);
    const matched = flat([0.4, -0.1, -0.1], 0.05, 3);
    const mask = new Float32Array(AREA).fill(1);
    const held = holdFigures(matched, guide, mask, 1);
    const mean = (p: Float32Array) => p.reduce((a, b) => a + b, 0) / p.length;
    expect(mean(held.planes[0])).toBeCloseTo(0.7, 2);
    expect(mean(held.planes[1])).toBeCloseTo(0.1, 2);
    const fine = (p: Picture) =>
      splitBands(p, [
        { width: 24, height: 24 },
        { width: SIDE, height: SIDE },
      ])[1].planes[0];
    const energy = (p: Float32Array) => p.reduce((s, v) => s + v * v, 0);
    expect(energy(fine(held))).toBeGreaterThan(0.4 * energy(fine(matched)));
    expect(holdFigures(matched, guide, new Float32Array(AREA), 1).planes[0]).toEqual(matched.planes[0]);
  });
});

describe('the strength of texture', () => {
  const sizes = [
    { width: 24, height: 24 },
    { width: 48, height: 48 },
    { width: SIDE, height: SIDE },
  ];
  const medianOf = (p: Picture) => {
    const fine = Array.from(splitBands(p, sizes)[2].planes[0], Math.abs).sort((a, b) => a - b);
    return fine[fine.length >> 1];
  };
  const rough = flat([0.5, 0, 0], 0.06, 4);
  const smooth = flat([0.5, 0, 0], 0.02, 5);

  test.each([
    ['rough', rough, 'smooth', smooth],
    ['smooth', smooth, 'rough', rough],
  ] as const)('of a %s picture goes towards that of a %s reference', (_a, picture, _b, reference) => {
    const before = Math.abs(medianOf(picture) - medianOf(reference));
    const half = matchTextureEnergy(picture, [{ picture: reference, part: 1 }], [0, 0.5, 0.5], sizes);
    const all = matchTextureEnergy(picture, [{ picture: reference, part: 1 }], [0, 1, 1], sizes);
    expect(Math.abs(medianOf(half) - medianOf(reference))).toBeLessThan(before);
    expect(Math.abs(medianOf(all) - medianOf(reference))).toBeLessThan(Math.abs(medianOf(half) - medianOf(reference)));
  });

  test('leaves a picture alone at strength 0, and edges at any strength', () => {
    const none = matchTextureEnergy(rough, [{ picture: smooth, part: 1 }], [0, 0, 0], sizes);
    none.planes[0].forEach((v, i) => expect(v).toBeCloseTo(rough.planes[0][i], 5));
    const edged = withSquare(flat([0.2, 0, 0], 0.01), [0.9, 0, 0]);
    const out = matchTextureEnergy(edged, [{ picture: rough, part: 1 }], [0, 1, 1], sizes);
    expect(out.planes[0][CENTRE] - out.planes[0][5]).toBeGreaterThan(0.6);
  });
});

describe('palettes', () => {
  const stage = withSquare(flat([0.6, 0.02, -0.1], 0.02), [0.8, 0.08, 0.1]);
  const warm = prepareReference('warm', withSquare(flat([0.7, 0.1, 0.12], 0.03, 8), [0.3, 0.05, 0]), SIDE);
  const meanA = (p: Picture) => p.planes[1].reduce((s, v) => s + v, 0) / AREA;

  test('the stage moves as far as the shares sum to, and no further than the reference', () => {
    const at = (share: number) => meanA(recolourStage(stage, 'a stage', [{ reference: warm, share }]));
    const target = meanA(warm.picture);
    const way = [0, 0.25, 0.5, 1].map(at).map((v) => Math.abs(v - target));
    for (let k = 1; k < way.length; k++) expect(way[k]).toBeLessThan(way[k - 1]);
    expect(way[3]).toBeLessThan(0.02);
    expect(recolourStage(stage, 'a stage', [{ reference: warm, share: 0 }])).toBe(stage);
  });

  test('a reference comes into the palette that the picture has', () => {
    const share = { reference: warm, share: 0.3 };
    const brought = toCommonPalette(warm, [share], stage, 'a stage');
    const distance = (p: Picture) => Math.abs(meanA(p) - (0.3 * meanA(warm.picture) + 0.7 * meanA(stage)));
    expect(distance(brought.picture)).toBeLessThan(distance(warm.picture));
    expect(toCommonPalette(warm, [share], stage, 'a stage')).toBe(brought);
    expect(toCommonPalette(warm, [share], stage, 'another stage')).not.toBe(brought);
  });
});

test('references are prepared and cut into levels once per content and size', () => {
  const p = flat([0.5, 0, 0], 0.05);
  const prepared = prepareReference('once', p, 64);
  expect(prepared.picture.width).toBe(64);
  expect(prepareReference('once', flat([0.9, 0, 0]), 64)).toBe(prepared);
  expect(prepareReference('once', p, 48)).not.toBe(prepared);
  const level = referenceLevel(prepared, 0.5, 3, 64);
  expect(level.picture.width).toBe(32);
  expect(referenceLevel(prepared, 0.5, 3, 64)).toBe(level);
  expect(referenceLevel(prepared, 1, 3, 64)).not.toBe(level);
});
