import { pictureFromRgba, type LayoutMap, type NamedArea, type Picture } from '@urbild/core';
import { BuiltInEngine } from '../engine';
import { REGION } from '../painter/scene/region';
import { readRequest } from '../contract/readRequest';
import { placesOfPlan } from '../understand/placesOfPlan';

const [W, H] = [192, 128];
const AREAS: readonly NamedArea[] = [
  { colour: '#9cc4e4', is: 'sky' },
  { colour: '#c9b458', is: 'ground' },
  { colour: '#2f5fa8', is: 'water' },
  { colour: '#2e7a3c', is: 'trees' },
  { colour: '#b5482f', is: 'building' },
  { colour: '#111111', is: 'somebody' },
];

/** A picture in which `colourAt` says the sRGB colour of every pixel, places 0..1. */
function drawn(colourAt: (x: number, y: number) => string): Picture {
  const rgba = new Uint8ClampedArray(4 * W * H).fill(255);
  for (let i = 0; i < W * H; i++) {
    const hex = colourAt((i % W) / W, Math.floor(i / W) / H);
    for (let c = 0; c < 3; c++) rgba[4 * i + c] = parseInt(hex.slice(1 + 2 * c, 3 + 2 * c), 16);
  }
  return pictureFromRgba(rgba, W, H);
}

/** Water on the left of the lower half, ground on the right with a wood and a house, somebody far right. */
const plan = drawn((x, y) => {
  if (x > 0.84 && x < 0.9 && y > 0.62 && y < 0.95) return '#111111';
  if (x > 0.5 && x < 0.62 && y > 0.2 && y < 0.5) return '#2e7a3c';
  if (x > 0.66 && x < 0.8 && y > 0.22 && y < 0.5) return '#b5482f';
  if (y < 0.4) return '#9cc4e4';
  return x < 0.45 ? '#2f5fa8' : '#c9b458';
});
const stairs = drawn((x, y) => (y < 0.4 ? '#000000' : x < 0.5 ? '#555555' : '#ffffff'));
const areas: LayoutMap = { read: 'areas', areas: AREAS };

async function render(picture: Picture, layout: LayoutMap | undefined, weight: number, more: object = {}) {
  const request = readRequest({
    prompt: 'Ilse in the meadow at noon',
    width: W,
    height: H,
    seed: 4,
    influences: [{ gives: 'layout', weight, pictures: [{ content: 'plan', layout }] }],
    ...more,
  });
  return new BuiltInEngine().render(request, () => Promise.resolve(picture));
}

const at = (labels: Uint8Array, x: number, y: number) => labels[Math.floor(y * H) * W + Math.floor(x * W)];

