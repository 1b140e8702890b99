import {
  blurPlane,
  clonePicture,
  createPicture,
  resample,
  resamplePlane,
  type LevelSize,
  type Picture,
} from '@urbild/core';
import { readRegions, regionsOfLabels } from '../understand/regions/readRegions';
import { detailMask } from './detail';
import { toCommonPalette, type RecolouredReference } from './commonPalette';
import { calmSkin, evenHues, holdFigures, holdMask, takeStraysBack } from './figureGuard';
import { holdForm } from './holdForm';
import { holdSubject } from './holdSubject';
import { blendBands, pullLiteral } from './bands';
import type { SynthesisInput } from './input';
import { drawKeyLines } from './keyLines';
import { matchLevels } from './matchLevels';
import type { Source } from './source';
import { amountOf, closeOnPalette, insistOnPalette, recolourDrawn, recolourStage, tonesOf } from './palette';
import type { PaletteShare } from './paletteShare';
import type { SynthesisPlan } from './plan';
import { planValues } from './valuePlan';
import { matchTextureEnergy } from './textureEnergy';
import { prepareReference } from './reference';
import { stageMediumFor, type StageMedium } from './stageMedium';
import { isWhole } from './whole';
import { apply } from './applied';

/** How much earlier than its share a surface is heard; 1 would be just as its share says. */
const HEARD_EARLY = 2.2;

/**
 * How much of a band is matched marks, 0..1, for a share of the surface: marks that are laid half over a stage cancel each other
 * out more than half, so that shares are heard early for the surface to arrive as they say.
 */
const heard = (share: number): number => 1 - (1 - share) ** HEARD_EARLY;

const FIGURE_HOLD = 0.85;
/** How far a look leaves the forms of the stage where they are: a picture keeps its arrangement under any look. */
const FORM_HOLD = 0.84;
/** The same where a look prints in a few flat inks. */
const PRINT_HOLD = 0.3;
/** How far what a finished picture misses of its palette is made up. */
const PALETTE_MISS = 1;
/** A stage that is printed in a look's inks keeps at least this much of its sharp edges everywhere. */
const PRINTED = 0.6;
/** How far the edges of a subject reach in a print, px of 512. */
const PRINTED_REACH = 3;
/** How far a stage in a look's inks is moved on to the look's whole palette. */
const INKS_MISS = 0.4;
/** The part of a hold that is left where forms are to hold least, and how much more of it there is where they hold most. */
const STRICTNESS = { least: 0.4, range: 1.2 };

/** What a synthesis works with, from its input. */
interface Work {
  readonly input: SynthesisInput;
  /** The longer side of the stage, px. */
  readonly size: number;
  readonly sources: readonly Source[];
  readonly palette: readonly PaletteShare[];
  /** Sources whose surface is heard at all. */
  readonly strokes: readonly Source[];
  /** How much of each band is matched marks, 0..1. */
  readonly strengths: readonly number[];
  readonly sizes: readonly LevelSize[];
  readonly figures: Float32Array | undefined;
  /** The stage in the medium that is nearest to the looks. */
  readonly drawn: ReturnType<typeof stageInMedium>;
}

/**
 * Pulls a painted stage towards its references, coarse to fine along the course: palette by sliced optimal transport,
 * surface by guided patch matching level by level, each as strong as the plan says. Deterministic for a seed.
 */
export function synthesise(input: SynthesisInput): Picture {
  const { plan, checkpoint, onStep } = input;
  const work = workOf(input);
  const { sources, palette, strokes, strengths, sizes, figures, drawn } = work;
  checkpoint();
  // where a look rules everything, nothing is seen of the stage in its first medium
  const hidden = drawn && strengths.every(isWhole);
  const guide = hidden ? drawn.guide : pullLiteral(recoloured(input, palette, figures), sources, plan, sizes);
  checkpoint();
  onStep('palette', 0.2, guide);
  if (!strokes.length) return insistOnPalette(guide, palette, overOf(plan));
  const textures = texturesOf(work);
  checkpoint();
  const ready = matched(work, guide, textures);
  const blended = blendBands(guide, ready, strengths, sizes);
  checkpoint();
  return closed(work, blended, textures);
}

