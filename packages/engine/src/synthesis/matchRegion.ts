import { clonePicture, Random, type Picture } from '@urbild/core';
import { upsampleGuided, type Carried } from './guidedUpsampling';
import type { PatchKernel } from './kernel';
import { PatchLevel } from './patchLevel';

/** What the guide counts against the texture, the marks themselves; less above weight 1. */
const GUIDE_WEIGHT = 1.5;
/** How many times more it counts where a picture has fine forms than where it has none. */
const DETAIL_GAIN = 8;
/** How far such forms are pulled back to what is wanted before each round but the first; less above weight 1. */
const DETAIL_PULL = 0.85;
/** What the texture counts in the first round, in which there are no marks yet. */
const FIRST_TEXTURE = 0.3;
/** The price of a crowded block of a reference, and of a reference that has more than its share. */
const USAGE_PRICE = 0.003;
const QUOTA_PRICE = 0.05;

/** A reference at the size of a level, with what is compared of its pixels besides their colours. */
export interface MatchedReference {
  readonly picture: Picture;
  readonly guide: Picture;
  readonly places: Float32Array;
  /** 1 where patches may be taken; everywhere when absent. */
  readonly surface?: Uint8Array;
}

/** Rows of one level that are matched on their own: plain data, so that another thread can do it. */
export interface RegionTask {
  readonly references: readonly MatchedReference[];
  /** What these rows should look like. */
  readonly wanted: Picture;
  readonly places: Float32Array;
  /** How much forms must be read, 0..1 a pixel. */
  readonly detail: Float32Array;
  /** Where these rows lie among all rows of the level. */
  readonly row: number;
  readonly rows: number;
  /** The matched field of the level before; absent where matching begins. */
  readonly before?: Carried;
  /** Parts of the picture that each reference should cover, summing to 1. */
  readonly shares: readonly number[];
  /** The literalness, 1 or more. */
  readonly over: number;
  readonly rounds: number;
  readonly passes: number;
  readonly probes: number;
  /** Radius of the last vote, and of the one on what was carried up. */
  readonly radius: number;
  readonly carriedRadius: number;
  readonly seed: number;
}

/** What was matched: the picture, and what it is drawn from. */
export interface MatchedRegion {
  readonly picture: Picture;
  readonly carried: Carried;
}

/**
 * Matches some rows of a level: the picture made of patches of the references that comes nearest to what is wanted. Guided as by
 * Hertzmann et al. 2001 (Image Analogies), searched as by Barnes et al. 2009 (PatchMatch), voted as by Wexler et al. 2007, with a price
 * on places that are used too often as by Kaspar et al. 2015 (Self Tuning Texture Optimization).
 */
export function matchRegion(task: RegionTask, kernel: PatchKernel, checkpoint: () => void): MatchedRegion {
  const { wanted, references, detail, shares, over, before, rounds } = task;
  const { width: w, height: h } = wanted;
  kernel.seed(Math.imul(task.seed || 1, 0x9e3779b1) >>> 0);
  const level = new PatchLevel(kernel, {
    width: w,
    height: h,
    references: references.map((r) => r.picture),
    guides: references.map((r) => r.guide),
    places: references.map((r) => r.places),
    surfaces: references.every((r) => r.surface) ? references.map((r) => r.surface!) : undefined,
  });
  checkpoint();
  let current: Picture;
  if (before) {
    upsampleGuided(before, level, task.row, task.rows);
    current = level.vote(task.carriedRadius, 2);
  } else {
    scatter(level, shares, new Random(task.seed || 1));
    current = clonePicture(wanted);
  }
  checkpoint();
  level.setGuide(
    wanted,
    task.places,
    detail.map((d) => 1 + DETAIL_GAIN * d),
  );
  for (let round = 0; round < rounds; round++) {
    const first = !before && round === 0;
    if (!first) pullDetail(current, wanted, detail, DETAIL_PULL / over);
    level.match(
      current,
      {
        guide: GUIDE_WEIGHT / over,
        texture: first ? FIRST_TEXTURE : 1,
        usage: USAGE_PRICE * over,
        quota: QUOTA_PRICE,
        shares,
        passes: first ? 5 : task.passes,
        probes: task.probes,
        phase: round,
      },
      checkpoint,
    );
    checkpoint();
    current = level.vote(round === rounds - 1 ? task.radius : 2);
    checkpoint();
  }
  const { rects, atlasWidth } = level;
  return {
    picture: current,
    carried: { width: w, height: h, rects, atlasWidth, field: level.field.slice(), cost: level.cost.slice() },
  };
}

/** A random place of the atlas for every pixel, each reference as often as its share. */
function scatter(level: PatchLevel, shares: readonly number[], random: Random): void {
  const field = level.field;
  for (let i = 0; i < field.length; i++) {
    let u = random.next();
    let k = 0;
    while (k < shares.length - 1 && u > shares[k]) u -= shares[k++];
    const r = level.rects[k];
    for (let tries = 0; tries < 12; tries++) {
      const y = r.y0 + Math.floor(random.next() * (r.y1 - r.y0));
      field[i] = y * level.atlasWidth + r.x0 + Math.floor(random.next() * (r.x1 - r.x0));
      if (level.isValid(field[i])) break;
    }
  }
}

function pullDetail(current: Picture, wanted: Picture, detail: Float32Array, amount: number): void {
  for (let c = 0; c < 3; c++) {
    const [p, q] = [current.planes[c], wanted.planes[c]];
    for (let i = 0; i < p.length; i++) p[i] += amount * detail[i] * (q[i] - p[i]);
  }
}
