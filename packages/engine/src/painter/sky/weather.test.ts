/** Light, weather and season, told from pictures: what an art director would say of them without knowing the words. */
import { pictureFromRgba, SEASONS, TIMES, WEATHERS } from '@urbild/core';
import { composed, painted, partOf } from '../testing';
import { REGION } from '../scene/region';
import type { Stage } from '../paint';

const PLACE = 'a meadow';
const SIZE = { width: 144, height: 108 };
const shown = (words: string) => painted(`${PLACE}, ${words}`, SIZE);
const planes = (s: Stage) => pictureFromRgba(s.rgba, s.width, s.height).planes;
const mean = (s: Stage, c = 0, rows: readonly [number, number] = [0, 1]) => {
  const [from, to] = rows.map((r) => Math.round(r * s.height) * s.width);
  const part = planes(s)[c].subarray(from, to);
  return part.reduce((a, b) => a + b, 0) / part.length;
};
const chroma = (s: Stage) => {
  const [, a, b] = planes(s);
  return a.reduce((sum, v, i) => sum + Math.hypot(v, b[i]), 0) / a.length;
};
const contrast = (s: Stage) => {
  const [L] = planes(s);
  const m = L.reduce((a, b) => a + b, 0) / L.length;
  return Math.sqrt(L.reduce((a, v) => a + (v - m) ** 2, 0) / L.length);
};

test('night is dark and blue, noon light, dusk warm', () => {
  const [noon, dusk, night] = ['at noon', 'at dusk', 'at night'].map(shown);
  expect(mean(noon)).toBeGreaterThan(mean(dusk));
  expect(mean(dusk)).toBeGreaterThan(mean(night));
  expect(mean(night, 2)).toBeLessThan(0);
  expect(mean(dusk, 1)).toBeGreaterThan(mean(noon, 1));
});

test('moonlight is lighter than night, dawn than dusk or so', () => {
  expect(mean(shown('moonlight'))).toBeGreaterThan(mean(shown('at night')));
  expect(mean(shown('at dawn'))).toBeGreaterThan(mean(shown('at night')) + 0.1);
});

test('fog takes contrast and colour away, clouds take colour', () => {
  const [clear, fog, cloudy] = ['clear', 'fog', 'cloudy'].map(shown);
  expect(contrast(fog)).toBeLessThan(contrast(clear));
  expect(chroma(fog)).toBeLessThan(0.8 * chroma(clear));
  expect(chroma(cloudy)).toBeLessThan(chroma(clear));
});

test('a storm darkens the sky, rain greys it', () => {
  const sky = [0, 0.3] as const;
  expect(mean(shown('storm'), 0, sky)).toBeLessThan(mean(shown('clear'), 0, sky) - 0.1);
  expect(Math.abs(mean(shown('rain'), 2, sky))).toBeLessThan(Math.abs(mean(shown('clear'), 2, sky)));
});

test('winter under snow is white below, summer green, autumn warm', () => {
  const ground = [0.75, 1] as const;
  const [summer, autumn, snow] = ['summer', 'autumn', 'winter, snow'].map(shown);
  expect(mean(snow, 0, ground)).toBeGreaterThan(mean(summer, 0, ground) + 0.15);
  expect(mean(summer, 1, ground)).toBeLessThan(-0.02);
  expect(mean(autumn, 1, ground)).toBeGreaterThan(mean(summer, 1, ground));
});

test.each(WEATHERS)('%s leaves no part of the picture unpainted, at any time of day', (weather) => {
  for (const time of TIMES) {
    const stage = painted(`${PLACE}, ${weather} at ${time}`, { width: 72, height: 54 });
    expect([time, partOf(stage, REGION.none) < 0.01]).toEqual([time, true]);
  }
});

test.each(SEASONS)('%s has its own picture in every weather', (season) => {
  const means = WEATHERS.map((w) => mean(painted(`${PLACE}, ${season}, ${w}`, { width: 72, height: 54 })).toFixed(4));
  expect(new Set(means).size).toBe(WEATHERS.length);
});

test('what falls is in front: rain and snow change people too', () => {
  const figure = (words: string) => painted(`half figure of Ilse, ${PLACE}, ${words}`, SIZE);
  const [clear, snow] = [figure('winter'), figure('winter, snow')];
  const changed = clear.labels.reduce(
    (n, l, i) => n + +(l === REGION.garment && clear.rgba[4 * i] !== snow.rgba[4 * i]),
    0,
  );
  expect(changed).toBeGreaterThan(20);
});

test('stars and moon come at night, the sun by day, and none where the sky is covered', () => {
  expect(partOf(painted('open sea at dawn, clear', SIZE), REGION.sun)).toBeGreaterThan(0);
  expect(partOf(painted('open sea at dawn, rain', SIZE), REGION.sun)).toBe(0);
  expect(composed('open sea at night').light.stars).toBeGreaterThan(composed('open sea at night, cloudy').light.stars);
});

test('light from behind rims figures; lamps make a room warm', () => {
  expect(composed('Ilse, backlit, pier').light.rim).toBeGreaterThan(composed('Ilse, pier').light.rim);
  const warm = (words: string) => mean(painted(`kitchen, ${words}`, SIZE), 2);
  expect(warm('lamplight at night')).toBeGreaterThan(warm('at noon, cloudy') - 0.02);
});

test('the eye above sees more ground, below more sky', () => {
  const sky = (words: string) => partOf(painted(`Ilse, ${PLACE}${words}`, SIZE), REGION.sky, REGION.cloud);
  expect(sky(', from above')).toBeLessThan(sky(''));
  expect(sky(', from below')).toBeGreaterThan(sky(''));
});
