import { CHROMA_GAIN, createPicture, type Picture } from './picture/picture';
import { Random } from './maths/random';
import { ValueNoise } from './maths/noise';

/** A picture whose pixels are made one by one; OKLab without the chroma gain. */
export function pictureOf(
  width: number,
  height: number,
  at: (u: number, v: number, x: number, y: number) => readonly [number, number, number],
): Picture {
  const picture = createPicture(width, height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [L, a, b] = at(x / width, y / height, x, y);
      const i = y * width + x;
      picture.planes[0][i] = L;
      picture.planes[1][i] = a * CHROMA_GAIN;
      picture.planes[2][i] = b * CHROMA_GAIN;
    }
  return picture;
}

/** A made-up scene for tests: sky, uneven hills, a round thing, fine grain. */
export function testScene(seed: number, width = 240, height = 160): Picture {
  const noise = new ValueNoise(seed);
  const r = new Random(seed);
  const [cx, cy, radius] = [r.range(0.25, 0.75), r.range(0.25, 0.6), r.range(0.08, 0.18)];
  const sky = r.range(-0.08, 0.08);
  const hill = r.range(-0.1, 0.1);
  const level = r.range(0.4, 0.75);
  return pictureOf(width, height, (u, v) => {
    const edge = level + 0.12 * noise.fractal(u * 3 + seed, seed, 3);
    const grain = 0.03 * r.bell();
    if (Math.hypot((u - cx) * 1.5, v - cy) < radius) return [0.55 + grain, 0.12, 0.06];
    return v > edge
      ? [0.45 + 0.1 * noise.at(u * 14, v * 14) + grain, hill, 0.08]
      : [0.82 - 0.2 * v + grain, sky, -0.06];
  });
}

/** The picture mirrored from left to right. */
export const mirrored = (p: Picture): Picture => ({
  ...p,
  planes: [0, 1, 2].map((c) =>
    Float32Array.from(p.planes[c], (_, i) => p.planes[c][i - (i % p.width) + (p.width - 1 - (i % p.width))]),
  ) as unknown as Picture['planes'],
});
