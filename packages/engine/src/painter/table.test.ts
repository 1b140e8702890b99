import { PLACES, SEASONS, TIMES, understand, WEATHERS } from '@urbild/core';
import { createHash } from 'crypto';
import { paintStage } from './paint';
import { REGION } from './scene/region';

const paint = (place: string, time: string, weather: string, season = 'summer') =>
  paintStage({ ...understand('Ilse'), place, time, weather, season } as Parameters<typeof paintStage>[0], {
    width: 96,
    height: 68,
    seed: 3,
  });

const ROOMS = ['boathouse', 'kitchen', 'attic', 'greenhouse'];

/** Every time and every weather once or twice; from place to place they meet others, so that over all places all of them meet. */
const conditionsOf = (nth: number) =>
  Array.from(
    { length: Math.max(TIMES.length, WEATHERS.length) + 1 },
    (_, k) => [TIMES[k % TIMES.length], WEATHERS[(k + nth) % WEATHERS.length]] as const,
  ).filter(([time, weather], k, all) => all.findIndex(([t, w]) => t === time && w === weather) === k);

test('over all places every time meets every weather', () => {
  const met = new Set(PLACES.flatMap((_, nth) => conditionsOf(nth).map((c) => c.join())));
  expect(met.size).toBe(TIMES.length * WEATHERS.length);
});

describe.each(PLACES)('%s', (place) => {
  test('is painted to the last pixel at every time and in every weather, each in its own way', () => {
    const looks = new Set<string>();
    const conditions = conditionsOf(PLACES.indexOf(place));
    for (const [time, weather] of conditions) {
      const stage = paint(place, time, weather);
      expect(
        `${time}, ${weather}: ${stage.labels.filter((l) => l === REGION.none).length} pixels without a label`,
      ).toBe(`${time}, ${weather}: 0 pixels without a label`);
      expect(stage.rgba.every((v, i) => i % 4 !== 3 || v === 255)).toBe(true);
      expect(stage.figures).toHaveLength(1);
      looks.add(createHash('sha256').update(stage.rgba).digest('hex'));
    }
    expect(looks.size).toBe(conditions.length);
  });

  test('every season shows', () => {
    const looks = SEASONS.map((season) =>
      createHash('sha256')
        .update(paint(place, 'noon', 'clear', season).rgba)
        .digest('hex'),
    );
    expect(new Set(looks).size).toBe(SEASONS.length);
  });

  test('has a sky outdoors, walls and a window in a room', () => {
    const { labels } = paint(place, 'noon', 'clear');
    const part = (...regions: number[]) => labels.filter((l) => regions.includes(l)).length / labels.length;
    if (place === 'greenhouse') expect(part(REGION.foliage)).toBeGreaterThan(0.05);
    else if (ROOMS.includes(place)) expect(part(REGION.window)).toBeGreaterThan(0.02);
    else expect(part(REGION.sky, REGION.cloud, REGION.sun)).toBeGreaterThan(0.05);
  });
});
