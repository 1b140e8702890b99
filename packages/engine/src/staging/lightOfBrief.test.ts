import { emphasise, understand } from '@urbild/core';
import { environmentFor } from '../painter/light/environment';
import { lightOfBrief } from './lightOfBrief';

const light = (prompt: string, words?: string, weight = 1) =>
  lightOfBrief(emphasise(understand(prompt), words ? [{ words, weight }] : []));

test('without weights the light is that of the words', () => {
  expect(light('harbour at dusk in fog')).toEqual(environmentFor('dusk', 'fog', 'summer'));
});

test('fog that counts less is thinner, fog that counts more is thicker, steadily', () => {
  const fogs = [0.1, 0.4, 0.7, 1, 1.5, 2].map((w) => light('harbour in fog', 'fog', w).fog);
  for (let k = 1; k < fogs.length; k++) expect(fogs[k]).toBeGreaterThan(fogs[k - 1]);
});

test('dusk that counts less is on its way to noon, without rain in the place of the words own weather', () => {
  const sky = (w: number) => light('harbour at dusk in rain', 'dusk', w).sky[1][0];
  const noon = environmentFor('noon', 'rain', 'summer').sky[1][0];
  expect(Math.abs(sky(0.2) - noon)).toBeLessThan(Math.abs(sky(0.8) - noon));
  expect(light('harbour at dusk in rain', 'dusk', 0.2).weather).toBe('rain');
});

test('beyond itself a light still is one: lightness within the range, no negative numbers', () => {
  for (const time of ['dawn', 'dusk', 'night', 'moonlight']) {
    const e = light(`harbour at ${time}`, time, 2);
    for (const [L, C] of [...e.sky, e.haze, e.light, e.tint, ...e.water]) {
      expect(L).toBeGreaterThan(0);
      expect(L).toBeLessThan(1);
      expect(C).toBeGreaterThanOrEqual(0);
    }
    expect(Math.min(e.fog, e.stars, e.rim, e.vignette)).toBeGreaterThanOrEqual(0);
  }
});
