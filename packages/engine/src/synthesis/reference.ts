import { blur, describeStrokes, mannerOf, resample, resampleToLongSide, type Picture } from '@urbild/core';
import { readRegions, type RegionMap } from '../understand/regions/readRegions';
import { LeastRecentlyUsed } from './cache';
import { surfaceArea } from './detail';
import { extremesOf, fillKeyLines, hasKeyLines, measureRidges, type Extremes, type RidgeMeasure } from './ridges';

/** A reference as synthesis uses it: at the size of the picture, with what is read from it. */
export interface PreparedReference {
  /** Names the content and the size; equal keys mean equal pictures. */
  readonly key: string;
  readonly picture: Picture;
  /** The picture with key lines filled; the picture itself where it has none. */
  readonly areas: Picture;
  readonly ridges: RidgeMeasure;
  readonly extremes: Extremes;
  /** 1 per pixel where patches may be taken, 0 on the reference's subject. */
  readonly surface: Uint8Array;
  /** Where it shows sky, ground and things. */
  readonly regions: RegionMap;
  /** How much it speaks for each of the painter's media: roots of parts that sum to 1. */
  readonly manner: Float32Array;
}

const regions = new LeastRecentlyUsed<RegionMap>(64);
const manners = new LeastRecentlyUsed<Float32Array>(64);
/** Pixels of prepared references that are kept: each takes about 28 bytes with its levels. */
const KEPT_PIXELS = 4e6;
const prepared = new LeastRecentlyUsed<PreparedReference>(24, {
  costOf: ({ picture: { width, height } }) => width * height,
  most: KEPT_PIXELS,
});

/**
 * Prepares a reference for pictures whose longer side is `size` px; kept by content. Its marks come out as large against the
 * picture as they are against the reference, times `motif` (.5..1.5).
 */
export function prepareReference(content: string, picture: Picture, size: number, motif = 1): PreparedReference {
  const side = Math.max(48, Math.round(size * motif));
  const key = `${content}@${side}`;
  return prepared.get(key, () => {
    const scaled = resampleToLongSide(picture, side);
    const ridges = measureRidges(scaled);
    const areas = hasKeyLines(ridges) ? fillKeyLines(scaled) : scaled;
    return {
      key,
      picture: scaled,
      areas,
      ridges,
      extremes: extremesOf(scaled),
      surface: surfaceArea(scaled),
      regions: regions.get(content, () => readRegions(picture)),
      manner: manners.get(content, () => mannerOf(describeStrokes(picture))),
    };
  });
}

/** A level of a reference: the picture and its softened guide, of one size. */
export interface ReferenceLevel {
  readonly picture: Picture;
  readonly guide: Picture;
}

const levels = new WeakMap<Picture, Map<string, ReferenceLevel>>();

/** A reference at a part of its size; `softness` is the guide's blur in px of 512. Small ones are kept as long as the picture is. */
export function referenceLevel(
  reference: Pick<PreparedReference, 'picture' | 'areas'>,
  part: number,
  softness: number,
  size: number,
): ReferenceLevel {
  const { picture, areas } = reference;
  const known = levels.get(picture) ?? new Map<string, ReferenceLevel>();
  levels.set(picture, known);
  const key = `${part}/${softness}/${size}`;
  let level = known.get(key);
  if (!level) {
    const w = Math.max(16, Math.round(picture.width * part));
    const h = Math.max(16, Math.round(picture.height * part));
    const scaled = resample(picture, w, h);
    const base = areas === picture ? scaled : resample(areas, w, h);
    level = { picture: scaled, guide: blur(base, Math.max(0.7, (softness * part * size) / 512)) };
    // a large level is wanted once
    if (w * h < KEPT_PIXELS / 4) known.set(key, level);
  }
  return level;
}
