import { createCanvas, type Canvas } from '@napi-rs/canvas';
import { clamp, lerp, Random, smoothstep, ValueNoise } from '@urbild/core';

/** Tileable grey textures of 512 x 512 px, made once per process. */
export type TextureName = 'dry' | 'mottled' | 'paper';

const SIDE = 512;
const made = new Map<TextureName, Canvas>();

function makeTile(value: (x: number, y: number) => number): Canvas {
  const canvas = createCanvas(SIDE, SIDE);
  const context = canvas.getContext('2d');
  const image = context.createImageData(SIDE, SIDE);
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      // cross-fade with the neighbouring tile over 80 px so that the edges meet
      const a = smoothstep(0, 80, x);
      const b = smoothstep(0, 80, y);
      const v = lerp(
        lerp(value(x + SIDE, y + SIDE), value(x, y + SIDE), a),
        lerp(value(x + SIDE, y), value(x, y), a),
        b,
      );
      const o = (y * SIDE + x) * 4;
      image.data[o] = image.data[o + 1] = image.data[o + 2] = clamp(v) * 255;
      image.data[o + 3] = 255;
    }
  context.putImageData(image, 0, 0);
  return canvas;
}

/** A texture tile: `dry` bristle marks along x, `mottled` clouds, fine `paper`. */
export function textureTile(name: TextureName): Canvas {
  const known = made.get(name);
  if (known) return known;
  const broad = new ValueNoise(5);
  const fine = new ValueNoise(9);
  const random = new Random(3);
  const speck = Float32Array.from({ length: SIDE * SIDE }, () => random.bell());
  const grain = (x: number, y: number) => speck[(y % SIDE) * SIDE + (x % SIDE)];
  const value: Record<TextureName, (x: number, y: number) => number> = {
    dry: (x, y) =>
      0.5 + 0.55 * broad.fractal(x / 60, y / 2.6, 3) + 0.25 * fine.fractal(x / 14, y / 9, 2) + 0.05 * grain(x, y),
    mottled: (x, y) =>
      0.5 + 0.5 * broad.fractal(x / 46, y / 46, 4) + 0.22 * fine.fractal(x / 5, y / 5, 2) + 0.05 * grain(x, y),
    paper: (x, y) =>
      0.5 + 0.3 * broad.fractal(x / 3.2, y / 3.2, 2) + 0.1 * fine.fractal(x / 30, y / 30, 2) + 0.07 * grain(x, y),
  };
  const tile = makeTile(value[name]);
  made.set(name, tile);
  return tile;
}