describe('a plan of named areas', () => {
  test('puts water, wood, house and sky where it has them, though the words have no water and no house', async () => {
    const { labels, rgba, figures } = await render(plan, areas, 1);
    expect(at(labels, 0.2, 0.7)).toBe(REGION.water);
    expect(at(labels, 0.56, 0.35)).toBe(REGION.foliage);
    expect(at(labels, 0.73, 0.35)).toBe(REGION.building);
    expect(at(labels, 0.2, 0.1)).toBe(REGION.sky);
    expect(at(labels, 0.6, 0.9)).toBe(REGION.ground);
    // water is bluer than the meadow beside it
    const { planes } = pictureFromRgba(rgba, W, H);
    const blue = (x: number) => planes[2][Math.floor(0.8 * H) * W + Math.floor(x * W)];
    expect(blue(0.2)).toBeLessThan(blue(0.6) - 0.05);
    // somebody stands where the plan has somebody
    const [left, , right] = figures[0].box;
    expect((left + right) / 2).toBeGreaterThan(0.75);
  });

  test('comes area by area with its weight, and not at all at none', async () => {
    const plain = await render(plan, undefined, 0);
    expect((await render(plan, areas, 0)).rgba).toEqual(plain.rgba);
    const changed = async (weight: number) => {
      const { rgba } = await render(plan, areas, weight);
      let sum = 0;
      for (let i = 0; i < rgba.length; i++) sum += Math.abs(rgba[i] - plain.rgba[i]);
      return sum;
    };
    const [little, half, whole] = [await changed(0.25), await changed(0.5), await changed(1)];
    expect(half).toBeGreaterThan(little);
    expect(whole).toBeGreaterThan(half);
  });

  test('is obeyed under a look that is drawn in another medium', async () => {
    const look = drawn((x, y) => ((Math.floor(x * 60) + Math.floor(y * 40)) % 3 ? '#f0e6d0' : '#1c2a44'));
    const request = readRequest({
      prompt: 'Ilse in the meadow at noon',
      width: W,
      height: H,
      seed: 4,
      influences: [
        { gives: 'layout', weight: 1, pictures: [{ content: 'plan', layout: areas }] },
        { gives: 'look', weight: 1, pictures: [{ content: 'look' }] },
      ],
    });
    const { labels } = await new BuiltInEngine().render(request, (c) => Promise.resolve(c === 'plan' ? plan : look));
    expect(at(labels, 0.2, 0.7)).toBe(REGION.water);
  });

  test('tells where its sky ends and where somebody is', () => {
    const { horizon, somebody } = placesOfPlan(plan, areas);
    expect(horizon).toBeGreaterThan(0.25);
    expect(horizon).toBeLessThan(0.42);
    expect(somebody!.left).toBeCloseTo(0.84, 1);
    expect(somebody!.bottom).toBeCloseTo(0.95, 1);
    expect(placesOfPlan(stairs, { read: 'areas', areas: [{ colour: '#ffffff', is: 'ground' }] })).toEqual({});
  });
});

describe('a map of near and far', () => {
  test('fills what is far with what is far in the stage, and the other way round when dark is near', async () => {
    const light = await render(stairs, { read: 'distance', near: 'light' }, 1);
    const dark = await render(stairs, { read: 'distance', near: 'dark' }, 1);
    expect(at(light.labels, 0.2, 0.1)).toBe(REGION.sky);
    expect(at(light.labels, 0.9, 0.9)).not.toBe(REGION.sky);
    expect(at(dark.labels, 0.9, 0.6)).toBe(REGION.sky);
    expect(at(dark.labels, 0.1, 0.1)).not.toBe(REGION.sky);
  });

  test('gives the same bytes for the same request', async () => {
    const map: LayoutMap = { read: 'distance', near: 'light' };
    expect((await render(stairs, map, 0.8)).rgba).toEqual((await render(stairs, map, 0.8)).rgba);
  });
});

describe('a request', () => {
  const read = (layout: unknown) =>
    readRequest({ prompt: 'x', influences: [{ gives: 'layout', pictures: [{ content: 'a', layout }] }] });
  test.each([
    [{ read: 'areas' }, 'areas: a list of 1 to 12 colours'],
    [{ read: 'areas', areas: [] }, 'areas: a list of 1 to 12 colours'],
    [{ read: 'areas', areas: [{ colour: 'blue', is: 'water' }] }, 'areas[0].colour: a colour as #rrggbb'],
    [{ read: 'areas', areas: [{ colour: '#0000ff' }] }, 'areas[0].is: one of sky'],
    [{ read: 'areas', areas: [{ colour: '#0000ff', is: 'lava' }] }, 'areas[0].is: one of sky'],
    [{ read: 'distance', near: 'green' }, 'near: one of light, dark'],
    [{ read: 'depth' }, 'read: one of areas, distance'],
  ])('says what is wrong with %j', (layout, message) => {
    expect(() => read(layout)).toThrow(message);
  });
  test('takes both kinds of map as they are', () => {
    for (const layout of [areas, { read: 'distance', near: 'light' }])
      expect(read(layout).influences[0].pictures[0].layout).toEqual(layout);
  });
});
