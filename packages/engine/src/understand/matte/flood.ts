import { median, type Picture } from '@urbild/core';

/** What a step from pixel to pixel costs besides the difference of colours, so that long ways cost something. */
const PACE = 0.0004;
/** What lies no dearer than this from the border belongs to the ground. */
const REACH = 0.05;
/** Differences up to this are grain, OKLab: so much at least, and so many times the median of neighbours, up to the most. */
const GRAIN = { least: 0.004, times: 1.2, most: 0.03 } as const;
/** Costs are told apart by this much: half a pace. */
const BIN = PACE / 2;

/** How far apart each pixel is from its neighbour `by` places on, OKLab; the planes' chroma counts as it is kept. */
function stepsOf({ planes: [L, A, B] }: Picture, by: number): Float32Array {
  const out = new Float32Array(L.length);
  for (let i = 0; i + by < L.length; i++) out[i] = Math.hypot(L[i + by] - L[i], A[i + by] - A[i], B[i + by] - B[i]);
  return out;
}

/**
 * The ground of a picture, seen from its border: 1 where a way from a seed goes over no edge, 0 elsewhere. A geodesic distance in OKLab
 * (Criminisi et al. 2008), by Dijkstra's algorithm over a wheel of buckets: `seeds` are pixels that are ground for certain.
 */
export function groundFrom(picture: Picture, seeds: Iterable<number>): Uint8Array {
  const { width, height } = picture;
  const [across, down] = [stepsOf(picture, 1), stepsOf(picture, width)];
  const some: number[] = [];
  for (let i = 0; i < across.length; i += 7) if ((i + 1) % width) some.push(across[i]);
  const grain = Math.min(GRAIN.most, GRAIN.least + GRAIN.times * median(some));
  const cost = new Float64Array(width * height).fill(Infinity);
  const buckets: number[][] = Array.from({ length: Math.ceil(REACH / BIN) + 1 }, () => []);
  const put = (i: number, at: number): void => {
    if (at > REACH || at >= cost[i]) return;
    cost[i] = at;
    buckets[Math.floor(at / BIN)].push(i);
  };
  for (const i of seeds) put(i, 0);
  for (let k = 0; k < buckets.length; k++)
    for (let n = 0; n < buckets[k].length; n++) {
      const i = buckets[k][n];
      const here = cost[i];
      if (Math.floor(here / BIN) < k) continue;
      const x = i % width;
      const go = (to: number, step: number) => put(to, here + PACE + Math.max(0, step - grain));
      if (x > 0) go(i - 1, across[i - 1]);
      if (x < width - 1) go(i + 1, across[i]);
      if (i >= width) go(i - width, down[i - width]);
      if (i < width * (height - 1)) go(i + width, down[i]);
    }
  return Uint8Array.from(cost, (c) => (c <= REACH ? 1 : 0));
}
