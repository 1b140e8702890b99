import { REGION, regionTable } from '../../painter/scene/region';

/** What parts of a picture are told apart, so that sky is drawn from sky, ground from ground, things from things. */
export const REGION_KINDS = ['sky', 'ground', 'thing'] as const;
export type RegionKind = (typeof REGION_KINDS)[number];

const SKY = [REGION.sky, REGION.cloud, REGION.sun] as const;
const GROUND = [REGION.none, REGION.water, REGION.ground, REGION.hill, REGION.foliage, REGION.rock] as const;

const KIND = new Uint8Array(256).fill(REGION_KINDS.indexOf('thing'));
for (const r of SKY) KIND[r] = REGION_KINDS.indexOf('sky');
for (const r of GROUND) KIND[r] = REGION_KINDS.indexOf('ground');

/** The kind of a region of the painter, as an index into {@link REGION_KINDS}. */
export const kindOf = (region: number): number => KIND[region];

/**
 * Where the kinds lie on the one line on which they are compared, 0..1: ground is nearer to things than the sky is to either,
 * because foliage, rocks and walls pass into each other.
 */
export const PLACE_OF_KIND: readonly number[] = [1, 0.4, 0];

/** By region code: where its kind lies on that line. */
export const PLACE_OF_REGION: Float32Array = regionTable({}).map((_, region) => PLACE_OF_KIND[kindOf(region)]);
