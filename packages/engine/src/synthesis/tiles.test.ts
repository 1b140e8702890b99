import { createPicture, Random, type Picture } from '@urbild/core';
import { createWasmKernel } from './kernel';
import { inTiles, matchTiles, type MatchHelper } from './tiles';
import { matchRegion, type RegionTask } from './matchRegion';

const [W, H] = [72, 60];
const noise = (seed: number): Picture => {
  const picture = createPicture(W, H);
  const r = new Random(seed);
  for (const plane of picture.planes)
    plane.forEach((_, i) => (plane[i] = 0.5 + 0.2 * Math.sin(i / 9) + 0.1 * r.bell()));
  return picture;
};
const even = () => new Float32Array(W * H);
const task = (more: Partial<RegionTask> = {}): RegionTask => ({
  references: [{ picture: noise(1), guide: noise(2), places: even() }],
  wanted: noise(3),
  places: even(),
  detail: even(),
  row: 0,
  rows: H,
  shares: [1],
  over: 1,
  rounds: 2,
  passes: 1,
  probes: 3,
  radius: 1,
  carriedRadius: 2,
  seed: 5,
  ...more,
});
const nothing = () => {};
/** The level below, from which matching is carried up. */
const below = () => {
  const small: Picture = { width: W / 2, height: H / 2, planes: noise(4).planes };
  const planes = small.planes.map((p) => p.slice(0, (W * H) / 4));
  const half = { ...small, planes: [planes[0], planes[1], planes[2]] as const };
  const quarter = new Float32Array((W * H) / 4);
  const references = [{ picture: half, guide: half, places: quarter }];
  const coarse = task({ references, wanted: half, places: quarter, detail: quarter, rows: H / 2 });
  return matchRegion(coarse, createWasmKernel(), nothing).carried;
};

test('large levels are matched in halves, drafts are not', () => {
  expect([inTiles(256, 171), inTiles(768, 512), inTiles(1536, 1024)]).toEqual([false, true, true]);
});

test('a helper changes nothing but the time; one that fails is made up for', () => {
  const carried = task({ before: below() });
  const alone = matchTiles(carried, createWasmKernel(), nothing);
  const started: RegionTask[] = [];
  const helper = (fails: boolean): MatchHelper => ({
    start: (given) => {
      started.push(given);
      return { wait: () => (fails ? undefined : matchRegion(given, createWasmKernel(), nothing).picture) };
    },
  });
  expect(matchTiles(carried, createWasmKernel(), nothing, helper(false)).planes).toEqual(alone.planes);
  expect(matchTiles(carried, createWasmKernel(), nothing, helper(true)).planes).toEqual(alone.planes);
  expect(started.map((t) => t.row)).toEqual([24, 24]);
});

test('halves meet without a seam: the step between them is no larger than elsewhere', () => {
  const { planes, width, height } = matchTiles(task({ before: below() }), createWasmKernel(), nothing);
  const step = (y: number) => {
    let sum = 0;
    for (let x = 0; x < width; x++) sum += Math.abs(planes[0][y * width + x] - planes[0][(y - 1) * width + x]);
    return sum / width;
  };
  const steps = Array.from({ length: height - 1 }, (_, y) => step(y + 1));
  const mean = steps.reduce((a, b) => a + b, 0) / steps.length;
  expect(step(height >> 1)).toBeLessThan(1.5 * mean);
});

test('a stop comes through while the helper works, and while its owner does', () => {
  const stop = () => {
    throw new Error('stopped');
  };
  expect(() => matchTiles(task(), createWasmKernel(), stop)).toThrow('stopped');
  let calls = 0;
  const late = () => {
    if (++calls > 1e6) throw new Error('never');
  };
  const helper: MatchHelper = {
    start: () => ({
      wait: () => {
        throw new Error('stopped while waiting');
      },
    }),
  };
  expect(() => matchTiles(task(), createWasmKernel(), late, helper)).toThrow('stopped while waiting');
});