function workOf(input: SynthesisInput): Work {
  const { stage, plan, checkpoint } = input;
  const size = Math.max(stage.width, stage.height);
  const sources = input.references.map((r): Source => ({
    reference: prepareReference(r.content, r.picture, size, r.motif),
    influence: r.influence,
    part: r.part,
  }));
  checkpoint();
  const palette = sources
    .map((s): PaletteShare & { influence: number } => ({
      reference: s.reference,
      share: plan.colour[s.influence] * s.part,
      influence: s.influence,
    }))
    .filter((p) => p.share > 0);
  for (const { influence, share } of palette) apply(plan, 'colour', influence, share);
  const figures = input.labels && holdMask(input.labels, stage.width, stage.height);
  const strokes = sources.filter((s) => plan.levels.some((l) => l.surface[s.influence] * s.part > 0));
  const surfaceOf = (level: SynthesisPlan['levels'][number]) =>
    Math.min(
      1,
      strokes.reduce((sum, r) => sum + level.surface[r.influence] * r.part, 0),
    );
  const drawn =
    input.stageIn && strokes.length ? stageInMedium(input, input.stageIn, palette, strokes, figures) : undefined;
  const sizes = plan.levels.map((l): LevelSize => ({
    width: Math.max(8, Math.round(stage.width * l.part)),
    height: Math.max(8, Math.round(stage.height * l.part)),
  }));
  const strengths = plan.levels.map((l) => heard(surfaceOf(l)));
  return { input, size, sources, palette, strokes, strengths, sizes, figures, drawn };
}

/** How far the palette is driven beyond its share, 0..1. */
const overOf = (plan: SynthesisPlan): number => Math.min(1, plan.colourOver - 1);

/** The references in the palette that the picture is to have; one that is palette and surface alone stays as it is. */
function texturesOf({ input, palette, strokes }: Work): readonly RecolouredReference[] {
  const alone =
    palette.length === 1 &&
    isWhole(palette[0].share) &&
    strokes.length === 1 &&
    strokes[0].reference === palette[0].reference;
  return strokes.map((s): RecolouredReference =>
    alone ? s.reference : toCommonPalette(s.reference, palette, input.stage, input.stageKey),
  );
}

/** Marks of the references laid over the guide, with figures, fine detail and skin held. */
function matched(work: Work, guide: Picture, textures: readonly RecolouredReference[]): Picture {
  const { input, size, sources, strokes, sizes, figures, drawn } = work;
  const { stage, plan, labels, checkpoint } = input;
  const wanted = drawn ? pullLiteral(drawn.guide, sources, plan, sizes) : guide;
  checkpoint();
  if (!drawn) drawKeyLines(wanted, stage, strokes, plan);
  const detail = detailMask(drawn?.stage ?? stage, labels);
  checkpoint();
  const regions = labels ? regionsOfLabels(labels, stage.width, stage.height) : readRegions(stage);
  checkpoint();
  const marks = matchLevels(input, { guide: wanted, detail, strokes, recoloured: textures, sizes, regions });
  const held = figures ? holdFigures(marks, wanted, figures, FIGURE_HOLD / plan.levels[0].over) : marks;
  checkpoint();
  const ready = held === marks && held.width !== guide.width ? resample(held, guide.width, guide.height) : held;
  takeStraysBack(ready, wanted, drawn?.inked ? 0 : 1 / plan.levels[0].over, figures);
  checkpoint();
  giveDetailBack(ready, wanted, detail, plan.detail, size, drawn?.inked ? PRINTED : 0);
  checkpoint();
  if (labels) calmSkin(ready, wanted, labels);
  checkpoint();
  return ready;
}

