import { nameOf, understand, type Picture, type SceneBrief, type TraitSheet } from '@urbild/core';
import {
  directPainter,
  shapeRemarks,
  stageChanges,
  type InfluenceRemark,
  type LoadedPicture,
} from '../influences/staging';
import type { FigureRecord } from '../painter/figures/record';
import { paintStage } from '../painter/paint';
import type { RenderRequest } from '../request';
import { planSynthesis, type ShareRecord, type SynthesisPlan } from '../synthesis/plan';
import { synthesise } from '../synthesis/synthesise';
import { keptStage, stageKey } from './stageCache';
import { stageBetween, strengthOf, towards } from './startPicture';

/** What a pass reports to. */
export interface PassContext {
  /** Throws to stop. */
  readonly checkpoint: () => void;
  readonly onStep: (step: string, fraction: number, picture: Picture) => void;
  readonly lap: (name: string) => void;
}

/** What a pass has made. */
export interface Pass {
  readonly picture: Picture;
  readonly brief: SceneBrief;
  readonly labels: Uint8Array;
  readonly figures: readonly FigureRecord[];
  /** What is known of whoever the influences show, by id. */
  readonly sheets: ReadonlyMap<string, TraitSheet>;
  readonly log: readonly ShareRecord[];
  /** What was found out about influences. */
  readonly remarks: readonly InfluenceRemark[];
}

/** One way through the whole engine: words and references to the painter, stage, changes of the stage, synthesis. */
export function renderPass(
  request: RenderRequest,
  loaded: readonly LoadedPicture[],
  start: Picture | undefined,
  { checkpoint, onStep, lap }: PassContext,
): Pass {
  const plan = planSynthesis(request.influences, request.balance);
  const read = understand(request.prompt, request.avoid, request.names);
  const { width, height, seed, spread } = request;
  const cast = anybody(read, spread > 0 ? seed : 0);
  const brief: SceneBrief = request.medium ? { ...cast, medium: request.medium } : cast;
  const direction = directPainter(request, brief, plan, loaded);
  checkpoint();
  const told = { ...request, influences: request.influences.filter((_, k) => loaded.some((p) => p.influence === k)) };
  const stage = keptStage(told, () =>
    paintStage(brief, {
      width,
      height,
      seed,
      spread,
      hints: direction.hints,
      light: direction.light,
      identities: direction.identities.of,
      checkpoint,
    }),
  );
  lap('painter');
  const labels = stage.labels();
  const { figures } = stage;
  const changes = stageChanges(request, { labels, figures }, direction.hints, plan, loaded, checkpoint);
  const change = request.start?.change ?? 1;
  const staged = (painted: Picture): Picture => {
    const changed = changes.reduce((p, apply) => apply(p), painted);
    return start ? stageBetween(start, changed, change) : changed;
  };
  const painted = staged(stage.painted());
  if (changes.length) lap('staging');
  const done = {
    brief,
    labels,
    figures,
    sheets: direction.sheets,
    log: [...plan.log, ...direction.identities.log],
    remarks: [...direction.remarks, ...shapeRemarks(request, loaded)],
  };
  const laid = loaded.filter((p) => liesOver(plan, p.influence));
  onStep('painted', laid.length ? 0.15 : 0.95, painted);
  if (!laid.length) return { ...done, picture: painted };
  const held = start && change < 1;
  const picture = synthesise({
    stage: painted,
    // the labels are those of the painted stage: a start picture has none
    labels: held ? undefined : labels,
    stageIn: brief.medium || held ? undefined : ({ medium, palette }) => staged(stage.drawnIn(medium, palette)),
    stageKey: stageKey(told),
    references: laid.map(({ influence, part, told, picture: p }) => ({
      influence,
      part,
      content: told.content,
      picture: p,
    })),
    plan,
    seed,
    checkpoint,
    onStep,
  });
  return { ...done, picture: held ? towards(start, picture, () => strengthOf(change)) : picture };
}

/** The brief with another person for every seed where the words name nobody: "a woman" is any woman. */
const anybody = (brief: SceneBrief, seed: number): SceneBrief => ({
  ...brief,
  entities: brief.entities.map((e) =>
    e.kind === 'person' && nameOf(e) === undefined && e.variant === undefined && seed
      ? { ...e, variant: 1 + (seed % 4093) }
      : e,
  ),
});

/** True for influences that act on the painted stage: by palette, surface or the picture itself. */
const liesOver = (plan: SynthesisPlan, k: number): boolean =>
  plan.colour[k] > 0 || plan.levels.some((l) => l.surface[k] > 0 || l.literal[k] > 0);
