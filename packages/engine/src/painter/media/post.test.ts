import { createCanvas, type SKRSContext2D } from '@napi-rs/canvas';
import { environmentFor } from '../light/environment';
import { Kit } from '../scene/kit';
import { REGION } from '../scene/region';
import { Scene } from '../scene/scene';
import { renderScene } from '.';
import { addGrain, displacePixels, editPixels, fromEdge, lightnessRange, stain } from './post';

/** A grey ramp from left to right with a white square on it. */
function ramp(w = 80, h = 60): SKRSContext2D {
  const context = createCanvas(w, h).getContext('2d');
  const fill = context.createLinearGradient(0, 0, w, 0);
  fill.addColorStop(0, '#000');
  fill.addColorStop(1, '#aaa');
  context.fillStyle = fill;
  context.fillRect(0, 0, w, h);
  context.fillStyle = '#fff';
  context.fillRect(30, 20, 20, 20);
  return context;
}
const pixels = (context: SKRSContext2D, w = 80, h = 60) => context.getImageData(0, 0, w, h).data;
const mean = (data: Uint8ClampedArray) => data.reduce((a, b) => a + b, 0) / data.length;

test('edges move by about as much as asked, flat areas and the mean stay', () => {
  for (const amount of [0.5, 2]) {
    const before = pixels(ramp());
    const context = ramp();
    displacePixels(context, 80, 60, amount, 3);
    const after = pixels(context);
    expect(Math.abs(mean(after) - mean(before))).toBeLessThan(2);
    let far = 0;
    for (let y = 0; y < 60; y++)
      for (let x = 0; x < 80; x++) {
        const inside = x > 30 + 2.5 * amount && x < 49 - 2.5 * amount && y > 20 + 2.5 * amount && y < 39 - 2.5 * amount;
        if (inside && after[(y * 80 + x) * 4] < 250) far++;
      }
    expect(far).toBe(0);
  }
});

test('the same seed moves the same pixels', () => {
  const run = (seed: number) => {
    const context = ramp();
    displacePixels(context, 80, 60, 1, seed);
    return pixels(context);
  };
  expect(run(4)).toEqual(run(4));
  expect(run(4)).not.toEqual(run(5));
});

test('grain keeps the mean, a vignette darkens corners more than the middle', () => {
  const grey = () => {
    const context = createCanvas(80, 60).getContext('2d');
    context.fillStyle = '#999';
    context.fillRect(0, 0, 80, 60);
    return context;
  };
  const grained = grey();
  addGrain(grained, 80, 60, 1, 0);
  expect(Math.abs(mean(pixels(grained)) - mean(pixels(grey())))).toBeLessThan(2);
  expect(new Set(pixels(grained)).size).toBeGreaterThan(8);
  const dark = grey();
  addGrain(dark, 80, 60, 0, 0.4);
  const at = (x: number, y: number) => pixels(dark)[(y * 80 + x) * 4];
  expect(at(1, 1)).toBeLessThan(at(40, 30) - 20);
});

test('every pixel is visited once, in order, and can be changed', () => {
  const context = ramp(8, 4);
  const seen: number[] = [];
  editPixels(context, 8, 4, (data, offset, x, y) => {
    seen.push(y * 8 + x);
    expect(offset).toBe((y * 8 + x) * 4);
    data[offset] = 7;
  });
  expect(seen).toEqual(Array.from({ length: 32 }, (_, i) => i));
  expect(pixels(context, 8, 4)[0]).toBe(7);
});

test('distance from the edge', () => {
  expect(fromEdge(0, 5, 10, 10)).toBe(0);
  expect(fromEdge(4, 5, 10, 10)).toBe(4);
  expect(fromEdge(9, 9, 10, 10)).toBe(0);
});

test('the range of lightness leaves out the outermost two per cent, and is never narrow', () => {
  const [low, high] = lightnessRange(ramp(), 80, 60);
  expect(low).toBeLessThan(0.06);
  expect(high).toBeGreaterThan(0.6);
  const flat = createCanvas(40, 40).getContext('2d');
  flat.fillStyle = '#777';
  flat.fillRect(0, 0, 40, 40);
  const [a, b] = lightnessRange(flat, 40, 40);
  expect(b - a).toBeGreaterThanOrEqual(0.2 - 1e-9);
});

test('a stain pulls every colour towards its own', () => {
  const context = ramp();
  stain(context, 80, 60, [0.7, 0.15, 40]);
  const data = pixels(context);
  let warmer = 0;
  for (let o = 0; o < data.length; o += 4) if (data[o] > data[o + 2]) warmer++;
  expect(warmer / (data.length / 4)).toBeGreaterThan(0.6);
});

test('a group above water is mirrored below its water line, and only there', () => {
  const scene = new Scene(96, 96, environmentFor('noon', 'clear', 'summer'), 3);
  scene.pen({ region: REGION.water, depth: 0.3, raw: true }).shape(
    [
      [0, 0],
      [96, 0],
      [96, 96],
      [0, 96],
    ],
    [0.95, 0.01, 240],
    { plain: true },
  );
  const bare = renderScene(scene, 'gouache').getContext('2d').getImageData(0, 0, 96, 96).data;
  scene.group({ y: 50, sway: 0 }, () =>
    new Kit(scene, 48, 50, 30, 0.2).poly(REGION.boat, '-.5,0 .5,0 .5,.8 -.5,.8', [0.3, 0.12, 27]),
  );
  const seen = renderScene(scene, 'gouache').getContext('2d').getImageData(0, 0, 96, 96).data;
  const changed = (y0: number, y1: number) => {
    let count = 0;
    for (let y = y0; y < y1; y++)
      for (let x = 30; x < 66; x++) if (Math.abs(seen[(y * 96 + x) * 4 + 1] - bare[(y * 96 + x) * 4 + 1]) > 25) count++;
    return count;
  };
  expect(changed(28, 49)).toBeGreaterThan(400);
  expect(changed(52, 64)).toBeGreaterThan(120);
  expect(changed(78, 96)).toBe(0);
});
