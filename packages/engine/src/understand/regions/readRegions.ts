import { answerOf, blurPlane, oddsOf, resamplePlane, unpackNetwork, type Network, type Picture } from '@urbild/core';
import { planeOf } from '../../painter/scene/region';
import { READ_SIDE, regionFeatures } from './features';
import { kindOf, PLACE_OF_KIND, PLACE_OF_REGION } from './kinds';
import { REGION_WEIGHTS } from './weights.generated';

let learnt: Network | undefined;

/** Where a picture shows sky, ground and things. */
export interface RegionMap {
  readonly width: number;
  readonly height: number;
  /** On the line of {@link PLACE_OF_KIND}, 0..1; in between where it is not sure. */
  readonly places: Float32Array;
  /** Parts of the picture that are sky, ground and things, summing to 1. */
  readonly shares: readonly number[];
  /** Whether these are regions at all, 0..1: those of a texture - cloth, paper, panes - are spots without any order. */
  readonly order: number;
}

const read = new WeakMap<Picture, RegionMap>();

/**
 * Tells sky, ground and things of any picture apart, at 96 px, by what was learnt from painted scenes. Where it is in doubt it says
 * something in between, so that whoever compares falls back gently.
 */
export function readRegions(picture: Picture): RegionMap {
  let known = read.get(picture);
  if (!known) read.set(picture, (known = tellApart(picture)));
  return known;
}

function tellApart(picture: Picture): RegionMap {
  const network = (learnt ??= unpackNetwork(REGION_WEIGHTS));
  const { width, height, count, values } = regionFeatures(picture);
  const n = width * height;
  const places = new Float32Array(n);
  const shares = PLACE_OF_KIND.map(() => 0);
  for (let i = 0; i < n; i++) {
    const odds = oddsOf(answerOf(network, values.subarray(i * count, (i + 1) * count)));
    for (let k = 0; k < odds.length; k++) {
      places[i] += odds[k] * PLACE_OF_KIND[k];
      shares[k] += odds[k] / n;
    }
  }
  return {
    width,
    height,
    places: blurPlane(places, width, height, 0.8),
    shares,
    order: orderOf(places, width, height),
  };
}

/** What is left of the differences of a map when it is blurred over a fourteenth of its side: wide regions stay, spots do not. */
function orderOf(places: Float32Array, w: number, h: number): number {
  const spread = (plane: Float32Array) => {
    let sum = 0;
    let squares = 0;
    for (const v of plane) {
      sum += v;
      squares += v * v;
    }
    return squares / plane.length - (sum / plane.length) ** 2;
  };
  return spread(blurPlane(places, w, h, READ_SIDE / 14)) / (spread(places) + 0.01);
}

/** The same of a painted stage, whose labels say it outright. */
export function regionsOfLabels(labels: Uint8Array, w: number, h: number): RegionMap {
  const scale = Math.min(1, READ_SIDE / Math.max(w, h));
  const [width, height] = [Math.max(1, Math.round(w * scale)), Math.max(1, Math.round(h * scale))];
  const shares = PLACE_OF_KIND.map(() => 0);
  for (const label of labels) shares[kindOf(label)] += 1 / labels.length;
  const places = resamplePlane(planeOf(labels, PLACE_OF_REGION), w, h, width, height);
  return { width, height, places: blurPlane(places, width, height, 0.8), shares, order: 1 };
}

/** How much two pictures have of the same kinds, 0..1. */
export const commonRegions = (a: RegionMap, b: RegionMap): number =>
  a.shares.reduce((sum, share, k) => sum + Math.min(share, b.shares[k]), 0);