/** The end: forms are held, what is missed of the palette is made up, and the grain of the references with it. */
function closed(work: Work, blended: Picture, textures: readonly RecolouredReference[]): Picture {
  const { input, palette, strokes, strengths, sizes, figures, drawn } = work;
  const { stage, stageKey, plan, checkpoint } = input;
  const literal = Math.max(0, ...plan.levels.flatMap((l) => l.literal));
  const over = Math.max(...plan.levels.map((l) => l.over));
  const hold = (drawn?.inked ? PRINT_HOLD : FORM_HOLD) * Math.max(...strengths) * (1 - literal);
  const strict = STRICTNESS.least + STRICTNESS.range * (input.strictness ?? 0.5);
  holdForm(blended, stage, Math.min(1, (strict * hold) / over ** 2), figures);
  checkpoint();
  // inks are few: what their proportions miss of the palette is made up at the end
  const out = drawn?.inked
    ? blended
    : closeOnPalette(blended, { stage, stageKey, palette, amount: PALETTE_MISS, figures, checkpoint });
  checkpoint();
  const finest = strokes.map((s) => plan.levels[plan.levels.length - 1].surface[s.influence] * s.part);
  const total = finest.reduce((a, b) => a + b, 0);
  const measures = textures.map((r, i) => ({ picture: r.picture, part: finest[i] / total }));
  const grained = total > 0 ? matchTextureEnergy(out, measures, strengths, sizes, checkpoint) : out;
  checkpoint();
  const inks = drawn?.inked ? insistOnPalette(grained, palette, INKS_MISS * amountOf(palette)) : grained;
  const done = insistOnPalette(inks, palette, overOf(plan));
  if (!input.subjects) return done;
  checkpoint();
  // a look that prints in a few inks sets people off by a line: wide shades of its inks would be none of its own
  const subjects = input
    .subjects()
    .map((s) => (drawn?.inked && !s.whole ? { ...s, reach: Math.min(s.reach, PRINTED_REACH) } : s));
  holdSubject(done, stage, subjects, Math.min(1, (strict * (1 - literal)) / over ** 2));
  return done;
}

/** The stage as it was painted first, in the palette that the picture is to have. */
function recoloured(
  { stage, stageKey, labels, checkpoint }: SynthesisInput,
  palette: readonly PaletteShare[],
  figures?: Float32Array,
): Picture {
  if (!palette.length) return clonePicture(stage);
  const guide = recolourStage(stage, stageKey, palette, figures, checkpoint);
  checkpoint();
  if (labels) {
    evenHues(stage, guide, labels);
    planValues(guide, stage, labels, tonesOf(palette), amountOf(palette));
  }
  return guide;
}

/**
 * The stage drawn in the medium that lies nearest to the looks, in the palette that the picture is to have: where its inks
 * are the looks' own, their part of the palette is there already.
 */
function stageInMedium(
  { stage, stageKey, labels, plan, checkpoint }: SynthesisInput,
  draw: (medium: StageMedium) => Picture,
  palette: readonly PaletteShare[],
  strokes: readonly Source[],
  figures: Float32Array | undefined,
): { stage: Picture; guide: Picture; inked: boolean } | undefined {
  const share = (s: Source) => plan.levels.reduce((sum, l) => sum + l.surface[s.influence], 0) * s.part;
  const medium = stageMediumFor(strokes.map((s) => ({ reference: s.reference, share: share(s) })));
  if (!medium) return undefined;
  const drawn = draw(medium);
  checkpoint();
  const own = new Set(medium.inked ? strokes.map((s) => s.reference) : []);
  const guide = recolourDrawn(drawn, {
    drawnKey: `${stageKey}/${JSON.stringify(medium)}`,
    stage,
    stageKey,
    palette,
    own,
    figures: medium.inked ? undefined : figures,
    checkpoint,
  });
  checkpoint();
  if (palette.length && !medium.inked && labels) {
    evenHues(stage, guide, labels);
    planValues(guide, stage, labels, tonesOf(palette), amountOf(palette));
  }
  return { stage: drawn, guide, inked: medium.inked };
}

/** What is finer than this blur, in px of 512 at half of the size, is given back. */
const FINE = 1.25;

/** Gives fine detail of the guide back where the mask says that forms must be read. */
function giveDetailBack(
  out: Picture,
  guide: Picture,
  mask: Float32Array,
  amount: number,
  size: number,
  least: number,
): void {
  const { width: w, height: h } = guide;
  const [hw, hh] = [Math.max(1, w >> 1), Math.max(1, h >> 1)];
  for (let c = 0; c < 3; c++) {
    const lost = createPicture(w, h).planes[0];
    for (let i = 0; i < lost.length; i++) lost[i] = guide.planes[c][i] - out.planes[c][i];
    const coarse = resamplePlane(
      blurPlane(resamplePlane(lost, w, h, hw, hh), hw, hh, (FINE * size) / 512),
      hw,
      hh,
      w,
      h,
    );
    const plane = out.planes[c];
    for (let i = 0; i < plane.length; i++) plane[i] += Math.max(least, amount * mask[i]) * (lost[i] - coarse[i]);
  }
}
