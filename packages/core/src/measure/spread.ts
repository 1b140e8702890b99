import { paletteDistance } from '../describe/palette';
import { surfaceDistance } from '../describe/surface';
import { traitDistance } from '../traits/apart';
import type { TraitSheet } from '../traits/types';

/** A picture of a series, as far as it is compared with the others. */
export interface Compared {
  readonly surface: Float32Array;
  readonly palette: Float32Array;
  /** What the picture shows of whoever is compared; empty where nothing can be told. */
  readonly traits: TraitSheet;
}

/** Distances of all pairs: the lower triangle of a symmetric matrix; undefined where a pair cannot be compared. */
export type Pairs = readonly (readonly (number | undefined)[])[];

/** How two pictures of a series are compared. */
export const COMPARISONS = {
  surface: (a: Compared, b: Compared): number | undefined => surfaceDistance(a.surface, b.surface),
  colour: (a: Compared, b: Compared): number | undefined => paletteDistance(a.palette, b.palette),
  identity: (a: Compared, b: Compared): number | undefined => traitDistance(a.traits, b.traits),
} as const;
export type Comparison = keyof typeof COMPARISONS;

/** All distances between pictures. */
export const pairsOf = (pictures: readonly Compared[], by: Comparison): Pairs =>
  pictures.map((a, i) => pictures.slice(0, i).map((b) => COMPARISONS[by](a, b)));

/** The distance of two of the pictures. */
export const distanceIn = (pairs: Pairs, i: number, j: number): number | undefined =>
  i > j ? pairs[i][j] : pairs[j][i];

/** Mean distance of all pairs that can be compared: how far a series spreads. Undefined when no pair can. */
export function spreadOf(pairs: Pairs): number | undefined {
  let sum = 0;
  let count = 0;
  for (const row of pairs)
    for (const d of row)
      if (d !== undefined) {
        sum += d;
        count++;
      }
  return count ? sum / count : undefined;
}

/**
 * How many times closer takes are to one another than the controls of other takes are to them: 1 where controls and takes are the same. Undefined
 * where either cannot be told; at most 99.
 */
export function timesNearer(takes: readonly Compared[], controls: readonly Compared[], by: Comparison) {
  const across = controls.map((control, i) =>
    takes.flatMap((take, k) => (k === i ? [] : [COMPARISONS[by](control, take)])),
  );
  return timesOf(spreadOf(across), spreadOf(pairsOf(takes, by)));
}

/** How many times one distance is the other, at most 99; undefined where either cannot be told. */
const timesOf = (far: number | undefined, near: number | undefined): number | undefined =>
  far === undefined || near === undefined ? undefined : Math.min(99, far / Math.max(near, 1e-6));

/**
 * How many times closer together takes are than their controls: spread of the controls over spread of the takes. Undefined where
 * either cannot be told; at most 99.
 */
export function timesCloser(takes: readonly Compared[], controls: readonly Compared[], by: Comparison) {
  return timesOf(spreadOf(pairsOf(controls, by)), spreadOf(pairsOf(takes, by)));
}
