import { joinBands, nthSmallest, resample, splitBands, type LevelSize, type Picture } from '@urbild/core';

/** A reference whose texture is taken as the measure, and its part (parts sum to 1). */
export interface TextureSource {
  readonly picture: Picture;
  readonly part: number;
}

const LEAST = 0.45;
const MOST = 1.8;

/** The median size of a band's values: the texture of flat places, untouched by edges. */
function medianSize(plane: Float32Array): number {
  const step = Math.max(1, Math.floor(plane.length / 6000));
  const sizes = new Float32Array(Math.ceil(plane.length / step));
  for (let i = 0, k = 0; i < plane.length; i += step) sizes[k++] = Math.abs(plane[i]);
  return nthSmallest(sizes, sizes.length >> 1);
}

const measured = new WeakMap<Picture, Map<string, readonly (readonly number[])[]>>();

/** The median sizes of a reference's bands, by level and plane, for a picture of a certain size. Kept with the reference. */
function textureOf(
  reference: Picture,
  { width, height }: Picture,
  sizes: readonly LevelSize[],
): readonly (readonly number[])[] {
  const known = measured.get(reference) ?? new Map<string, readonly (readonly number[])[]>();
  measured.set(reference, known);
  const key = `${width}x${height}/${sizes.length}`;
  const before = known.get(key);
  if (before) return before;
  const k = Math.max(width, height) / Math.max(reference.width, reference.height);
  const scaled = resample(
    reference,
    Math.max(8, Math.round(reference.width * k)),
    Math.max(8, Math.round(reference.height * k)),
  );
  const levels = sizes.map((size) => ({
    width: Math.max(8, Math.round((scaled.width * size.width) / width)),
    height: Math.max(8, Math.round((scaled.height * size.width) / width)),
  }));
  const sizesOf = splitBands(scaled, levels).map((band) => band.planes.map(medianSize));
  known.set(key, sizesOf);
  return sizesOf;
}

/**
 * Brings the strength of the texture, band by band, to that of the references (after Heeger and Bergen 1995, with the
 * median for the deviation): a smooth look comes out smooth, a grained one grained. Edges, which are much larger than
 * the texture of a band, are left alone. `strengths` 0..1 per level.
 */
export function matchTextureEnergy(
  picture: Picture,
  sources: readonly TextureSource[],
  strengths: readonly number[],
  sizes: readonly LevelSize[],
  checkpoint = () => {},
): Picture {
  const bands = splitBands(picture, sizes);
  checkpoint();
  const own = sources.map(({ picture: p, part }) => ({ sizes: textureOf(p, picture, sizes), part }));
  for (let l = 1; l < bands.length; l++) {
    const strength = strengths[l];
    if (strength <= 0) continue;
    checkpoint();
    for (let c = 0; c < 3; c++) {
      const plane = bands[l].planes[c];
      const is = medianSize(plane);
      const wanted = own.reduce((s, o) => s + o.part * o.sizes[l][c], 0);
      if (is < 1e-6) continue;
      const gain = Math.pow(Math.min(MOST, Math.max(LEAST, wanted / is)), strength);
      const texture = 3 * is;
      const edge = 7 * is;
      for (let i = 0; i < plane.length; i++) {
        const size = Math.abs(plane[i]);
        const k = size <= texture ? 1 : size >= edge ? 0 : (edge - size) / (edge - texture);
        plane[i] *= 1 + k * (gain - 1);
      }
    }
  }
  checkpoint();
  return joinBands(bands);
}
