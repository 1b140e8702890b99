import * as canvases from '@napi-rs/canvas';
import { MEDIA, understand } from '@urbild/core';
import { paintStage } from '../paint';

jest.mock('@napi-rs/canvas', () => {
  const real = jest.requireActual<typeof canvases>('@napi-rs/canvas');
  return { ...real, createCanvas: jest.fn(real.createCanvas) };
});

/** Pixels of all canvases that were made since the last look and were not given back; textures are kept for good. */
function pixelsHeld(): number {
  const made = jest.mocked(canvases.createCanvas).mock.results.map((r) => r.value as canvases.Canvas);
  jest.mocked(canvases.createCanvas).mockClear();
  return made.reduce((sum, c) => sum + (c.width * c.height > 1 && c.width !== c.height ? c.width * c.height : 0), 0);
}

const brief = understand('Ilse poles the punt at dusk with Brom among reeds, rain');

test.each(MEDIA)('%s: a render that is stopped anywhere gives the pixels of its canvases back', (medium) => {
  const options = { width: 144, height: 96, seed: 3, medium };
  let steps = 0;
  paintStage(brief, { ...options, checkpoint: () => void steps++ });
  expect(pixelsHeld()).toBe(0);
  for (const part of [0.1, 0.4, 0.7, 0.95]) {
    let left = Math.floor(steps * part);
    const stop = () => {
      if (left-- <= 0) throw new Error('stopped');
    };
    expect(() => paintStage(brief, { ...options, checkpoint: stop })).toThrow('stopped');
    expect(pixelsHeld()).toBe(0);
  }
});
