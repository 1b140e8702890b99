import { clonePicture, Random, resample, resamplePlane, type LevelSize, type Picture } from '@urbild/core';
import { threadKernel, type PatchKernel } from './kernel';
import type { RecolouredReference } from './commonPalette';
import { type RegionMap } from '../regions/readRegions';
import { carryUp, type Match } from './carryUp';
import { placesIn, regionWeightOf } from './places';
import { PatchLevel } from './patchLevel';
import type { SynthesisPlan } from './plan';
import { referenceLevel, type PreparedReference } from './reference';

const SOFTNESS = 3;
const GUIDE_WEIGHT = 1.5;
const DETAIL_GAIN = 8;
const DETAIL_PULL = 0.85;
const USAGE_PRICE = 0.003;
const QUOTA_PRICE = 0.05;
const ROUNDS = [3, 3, 2, 2, 1];

/** A prepared picture of an influence. */
export interface Source {
  readonly reference: PreparedReference;
  /** Index into the plan's shares. */
  readonly influence: number;
  readonly part: number;
}

/** What matching needs besides the pictures. */
export interface MatchContext {
  readonly plan: SynthesisPlan;
  readonly seed: number;
  readonly kernel?: PatchKernel;
  readonly checkpoint: () => void;
  readonly onStep: (name: string, fraction: number, picture: Picture) => void;
}

/**
 * Guided patch matching from the coarsest level to the finest: the picture made of patches of the references that comes
 * nearest to `guide`, with more insistence where `detail` is high; sky is drawn from sky, ground from ground, things from things.
 */
export function matchLevels(
  input: MatchContext,
  guide: Picture,
  detail: Float32Array,
  strokes: readonly Source[],
  recoloured: readonly RecolouredReference[],
  sizes: readonly LevelSize[],
  regions: RegionMap,
): Picture {
  const { plan, checkpoint, onStep } = input;
  const kernel = input.kernel ?? threadKernel();
  kernel.seed(Math.imul(input.seed || 1, 0x9e3779b1) >>> 0);
  const random = new Random(input.seed || 1);
  const size = Math.max(guide.width, guide.height);
  let before: Match | undefined;
  let current = resample(guide, sizes[0].width, sizes[0].height);
  plan.levels.forEach((levelPlan, l) => {
    const { width: w, height: h } = sizes[l];
    const wanted = resample(guide, w, h);
    const weights = strokes.map((s) => levelPlan.surface[s.influence] * s.part);
    const total = weights.reduce((a, b) => a + b, 0);
    if (total <= 1e-6) {
      current = wanted;
      before = undefined;
      return;
    }
    checkpoint();
    const shares = weights.map((v) => v / total);
    const regionWeight = regionWeightOf(regions, strokes, shares);
    const references = recoloured.map((r) => referenceLevel(r, levelPlan.part, SOFTNESS, size));
    const level = new PatchLevel(
      kernel,
      w,
      h,
      references.map((r) => r.picture),
      references.map((r) => r.guide),
      references.map(({ picture }, k) =>
        placesIn(strokes[k].reference.regions, picture.width, picture.height, regionWeight),
      ),
      // only a reference that is taken literally brings pieces of its subject
      levelPlan.over > 1.05 || levelPlan.literal.some((v) => v > 0.05)
        ? undefined
        : strokes.map((r, k) => surfaceAt(r.reference, references[k].picture)),
    );
    checkpoint();
    const fresh = !before;
    if (before) {
      carryUp(before, level);
      current = level.vote(2, 2);
    } else {
      scatter(level, shares, random);
      current = clonePicture(wanted);
    }
    checkpoint();
    const finer = resamplePlane(detail, guide.width, guide.height, w, h);
    level.setGuide(
      wanted,
      placesIn(regions, w, h, regionWeight),
      finer.map((d) => 1 + DETAIL_GAIN * d),
    );
    const last = l === plan.levels.length - 1;
    const rounds = ROUNDS[Math.min(l, ROUNDS.length - 1)];
    const over = levelPlan.over;
    for (let round = 0; round < rounds; round++) {
      const first = fresh && round === 0;
      if (!first) pullDetail(current, wanted, finer, DETAIL_PULL / over);
      level.match(
        current,
        {
          guide: GUIDE_WEIGHT / over,
          texture: first ? 0.3 : 1,
          usage: USAGE_PRICE * over,
          quota: QUOTA_PRICE,
          shares,
          passes: first ? 5 : l < plan.levels.length - 2 ? 2 : 1,
          probes: last ? 3 : 8,
          phase: round,
        },
        checkpoint,
      );
      checkpoint();
      current = level.vote(last && round === rounds - 1 ? 1 : 2);
      checkpoint();
    }
    before = { level, field: level.field.slice(), cost: level.cost.slice() };
    onStep(`level ${l + 1} of ${plan.levels.length}`, 0.25 + 0.7 * ((l + 1) / plan.levels.length) ** 2, current);
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
