import { resamplePlane, smoothstep } from '@urbild/core';
import { commonRegions, type RegionMap } from '../understand/regions/readRegions';
import type { Source } from './source';

/** What the height in the picture counts when patches are compared, from its top to its foot. */
const HEIGHT_WEIGHT = 0.2;
/** The same for the way from things to sky. */
const REGION_WEIGHT = 0.22;
/** From which order of its map on a reference has regions, and from which on there is no doubt. */
const ORDERED = [0.25, 0.48] as const;
/** What a stage and its references have in common, as a part of the picture, where regions begin to count and where they count fully. */
const COMMON = [0.3, 0.6] as const;

/**
 * How much regions count: fully where a stage and its references have much of the same kinds, not at all where they have little in
 * common - an interior cannot be drawn from sky alone.
 */
export function regionWeightOf(stage: RegionMap, sources: readonly Source[], shares: readonly number[]): number {
  const common = sources.reduce(
    (sum, { reference: { regions } }, k) =>
      sum + shares[k] * commonRegions(stage, regions) * smoothstep(ORDERED[0], ORDERED[1], regions.order),
    0,
  );
  return REGION_WEIGHT * smoothstep(COMMON[0], COMMON[1], common);
}

/** What is compared where only the height in the picture counts: `weight` from its top to its foot. */
export const heightsIn = (w: number, h: number, weight: number): Float32Array =>
  new Float32Array(w * h).map((_, i) => (weight * (Math.floor(i / w) + 0.5)) / h);

/** What is compared of every pixel besides its colours, as one number: how high it lies and what kind of thing it shows. */
export function placesIn(map: RegionMap, w: number, h: number, regionWeight: number): Float32Array {
  const out = heightsIn(w, h, HEIGHT_WEIGHT);
  if (regionWeight <= 0) return out;
  const places = resamplePlane(map.places, map.width, map.height, w, h);
  // the sky lies above: both differences add up
  for (let i = 0; i < out.length; i++) out[i] -= regionWeight * places[i];
  return out;
}
