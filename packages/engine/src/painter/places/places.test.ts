import { PLACES } from '@urbild/core';
import fc from 'fast-check';
import { environmentFor } from '../light/environment';
import { labelMap } from '../scene/labels';
import { REGION } from '../scene/region';
import { Scene } from '../scene/scene';
import { PLACE_PAINTERS, type Setting } from '.';

const scene = (width: number, height: number, refused: readonly string[] = []) => {
  const s = new Scene(width, height, environmentFor('noon', 'clear', 'summer'), 4);
  refused.forEach((what) => s.refused.add(what));
  return s;
};
const setting = (fields: Partial<Setting> = {}): Setting => ({ hints: {}, onFoot: true, named: new Set(), ...fields });
const SHAPES = [
  [160, 160],
  [192, 128],
  [128, 192],
  [256, 144],
  [200, 100],
] as const;

test.each(PLACES)('%s says where people stand, in pictures of every shape', (place) => {
  for (const [w, h] of SHAPES) {
    const at = PLACE_PAINTERS[place](scene(w, h), setting());
    expect(at.x > 0 && at.x < w && at.y > 0.4 * h && at.y <= h).toBe(true);
    expect(at.head).toBeGreaterThan(0.04 * Math.min(w, h));
    expect(at.y - 4.4 * at.head).toBeGreaterThan(-0.02 * h);
    expect(at.horizon).toBeLessThan(at.y);
    expect((at.left ?? 0) < at.x && (at.right ?? w) > at.x).toBe(true);
    for (const spot of [at.boat, at.table, at.sill])
      if (spot) expect(spot.x > 0 && spot.x < w && spot.y > 0 && spot.y < h).toBe(true);
    expect(at.depth).toBeLessThan(0.3);
  }
});

test.each(PLACES)('%s is whole in pictures of every shape, and where people stand there is no sky', (place) => {
  for (const [w, h] of SHAPES) {
    const s = scene(w, h);
    const at = PLACE_PAINTERS[place](s, setting());
    const labels = labelMap(s);
    expect(labels.filter((l) => l === REGION.none).length).toBe(0);
    const foot = labels[Math.min(h - 1, Math.round(at.y)) * w + Math.round(at.x)];
    expect([REGION.sky, REGION.cloud, REGION.sun]).not.toContain(foot);
  }
});

test('the horizon follows a layout in every open place, by its share, within limits', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('marsh', 'open sea', 'beach', 'meadow', 'harbour', 'mountains'),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (place, at, share) => {
        const usual = PLACE_PAINTERS[place](scene(96, 64), setting()).horizon;
        const given = PLACE_PAINTERS[place](scene(96, 64), setting({ hints: { horizon: { at, share } } })).horizon;
        const target = Math.min(0.68, Math.max(0.3, at)) * 64;
        expect(given).toBeCloseTo(usual + (target - usual) * share, 4);
      },
    ),
    { numRuns: 24 },
  );
});

test('a place leaves out what the words name themselves, and what they refuse', () => {
  const count = (
    place: (typeof PLACES)[number],
    region: number,
    s = scene(240, 160),
    fields: Partial<Setting> = {},
  ) => {
    PLACE_PAINTERS[place](s, setting(fields));
    return labelMap(s).filter((l) => l === region).length;
  };
  expect(count('kitchen', REGION.prop, scene(240, 160), { named: new Set(['stove']) })).toBeLessThan(
    count('kitchen', REGION.prop),
  );
  expect(count('beach', REGION.boat, scene(240, 160, ['thing: boat']))).toBe(0);
  expect(count('beach', REGION.boat)).toBeGreaterThan(0);
  expect(count('mill', REGION.building, scene(240, 160, ['thing: windmill']))).toBeLessThan(
    count('mill', REGION.building),
  );
  expect(count('meadow', REGION.wood, scene(240, 160, ['thing: tree']))).toBeLessThan(count('meadow', REGION.wood));
});

test('a stilt village has a jetty for those who walk', () => {
  const wood = (onFoot: boolean) => {
    const s = scene(240, 160);
    const at = PLACE_PAINTERS['stilt village'](s, setting({ onFoot }));
    const labels = labelMap(s);
    return [...labels.keys()].filter((i) => labels[i] === REGION.wood && Math.abs(Math.floor(i / 240) - at.y) < 10)
      .length;
  };
  expect(wood(true)).toBeGreaterThan(wood(false) + 100);
});
