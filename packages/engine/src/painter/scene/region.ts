/** What a shape is a picture of; the values are the codes in the label map of a stage. */
export const REGION = {
  none: 0,
  sky: 1,
  cloud: 2,
  sun: 3,
  water: 4,
  ground: 5,
  hill: 6,
  foliage: 7,
  building: 8,
  roof: 9,
  window: 10,
  boat: 11,
  wood: 12,
  rock: 13,
  skin: 14,
  hair: 15,
  garment: 16,
  prop: 17,
  animal: 18,
  eye: 19,
  legwear: 20,
  footwear: 21,
  headwear: 22,
} as const;
export type Region = (typeof REGION)[keyof typeof REGION];

const FIGURE: readonly Region[] = [
  REGION.skin,
  REGION.hair,
  REGION.garment,
  REGION.animal,
  REGION.eye,
  REGION.prop,
  REGION.legwear,
  REGION.footwear,
  REGION.headwear,
];

const IS_FIGURE = Uint8Array.from({ length: 256 }, (_, region) =>
  (FIGURE as readonly number[]).includes(region) ? 1 : 0,
);

/** True for the regions that make up people and creatures, which must stay readable. */
export const isFigure = (region: number): boolean => IS_FIGURE[region] !== 0;

/** 1 where labels show sky, with its clouds and its sun. */
export const skyOf = (labels: Uint8Array): Float32Array =>
  planeOf(labels, regionTable({ [REGION.sky]: 1, [REGION.cloud]: 1, [REGION.sun]: 1 }));

/** By region code: the values that are given, 0 for all others. */
export function regionTable(values: Readonly<Partial<Record<Region, number>>>): Float32Array {
  const table = new Float32Array(256);
  for (const [region, value] of Object.entries(values)) table[Number(region)] = value;
  return table;
}

/** A plane of what a table says of every pixel's region. */
export function planeOf(labels: Uint8Array, table: Float32Array): Float32Array {
  const plane = new Float32Array(labels.length);
  for (let i = 0; i < plane.length; i++) plane[i] = table[labels[i]];
  return plane;
}
