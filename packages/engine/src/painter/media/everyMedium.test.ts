/** What every medium owes its picture, and what sets one apart from the next, measured on the paper. */
import { MEDIA, pictureFromRgba, type Medium } from '@urbild/core';
import { painted } from '../testing';
import { REGION } from '../scene/region';
import type { Stage } from '../paint';
import { paletteFor, PALETTES } from './index';

const SIZE = { width: 144, height: 108 };
const WORDS = 'half figure of Ilse in the harbour at noon';
const known = new Map<Medium, Stage>();
const inMedium = (medium: Medium) => {
  if (!known.has(medium)) known.set(medium, painted(WORDS, { ...SIZE, medium }));
  return known.get(medium)!;
};
const planesOf = (s: Stage) => pictureFromRgba(s.rgba, s.width, s.height).planes;
const toneOf = (s: Stage, ...regions: number[]) => {
  const [L] = planesOf(s);
  const those = L.filter((_, i) => regions.includes(s.labels[i]));
  return those.reduce((a, b) => a + b, 0) / those.length;
};
/** Different colours, in steps of 24 of 255, that cover at least a thousandth of the picture. */
const tonesIn = ({ rgba }: Stage) => {
  const counts = new Map<number, number>();
  for (let o = 0; o < rgba.length; o += 4) {
    const key = ((rgba[o] / 24) | 0) * 121 + ((rgba[o + 1] / 24) | 0) * 11 + ((rgba[o + 2] / 24) | 0);
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return [...counts.values()].filter((n) => n > rgba.length / 4000).length;
};

test.each(MEDIA)('%s keeps a figure apart from what is behind it', (medium) => {
  const stage = inMedium(medium);
  const [L, a, b] = planesOf(stage);
  const { width: w } = stage;
  let apart = 0;
  let rim = 0;
  for (let i = 0; i < L.length - w - 1; i++)
    for (const j of [i + 1, i + w]) {
      const figure = (l: number) => l === REGION.garment || l === REGION.hair || l === REGION.skin;
      if (figure(stage.labels[i]) === figure(stage.labels[j])) continue;
      rim++;
      apart += Math.hypot(L[i] - L[j], a[i] - a[j], b[i] - b[j]);
    }
  expect(rim).toBeGreaterThan(60);
  expect(apart / rim).toBeGreaterThan(0.05);
});

test.each(MEDIA)('%s does not leave a picture of one tone', (medium) => {
  const [L] = planesOf(inMedium(medium));
  const sorted = Float32Array.from(L).sort();
  expect(sorted[Math.floor(0.95 * L.length)] - sorted[Math.floor(0.05 * L.length)]).toBeGreaterThan(0.2);
});

test.each(MEDIA)('%s is not changed in what it shows by its palette', (medium) => {
  const [first, second] = Object.keys(PALETTES[medium]);
  const [a, b] = [first, second].map((palette) => painted(WORDS, { width: 72, height: 54, medium, palette }));
  expect(a.labels).toEqual(b.labels);
  expect(paletteFor(medium, first)).not.toEqual(paletteFor(medium, second));
});

test.each(MEDIA)('%s can be stopped on the way, more than once', (medium) => {
  let calls = 0;
  const checkpoint = () => {
    if (++calls === 4) throw new Error('stopped');
  };
  expect(() => painted(WORDS, { width: 72, height: 54, medium, checkpoint })).toThrow('stopped');
  expect(() => painted(WORDS, { width: 72, height: 54, medium })).not.toThrow();
});

test.each(MEDIA)('%s paints any format', (medium) => {
  for (const [width, height] of [
    [64, 96],
    [120, 48],
    [65, 65],
  ]) {
    const { rgba } = painted('a boat at noon', { width, height, medium });
    expect(rgba).toHaveLength(4 * width * height);
  }
});

test('prints have few tones, paint has many', () => {
  const tones = Object.fromEntries(MEDIA.map((m) => [m, tonesIn(inMedium(m))])) as Record<Medium, number>;
  for (const print of ['linocut', 'cyanotype', 'charcoal', 'pencil'] as const)
    for (const paint of ['gouache', 'pastel', 'impasto'] as const)
      expect(`${print} ${paint} ${tones[print] < tones[paint]}`).toBe(`${print} ${paint} true`);
});

test('a face is lighter than the hair about it in every medium but those that turn tones', () => {
  const kept = MEDIA.filter((m) => toneOf(inMedium(m), REGION.skin) > toneOf(inMedium(m), REGION.hair));
  expect(kept.length).toBeGreaterThanOrEqual(MEDIA.length - 2);
});

test('night is darker than noon in paint, and no print loses its picture by it', () => {
  for (const medium of ['gouache', 'pastel', 'impasto', 'ink wash'] as const) {
    const tone = (time: string) => {
      const [L] = planesOf(painted(`the harbour at ${time}`, { width: 96, height: 72, medium }));
      return L.reduce((a, b) => a + b, 0) / L.length;
    };
    expect([medium, tone('night') < tone('noon')]).toEqual([medium, true]);
  }
});
