import { createPicture, type Picture } from '@urbild/core';
import type { PatchKernel } from './kernel';
import { matchRegion, type RegionTask } from './matchRegion';

/** Somebody who matches rows of a picture at the same time: another thread. */
export interface MatchHelper {
  /** Begins at once. `wait` gives the picture; undefined when the helper could not do it. */
  start(task: RegionTask): { wait(checkpoint: () => void): Picture | undefined };
}

/** From this size on the finest level is matched in two halves, px: below, telling a helper takes longer than it saves. */
const HALVED = 300_000;
/** Rows that a half looks over into the other one. */
const MARGIN = 6;

/** True for levels that are matched in halves, whoever does it: the bytes must not depend on how many threads there are. */
export const inTiles = (width: number, height: number): boolean => width * height >= HALVED;

/** Matches a level in its upper and its lower half, each on its own; a helper does the lower one meanwhile. */
export function matchTiles(
  task: RegionTask,
  kernel: PatchKernel,
  checkpoint: () => void,
  helper?: MatchHelper,
): Picture {
  const { width, height } = task.wanted;
  const middle = height >> 1;
  const [upper, lower] = [rowsOf(task, 0, middle + MARGIN, 1), rowsOf(task, middle - MARGIN, height, 2)];
  const other = helper?.start(lower);
  const top = matchRegion(upper, kernel, checkpoint).picture;
  const bottom = other?.wait(checkpoint) ?? matchRegion(lower, kernel, checkpoint).picture;
  const out = createPicture(width, height);
  out.planes.forEach((plane, c) => {
    plane.set(top.planes[c].subarray(0, middle * width));
    plane.set(bottom.planes[c].subarray(MARGIN * width), middle * width);
  });
  return out;
}

/** Some rows of a task; `nth` makes their chance their own. */
function rowsOf(task: RegionTask, from: number, to: number, nth: number): RegionTask {
  const { width, planes } = task.wanted;
  const cut = <T extends Float32Array>(plane: T) => plane.slice(from * width, to * width);
  return {
    ...task,
    wanted: { width, height: to - from, planes: [cut(planes[0]), cut(planes[1]), cut(planes[2])] },
    places: cut(task.places),
    detail: cut(task.detail),
    row: from,
    seed: task.seed + nth * 7919,
  };
}
