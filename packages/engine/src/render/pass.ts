import type { Picture, SceneBrief, TraitSheet } from '@urbild/core';
import { viewAt } from '../frames/frame';
import { heldBy, type Holding } from '../frames/hold';
import { windowBetween } from '../frames/seenStage';
import type { LoadedPicture } from '../gives/action';
import { pictureRemarks, stageChanges } from '../gives/stageChanges';
import type { FigureRecord } from '../painter/scene/figureRecord';
import type { SceneSeen } from '../painter/scene/seen';
import type { RenderRequest } from '../contract/request';
import type { AppliedShare, InfluenceRemark, ShareRecord } from '../contract/result';
import { planSynthesis, type SynthesisPlan } from '../synthesis/plan';
import type { MatchHelper } from '../synthesis/tiles';
import { synthesise } from '../synthesis/synthesise';
import { looksOf, type ItemLook } from './itemLook';
import { colourLooks, type ColourLook } from './foundColours';
import { keptFigures } from './keptFigures';
import { lookCast, type LookCast } from './lookCast';
import { paintScene } from './scene';
import { stageKey } from './stageCache';
import { wholeLook, type WholeLook } from './wholeWords';
import { subjectsOf } from './subjects';
import { stageBetween, strengthOf, towards } from './startPicture';

/** What a pass reports to. */
export interface PassContext {
  /** Throws to stop. */
  readonly checkpoint: () => void;
  readonly onStep: (step: string, fraction: number, picture: Picture) => void;
  readonly lap: (name: string) => void;
  readonly helper?: MatchHelper;
}

/** Finished pictures that a request builds on, at its size. */
export interface GivenPictures {
  /** To start from. */
  readonly start?: Picture;
  /** Where that may change, 1, and where it may not, 0; everywhere when absent. */
  readonly free?: Float32Array;
  /** The frame that this one is held by. */
  readonly held?: Picture;
}

/** What a pass has made. */
export interface Pass {
  readonly picture: Picture;
  readonly brief: SceneBrief;
  readonly labels: Uint8Array;
  readonly figures: readonly FigureRecord[];
  /** What the look did to all colours alike; absent where none lies over the picture. */
  readonly cast?: LookCast;
  /** What can be seen of everything that the words name, and how it looked before any reference lay over it. */
  readonly seen: SceneSeen;
  readonly looks: readonly (ItemLook | undefined)[];
  /** Where the colours that the words name were painted. */
  readonly colours: readonly ColourLook[];
  /** How the picture looked as a whole, as far as its words speak of that. */
  readonly whole: WholeLook;
  /** What is known of whoever the influences show, by id. */
  readonly sheets: ReadonlyMap<string, TraitSheet>;
  readonly log: readonly ShareRecord[];
  readonly applied: readonly AppliedShare[];
  /** What was found out about influences. */
  readonly remarks: readonly InfluenceRemark[];
}

/** One way through the whole engine: words and references to the painter, stage, changes of the stage, synthesis. */
export function renderPass(
  request: RenderRequest,
  loaded: readonly LoadedPicture[],
  { start, free, held }: GivenPictures,
  context: PassContext,
): Pass {
  const { checkpoint, onStep, lap } = context;
  const plan = planSynthesis(request.influences, request.balance);
  const { seed } = request;
  const { brief, direction, stage } = paintScene(request, plan, loaded, checkpoint);
  // whoever stays of the start picture is not painted a second time beside it
  const there = start && free ? keptFigures(stage.seen, free) : undefined;
  const ground = there?.size ? paintScene(request, plan, loaded, checkpoint, there).stage : stage;
  const told = { ...request, influences: request.influences.filter((_, k) => loaded.some((p) => p.influence === k)) };
  lap('painter');
  checkpoint();
  const labels = stage.labels();
  const { figures } = stage;
  const groundLabels = ground === stage ? labels : ground.labels();
  const changes = stageChanges({ labels: groundLabels, figures: ground.figures, depth: () => ground.depth() }, loaded, {
    request,
    plan,
    checkpoint,
  });
  const change = request.start?.change ?? 1;
  const changed = (picture: Picture): Picture => changes.reduce((p, apply) => apply(p), picture);
  const begunAt = (picture: Picture): Picture => (start ? stageBetween(start, picture, change) : picture);
  // what the words say is looked for as the painter painted it, not as the start picture has it
  const said = changed(stage.painted());
  const painted = begunAt(ground === stage ? said : changed(ground.painted()));
  checkpoint();
  const steady = (picture: Picture): Picture =>
    held && request.hold && request.frame
      ? heldBy(picture, labels, { stage: painted, figures }, holding(request, held, plan, loaded, checkpoint))
      : picture;
  if (changes.length) lap('staging');
  const done = {
    brief,
    labels,
    figures,
    seen: stage.seen,
    looks: looksOf(stage.seen, said),
    colours: colourLooks(brief, stage.seen, said),
    whole: wholeLook(stage.seen, labels, said),
    sheets: direction.sheets,
    log: [...plan.log, ...direction.identities.log],
    applied: plan.applied,
    remarks: [...direction.remarks, ...pictureRemarks(request, loaded)],
  };
  const laid = loaded.filter((p) => liesOver(plan, p.influence));
  onStep('painted', laid.length ? 0.15 : 0.95, painted);
  if (!laid.length) return { ...done, picture: steady(painted) };
  const begun = start && change < 1;
  const picture = synthesise({
    stage: painted,
    // the labels are those of the painted stage: a start picture has none
    labels: begun ? undefined : groundLabels,
    subjects: begun ? undefined : () => subjectsOf(ground.seen, groundLabels),
    stageIn:
      brief.medium || begun
        ? undefined
        : ({ medium, palette }) => begunAt(changed(ground.drawnIn(medium, palette, checkpoint))),
    stageKey: there?.size ? `${stageKey(told)}/${[...there].join()}` : stageKey(told),
    references: laid.map(({ influence, part, told, picture: p }) => ({
      influence,
      part,
      content: told.content,
      picture: p,
      motif: request.influences[influence].motif,
    })),
    plan,
    strictness: request.strictness,
    seed,
    helper: context.helper,
    checkpoint,
    onStep,
  });
  return {
    ...done,
    cast: lookCast(painted, picture),
    picture: steady(begun ? towards(start, picture, () => strengthOf(change)) : picture),
  };
}

/** The frame that a frame is held by: what was painted there, and the finished picture of it. */
function holding(
  request: RenderRequest,
  picture: Picture,
  plan: SynthesisPlan,
  loaded: readonly LoadedPicture[],
  checkpoint: () => void,
): Holding {
  const [frame, at] = [request.frame!, request.hold!.at];
  const there = { ...request, frame: { ...frame, at } };
  const { stage } = paintScene(there, plan, loaded, checkpoint);
  const maps = { labels: stage.labels(), figures: stage.figures, depth: () => stage.depth() };
  const changes = stageChanges(maps, loaded, { request: there, plan, checkpoint });
  const { width, height } = picture;
  return {
    picture,
    stage: changes.reduce((p, apply) => apply(p), stage.painted()),
    figures: stage.figures,
    window: frame.camera
      ? windowBetween(viewAt(frame.camera, frame.at), viewAt(frame.camera, at), width, height)
      : { x: 0, y: 0, width, height },
  };
}

/** True for influences that act on the painted stage: by palette, surface or the picture itself. */
const liesOver = (plan: SynthesisPlan, k: number): boolean =>
  plan.colour[k] > 0 || plan.levels.some((l) => l.surface[k] > 0 || l.literal[k] > 0);
