import { clonePicture, mapPlanes, type Picture } from './picture';
import { resample } from './resample';

/** The size of one level of a pyramid, in pixels. */
export interface LevelSize {
  readonly width: number;
  readonly height: number;
}

/**
 * Laplacian pyramid (Burt and Adelson 1983): level 0 is the coarsest picture, every further one the detail that is added.
 * `sizes` run from coarse to fine; the last must be the picture's own size.
 */
export function splitBands(picture: Picture, sizes: readonly LevelSize[]): Picture[] {
  const levels: Picture[] = [picture];
  for (let i = sizes.length - 2; i >= 0; i--) levels.unshift(resample(levels[0], sizes[i].width, sizes[i].height));
  return levels.map((level, i) => {
    if (i === 0) return clonePicture(level);
    const below = resample(levels[i - 1], level.width, level.height);
    return mapPlanes(level.width, level.height, (c) => {
      const [whole, minus] = [level.planes[c], below.planes[c]];
      const band = new Float32Array(whole.length);
      for (let j = 0; j < band.length; j++) band[j] = whole[j] - minus[j];
      return band;
    });
  });
}

/** The inverse of {@link splitBands}. */
export function joinBands(bands: readonly Picture[]): Picture {
  let sum = bands[0];
  for (let i = 1; i < bands.length; i++) {
    const larger = resample(sum, bands[i].width, bands[i].height);
    const next = larger === sum ? clonePicture(sum) : larger;
    for (let c = 0; c < 3; c++) {
      const target = next.planes[c];
      const plus = bands[i].planes[c];
      for (let j = 0; j < target.length; j++) target[j] += plus[j];
    }
    sum = next;
  }
  return sum;
}
