import { createPicture, Random, type Picture } from '@urbild/core';
import { matchRegion, threadKernel, type RegionTask } from '@urbild/engine';
import { Worker } from 'worker_threads';
import { HelperThread } from './matchHelper';

const [W, H] = [96, 64];
const noise = (seed: number): Picture => {
  const picture = createPicture(W, H);
  const r = new Random(seed);
  for (const plane of picture.planes) plane.forEach((_, i) => (plane[i] = 0.5 + 0.2 * r.bell()));
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
  seed: 9,
  ...more,
});
const nothing = () => {};

let helper: HelperThread;
beforeAll(() => (helper = new HelperThread()));
afterAll(() => helper.end());

test('another thread matches the same bytes, again and again', () => {
  const own = matchRegion(task(), threadKernel(), nothing).picture.planes;
  for (let k = 0; k < 2; k++) expect(helper.start(task()).wait(nothing)!.planes).toEqual(own);
});

test('what the thread cannot do is left to its owner', () => {
  const broken = task({ references: [] });
  expect(helper.start(broken).wait(nothing)).toBeUndefined();
  expect(helper.start(task()).wait(nothing)).toBeDefined();
});

test('a stop is heard while the thread works, and the thread is free for the next soon after', () => {
  const long = task({ rounds: 4000 });
  let looks = 0;
  const since = Date.now();
  expect(() =>
    helper.start(long).wait(() => {
      if (++looks > 2) throw new Error('stopped');
    }),
  ).toThrow('stopped');
  expect(helper.start(task()).wait(nothing)).toBeDefined();
  expect(Date.now() - since).toBeLessThan(20_000);
});

test('its thread ends with it, and a new one is there for whoever still asks', async () => {
  const ended = jest.spyOn(Worker.prototype, 'terminate');
  const other = new HelperThread();
  await other.end();
  expect(ended).not.toHaveBeenCalled(); // none was started
  expect(other.start(task()).wait(nothing)).toBeDefined();
  await other.end();
  await expect(ended.mock.results[0].value).resolves.toEqual(expect.any(Number));
  expect(other.start(task()).wait(nothing)).toBeDefined();
  await other.end();
  expect(ended).toHaveBeenCalledTimes(2);
  ended.mockRestore();
});
