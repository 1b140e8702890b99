import { COLOUR_VALUES, MEDIA, understand, type Medium } from '@urbild/core';
import { createHash } from 'crypto';
import { paletteFor, PALETTES } from './index';
import { painted, partOf } from '../testing';
import { REGION } from '../scene/region';
import type { Stage } from '../paint';

const WORDS = 'Ilse waving in the harbour at noon';
const digest = (s: Stage) => createHash('sha256').update(s.rgba).digest('hex');

/** Mean colour, and mean contrast of points 1, 2, 4 and 8 px apart, 0..255: what is left of a medium in a thumbnail. */
function impression({ rgba, width, height }: Stage): number[] {
  const lags = [1, 2, 4, 8];
  const sums = [0, 0, 0, 0, 0, 0, 0];
  for (let y = 0; y < height - 8; y++)
    for (let x = 0; x < width - 8; x++) {
      const o = (y * width + x) * 4;
      for (let c = 0; c < 3; c++) sums[c] += rgba[o + c];
      lags.forEach(
        (lag, i) =>
          (sums[3 + i] += Math.abs(rgba[o] - rgba[o + 4 * lag]) + Math.abs(rgba[o] - rgba[o + width * 4 * lag])),
      );
    }
  return sums.map((s) => s / ((width - 8) * (height - 8)));
}

test.each(MEDIA)('%s renders the same scene in its own way, the same pixels every time', (medium) => {
  const own = painted(WORDS, { medium });
  expect(digest(painted(WORDS, { medium }))).toBe(digest(own));
  if (medium !== 'gouache') expect(digest(own)).not.toBe(digest(painted(WORDS)));
  expect(own.labels).toEqual(painted(WORDS).labels);
  expect(own.rgba.every((v, i) => i % 4 !== 3 || v === 255)).toBe(true);
});

test('media differ in a thumbnail', () => {
  const seen = new Map<Medium, number[]>(
    MEDIA.map((m) => [m, impression(painted(WORDS, { medium: m, width: 192, height: 128 }))]),
  );
  for (const [a, u] of seen)
    for (const [b, v] of seen)
      if (a < b) expect(`${a} ${b} ${Math.hypot(...u.map((x, i) => x - v[i])) > 4}`).toBe(`${a} ${b} true`);
});

test.each(MEDIA)('%s has palettes that look different', (medium) => {
  const names = Object.keys(PALETTES[medium]);
  expect(names.length).toBeGreaterThan(1);
  expect(new Set(names.map((palette) => digest(painted(WORDS, { medium, palette, width: 96, height: 64 })))).size).toBe(
    names.length,
  );
});

test('inks come from the words, or by name, or are the usual ones', () => {
  const red = understand('a linocut of a fox in red').inks;
  expect(paletteFor('linocut', undefined, red).middle).toEqual(COLOUR_VALUES.red);
  expect(paletteFor('linocut', 'green', red)).toBe(PALETTES.linocut.green);
  expect(paletteFor('linocut')).toBe(PALETTES.linocut.blue);
  expect(paletteFor('cyanotype', undefined, understand('a brown cyanotype').inks)).toBe(PALETTES.cyanotype.brown);
});

test('a medium word in the prompt chooses it', () => {
  for (const medium of ['embroidery', 'stained glass', 'charcoal'] as const)
    expect(digest(painted(`${WORDS}, ${medium}`))).toBe(digest(painted(`${WORDS}, ${medium}`, { medium })));
});

test('a cyanotype has one hue, a screen print two inks, a pencil drawing no colour', () => {
  const hues = (medium: Medium) => {
    const { rgba } = painted(WORDS, { medium });
    let coloured = 0;
    for (let o = 0; o < rgba.length; o += 4) if (rgba[o] > rgba[o + 2] + 24) coloured++;
    return coloured / (rgba.length / 4);
  };
  expect(hues('cyanotype')).toBeLessThan(0.01);
  expect(hues('pencil')).toBeLessThan(0.02);
  expect(hues('gouache')).toBeGreaterThan(0.05);
  expect(partOf(painted(WORDS, { medium: 'pencil' }), REGION.sky, REGION.cloud)).toBeGreaterThan(0.1);
});
