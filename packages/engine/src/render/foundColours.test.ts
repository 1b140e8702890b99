import { CHROMA_GAIN, mapPlanes, type Lab, type Picture } from '@urbild/core';
import fc from 'fast-check';
import { readRequest } from '../contract/readRequest';
import { BuiltInEngine } from '../engine';
import { colourKept } from './foundColours';

const lab = (L: number, chroma: number, degrees: number): Lab => [
  L,
  chroma * Math.cos((degrees * Math.PI) / 180),
  chroma * Math.sin((degrees * Math.PI) / 180),
];

describe('how much a colour is still called by its name', () => {
  const colours = fc.record({
    L: fc.double({ min: 0.3, max: 0.8, noNaN: true }),
    chroma: fc.double({ min: 0.05, max: 0.2, noNaN: true }),
    hue: fc.double({ min: 0, max: 360, noNaN: true }),
  });

  test('all of it as it was, and less the more of its colour is gone', () => {
    fc.assert(
      fc.property(colours, ({ L, chroma, hue }) => {
        const kept = [1, 0.6, 0.4, 0.2, 0].map((k) => colourKept(lab(L, chroma, hue), lab(L, k * chroma, hue)));
        expect(kept[0]).toBeCloseTo(1, 9);
        expect(kept[4]).toBe(0);
        for (let k = 1; k < kept.length; k++) expect(kept[k]).toBeLessThan(kept[k - 1]);
      }),
    );
  });

  test('lighter or darker it keeps its name, turned into another hue it does not', () => {
    fc.assert(
      fc.property(colours, fc.double({ min: 20, max: 180, noNaN: true }), ({ L, chroma, hue }, turn) => {
        const was = lab(L, chroma, hue);
        expect(colourKept(was, lab(L + 0.15, chroma, hue))).toBeCloseTo(1, 9);
        const turned = colourKept(was, lab(L, chroma, hue + turn));
        expect(turned).toBeLessThanOrEqual(1);
        if (turn > 70) expect(turned).toBe(0);
      }),
    );
  });

  test.each([
    ['white in the shade', [0.95, 0, 0.01], [0.85, 0, 0.01], 0.7, 1],
    ['white that became dark', [0.95, 0, 0.01], [0.4, 0, 0.01], 0, 0],
    ['white that became red', [0.95, 0, 0.01], [0.7, 0.15, 0.05], 0, 0.1],
    ['black that is a little lighter', [0.2, 0, 0], [0.27, 0, 0], 0.7, 1],
    ['black that became light', [0.2, 0, 0], [0.7, 0, 0], 0, 0],
    ['grey that became lighter', [0.55, 0, 0], [0.65, 0, 0], 0.7, 0.8],
  ])('%s', (_, was, now, least, most) => {
    const kept = colourKept(was as Lab, now as Lab);
    expect(kept).toBeGreaterThanOrEqual(least);
    expect(kept).toBeLessThanOrEqual(most);
  });
});

describe('the named colours of a picture', () => {
  const prompt = 'a girl in a red coat beside a white dog, a yellow boat';
  const engine = new BuiltInEngine();
  const found = async (picture?: Picture, weight = 2) => {
    const influences = picture ? [{ id: 'a', gives: 'look', weight, pictures: [{ content: 'a' }] }] : [];
    const request = readRequest({ prompt, width: 288, height: 216, seed: 5, influences });
    const { words } = await engine.render(request, () => Promise.resolve(picture!));
    return Object.fromEntries(words.map((w) => [w.text, w.found]));
  };
  /** Waves of one colour, lighter and darker. */
  const waves = (a: number, b: number): Picture =>
    mapPlanes(240, 180, (c) =>
      Float32Array.from({ length: 240 * 180 }, (_, i) =>
        c ? (c === 1 ? a : b) * CHROMA_GAIN : 0.55 + 0.3 * Math.sin((i % 240) / 9) * Math.cos(Math.floor(i / 240) / 13),
      ),
    );

  test('are all there without references, each at its word', async () => {
    const { red, white, yellow } = await found();
    for (const kept of [red, white, yellow]) expect(kept).toBeCloseTo(1, 5);
  });

  test('go with a look that has none, and do not come to be called kept in a look of another colour', async () => {
    const grey = await found(waves(0, 0));
    expect(grey.red).toBeLessThan(0.4);
    expect(grey.yellow).toBeLessThan(0.4);
    const blue = await found(waves(-0.03, -0.12));
    expect(blue.red).toBeLessThan(0.4);
    expect(blue.yellow).toBeLessThan(0.4);
  });
});
