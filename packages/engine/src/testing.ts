/** Pictures and requests for tests: references that no painter of ours drew. */
import { createPicture, Random, ValueNoise, type Picture } from '@urbild/core';
import type { RenderRequest, RequestInfluence } from './contract/request';

/** A photograph-like picture: hills in haze with lit edges, soft noise, its own palette (OKLab with chroma gain). */
export function foreignPhotograph(width = 240, height = 180, seed = 5): Picture {
  const picture = createPicture(width, height);
  const noise = new ValueNoise(seed);
  const random = new Random(seed);
  const [L, a, b] = picture.planes;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      const u = x / width;
      const v = y / height;
      let light = 0.86 - 0.25 * v;
      let green = -0.02;
      let yellow = 0.06 - 0.1 * v;
      for (let k = 0; k < 4; k++) {
        const edge = 0.34 + 0.15 * k + 0.09 * noise.fractal(u * (2 + k), k * 7.3, 4);
        if (v > edge) {
          light = 0.62 - 0.14 * k + 0.1 * noise.fractal(u * 14, v * 14 + k, 3);
          green = -0.05 - 0.03 * k;
          yellow = 0.12 - 0.02 * k;
        }
      }
      L[i] = Math.min(1, Math.max(0, light + 0.03 * random.bell()));
      a[i] = (green + 0.02 * noise.at(u * 9, v * 9)) * 1.6;
      b[i] = (yellow + 0.02 * noise.at(u * 7 + 40, v * 7)) * 1.6;
    }
  return picture;
}

/** One influence with the usual numbers. */
export const influence = (fields: Partial<RequestInfluence> = {}): RequestInfluence => ({
  id: 'a',
  gives: 'look',
  weight: 1,
  from: 0,
  to: 1,
  on: true,
  reading: 'normal',
  pictures: [{ content: 'foreign', weight: 1 }],
  ...fields,
});

/** A small request. */
export const request = (fields: Partial<RenderRequest> = {}): RenderRequest => ({
  prompt: 'Ilse walking in the harbour at noon',
  avoid: '',
  width: 192,
  height: 128,
  seed: 7,
  balance: 1,
  spread: 1,
  influences: [],
  ...fields,
});
