import { joinBands, resample, splitBands, type LevelSize, type Picture } from '@urbild/core';
import type { SynthesisPlan } from './plan';
import type { Source } from './source';
import { isWhole } from './whole';

/** `everything` above weight .5: bands of the picture itself, coarse ones first. */
export function pullLiteral(
  guide: Picture,
  sources: readonly Source[],
  plan: SynthesisPlan,
  sizes: readonly LevelSize[],
): Picture {
  const pulled = sources.filter((s) => plan.levels.some((l) => l.literal[s.influence] > 0));
  if (!pulled.length) return guide;
  const bands = splitBands(guide, sizes);
  for (const source of pulled) {
    const target = splitBands(resample(source.reference.picture, guide.width, guide.height), sizes);
    plan.levels.forEach((level, l) => mixInto(bands[l], target[l], level.literal[source.influence] * source.part));
  }
  return joinBands(bands);
}

function mixInto(target: Picture, other: Picture, amount: number): void {
  if (amount <= 0) return;
  for (let c = 0; c < 3; c++) {
    const [a, b] = [target.planes[c], other.planes[c]];
    for (let i = 0; i < a.length; i++) a[i] += amount * (b[i] - a[i]);
  }
}

/** Each band as strong as its share: weights below 1 and spans act here. */
export function blendBands(
  guide: Picture,
  matched: Picture,
  strengths: readonly number[],
  sizes: readonly LevelSize[],
): Picture {
  if (strengths.every(isWhole)) return matched;
  const a = splitBands(guide, sizes);
  const b = splitBands(resample(matched, guide.width, guide.height), sizes);
  strengths.forEach((s, l) => mixInto(a[l], b[l], s));
  return joinBands(a);
}
