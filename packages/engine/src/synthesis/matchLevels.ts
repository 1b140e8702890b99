import { resample, resamplePlane, type LevelSize, type Picture } from '@urbild/core';
import { threadKernel, type PatchKernel } from './kernel';
import type { RecolouredReference } from './commonPalette';
import { type RegionMap } from '../understand/regions/readRegions';
import type { Carried } from './guidedUpsampling';
import { inTiles, matchTiles, type MatchHelper } from './tiles';
import { matchRegion, type RegionTask } from './matchRegion';
import { placesIn, regionWeightOf } from './places';
import type { SynthesisPlan } from './plan';
import { referenceLevel, type PreparedReference } from './reference';
import type { Source } from './source';
import { apply } from './applied';

/** Blur of the references' guides, in px of 512. */
const SOFTNESS = 3;
/** Prints larger than this, px, are searched less at their finest levels: what is carried up is fine enough there. */
const LARGE = 1024 * 768;
/** Rounds of matching and voting at each level, coarse to fine; further levels have as many as the last. */
const ROUNDS = [3, 3, 2, 2, 1];

/** A level is literal, and its subjects may be taken, where weights go beyond 1 by this much or literalness is this high. */
const LITERAL = 0.05;
/** Where matching begins in a render's progress, and how much of it it is. */
const PROGRESS = { from: 0.25, range: 0.7 };

/** What matching needs besides the pictures. */
export interface MatchContext {
  readonly plan: SynthesisPlan;
  readonly seed: number;
  readonly kernel?: PatchKernel;
  /** Matches half of large pictures meanwhile. */
  readonly helper?: MatchHelper;
  readonly checkpoint: () => void;
  readonly onStep: (name: string, fraction: number, picture: Picture) => void;
}

/**
 * Guided patch matching from the coarsest level to the finest: the picture made of patches of the references that comes
 * nearest to `guide`, with more insistence where `detail` is high; sky is drawn from sky, ground from ground, things from things.
 */
export function matchLevels(
  input: MatchContext,
  {
    guide,
    detail,
    strokes,
    recoloured,
    sizes,
    regions,
  }: {
    readonly guide: Picture;
    readonly detail: Float32Array;
    readonly strokes: readonly Source[];
    readonly recoloured: readonly RecolouredReference[];
    readonly sizes: readonly LevelSize[];
    readonly regions: RegionMap;
  },
): Picture {
  const { plan, checkpoint, onStep } = input;
  const kernel = input.kernel ?? threadKernel();
  const size = Math.max(guide.width, guide.height);
  let before: Carried | undefined;
  let current = resample(guide, sizes[0].width, sizes[0].height);
  plan.levels.forEach((levelPlan, l) => {
    const { width: w, height: h } = sizes[l];
    const wanted = resample(guide, w, h);
    const n = plan.levels.length;
    const weights = strokes.map((s) =>
      apply(plan, 'surface', s.influence, levelPlan.surface[s.influence] * s.part, { from: l / n, to: (l + 1) / n }),
    );
    const total = weights.reduce((a, b) => a + b, 0);
    if (total <= 1e-6) {
      current = wanted;
      before = undefined;
      return;
    }
    checkpoint();
    const shares = weights.map((v) => v / total);
    const regionWeight = regionWeightOf(regions, strokes, shares);
    const literal = levelPlan.over > 1 + LITERAL || levelPlan.literal.some((v) => v > LITERAL);
    const last = l === plan.levels.length - 1;
    const large = guide.width * guide.height > LARGE;
    const task: RegionTask = {
      references: recoloured.map((r, k) => {
        const { picture, guide: soft } = referenceLevel(r, levelPlan.part, SOFTNESS, size);
        const { reference } = strokes[k];
        return {
          picture,
          guide: soft,
          places: placesIn(reference.regions, picture.width, picture.height, regionWeight),
          // only a reference that is taken literally brings pieces of its subject
          surface: literal ? undefined : surfaceAt(reference, picture),
        };
      }),
      wanted,
      places: placesIn(regions, w, h, regionWeight),
      detail: resamplePlane(detail, guide.width, guide.height, w, h),
      row: 0,
      rows: h,
      before,
      shares,
      over: levelPlan.over,
      rounds: ROUNDS[Math.min(l, ROUNDS.length - 1)],
      passes: l < plan.levels.length - 2 ? 2 : 1,
      probes: last ? (large ? 1 : 3) : large && l === plan.levels.length - 2 ? 4 : 8,
      radius: last ? 1 : 2,
      carriedRadius: last && large ? 1 : 2,
      seed: Math.imul(input.seed || 1, 31) + l,
    };
    if (last && inTiles(w, h)) current = matchTiles(task, kernel, checkpoint, input.helper);
    else ({ picture: current, carried: before } = matchRegion(task, kernel, checkpoint));
    onStep(
      `level ${l + 1} of ${plan.levels.length}`,
      PROGRESS.from + PROGRESS.range * ((l + 1) / plan.levels.length) ** 2,
      current,
    );
  });
  return current;
}

/** The area of a reference that patches may be taken from, at the size of one of its levels. */
function surfaceAt({ picture, surface }: PreparedReference, level: Picture): Uint8Array {
  const out = new Uint8Array(level.width * level.height);
  for (let v = 0, i = 0; v < level.height; v++) {
    const row = Math.floor((v * picture.height) / level.height) * picture.width;
    for (let u = 0; u < level.width; u++, i++) out[i] = surface[row + Math.floor((u * picture.width) / level.width)];
  }
  return out;
}
