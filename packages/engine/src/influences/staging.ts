import {
  findHorizon,
  give,
  levelOf,
  partOfGive,
  poseOf,
  type Gives,
  type Picture,
  type SceneBrief,
  type TraitSheet,
} from '@urbild/core';
import type { Environment } from '../painter/light/environment';
import { lightOfBrief } from './lightOfBrief';
import type { Stage } from '../painter/paint';
import type { LayoutHints } from '../painter/places';
import type { RenderRequest, RequestInfluence, RequestPicture } from '../contract/request';
import type { InfluenceRemark } from '../contract/result';
import { apply } from '../synthesis/applied';
import type { SynthesisPlan } from '../synthesis/plan';
import { decideIdentities, sheetOf, type Identities } from './identity';
import { environmentLike, mixLight } from './light';
import { holdOf } from './ground';
import { arrangeByMap, placesOfPlan } from './mapped';
import { rearrange } from './masses';
import { backdropOf, setBefore } from './place';
import { fillShape, shapeFaults, silhouette } from './shape';
import { subjectAlpha, subjectOf, type FoundSubject } from './subject';
import { setThing } from './thing';

/** One picture of an influence as it was loaded. */
export interface LoadedPicture {
  readonly influence: number;
  /** Its part of the influence's weight; the parts of one influence sum to 1. */
  readonly part: number;
  readonly told: RequestPicture;
  readonly picture: Picture;
}

/** Everything that references say to the painter. */
export interface Direction {
  readonly hints: LayoutHints;
  readonly light: Environment;
  readonly identities: Identities;
  /** What is known of whoever the influences show, by id. */
  readonly sheets: ReadonlyMap<string, TraitSheet>;
  /** Influences that found nothing of what they are to give, or nobody to give it to. */
  readonly remarks: readonly InfluenceRemark[];
}

/** True for a give that carries something of somebody. */
const carriesIdentity = (gives: Gives): boolean => give(gives).parts.length > 0;
/** True for a give whose place on the page guides the painter. */
const composes = (gives: Gives): boolean => give(gives).facts.includes('horizon');

/** What the references of a request say to the painter about layout, pose, light and people. */
export function directPainter(
  request: RenderRequest,
  brief: SceneBrief,
  plan: SynthesisPlan,
  loaded: readonly LoadedPicture[],
): Direction {
  const { influences } = request;
  const gives = (p: LoadedPicture) => influences[p.influence].gives;
  const empty: string[] = [];
  const pictures = new Map(loaded.map((p) => [p.told.content, p.picture]));
  const sheets = new Map<string, TraitSheet>();
  for (const i of influences)
    if (carriesIdentity(i.gives) && loaded.some((p) => influences[p.influence] === i)) {
      const sheet = sheetOf(i, pictures);
      sheets.set(i.id, sheet);
      if (i.gives !== 'everything' && !tellsAnything(sheet, i)) empty.push(i.id);
    }
  for (const i of influences) {
    const of = i.gives === 'thing' ? loaded.filter((p) => influences[p.influence] === i) : [];
    if (of.length && !of.some((p) => subjectOf(p.picture, p.told))) empty.push(i.id);
  }
  const hints: LayoutHints = {
    ...horizonHint(
      loaded.filter((p) => composes(gives(p))),
      plan,
    ),
    ...subjectHint(
      loaded.filter((p) => gives(p) === 'layout'),
      plan,
    ),
    ...poseHint(loaded, influences, plan, empty),
  };
  let light = lightOfBrief(brief);
  for (const p of loaded) {
    if (gives(p) !== 'light') continue;
    const share = partOfGive('light', 'colour', plan.colour[p.influence] * p.part);
    if (share <= 0) continue;
    apply(plan, 'colour', p.influence, plan.colour[p.influence] * p.part);
    light = mixLight(light, environmentLike(p.picture, brief.season), share);
  }
  const identities = decideIdentities(brief, { influences, balance: request.balance }, sheets);
  const remarks = [
    ...[...new Set(empty)].map((influence) => ({ influence, kind: 'nothing-to-give' as const })),
    ...identities.idle.map((influence) => ({ influence, kind: 'nobody-to-take' as const })),
  ];
  return { hints, light, identities, sheets, remarks };
}

/** Part of a picture that may be neither dark nor light in a silhouette. */
const TONED = 0.2;
/** Part of a silhouette that may be thinner than 2 px. */
const THIN = 0.15;

/** The traits that speak of what an influence gives. */
function tellsAnything(sheet: TraitSheet, { gives }: RequestInfluence): boolean {
  if (gives === 'outfit') return !!(sheet.upper ?? sheet.lower ?? sheet.headwear);
  if (gives === 'face') return !!(sheet.skin ?? sheet['face width']);
  return Object.keys(sheet).length > 0;
}

function horizonHint(loaded: readonly LoadedPicture[], plan: SynthesisPlan): Pick<LayoutHints, 'horizon'> {
  let share = 0;
  let at = 0;
  for (const { influence, part, told, picture } of loaded) {
    const pull = plan.layout[influence] * part;
    if (pull <= 0) continue;
    const horizon = horizonOf(told, picture);
    if (!horizon) continue;
    apply(plan, 'layout', influence, pull);
    share += pull * horizon.confidence;
    at += pull * horizon.confidence * horizon.at;
  }
  return share > 0 ? { horizon: { at: at / share, share: Math.min(1, share) } } : {};
}

/** The horizon of a layout: as a person put it, the edge of a plan's sky, or what is found; a map of distances tells none. */
function horizonOf(told: RequestPicture, picture: Picture): { at: number; confidence: number } | undefined {
  if (told.horizon !== undefined) return { at: told.horizon, confidence: 1 };
  if (told.layout?.read === 'distance') return undefined;
  if (told.layout?.read !== 'areas') return findHorizon(picture);
  const { horizon } = placesOfPlan(levelOf(picture, 96), told.layout);
  return horizon === undefined ? undefined : { at: horizon, confidence: 1 };
}

/** Where a layout has its subject: what a plan names, or what is found; a map of distances tells nothing of it. */
function placeOfSubject(picture: Picture, told: RequestPicture): FoundSubject | undefined {
  if (!told.layout) return subjectOf(picture, told);
  const box = told.layout.read === 'areas' ? placesOfPlan(levelOf(picture, 96), told.layout).somebody : undefined;
  return box && { box, confidence: 1 };
}

function subjectHint(loaded: readonly LoadedPicture[], plan: SynthesisPlan): Pick<LayoutHints, 'subject'> {
  let share = 0;
  const sum = { x: 0, y: 0, height: 0 };
  for (const { influence, part, told, picture } of loaded) {
    const pull = plan.layout[influence] * part;
    const found = pull > 0 ? placeOfSubject(picture, told) : undefined;
    if (!found) continue;
    const { left, right, top, bottom } = found.box;
    const k = pull * found.confidence;
    share += k;
    sum.x += (k * (left + right)) / 2;
    sum.y += k * bottom;
    sum.height += k * (bottom - top);
  }
  if (share <= 0) return {};
  return {
    subject: { x: sum.x / share, y: sum.y / share, height: sum.height / share, share: Math.min(1, share) },
  };
}

function poseHint(
  loaded: readonly LoadedPicture[],
  influences: readonly RequestInfluence[],
  plan: SynthesisPlan,
  empty: string[],
): Pick<LayoutHints, 'pose'> {
  let best: { share: number; influence: number; pose: NonNullable<ReturnType<typeof poseOf>> } | undefined;
  for (const { influence, part, told, picture } of loaded) {
    const share = plan.pose[influence] * part;
    if (share <= 0) continue;
    const pose = told.joints && poseOf(told.joints, picture.width / picture.height);
    if (!pose && influences[influence].gives === 'pose') empty.push(influences[influence].id);
    // two poses cannot be mixed into a third: the strongest one counts, as far as its own share goes
    if (pose && share > (best?.share ?? 0)) best = { share, influence, pose };
  }
  if (!best) return {};
  return { pose: { ...best.pose, share: Math.min(1, apply(plan, 'pose', best.influence, best.share)) } };
}

/** What is wrong with the shapes of a request at its size. */
export function shapeRemarks(
  { influences, width, height }: RenderRequest,
  loaded: readonly LoadedPicture[],
): InfluenceRemark[] {
  return loaded.flatMap(({ influence: k, picture }): InfluenceRemark[] => {
    const { gives, id: influence } = influences[k];
    if (gives !== 'shape') return [];
    const faults = shapeFaults(picture, width, height);
    if (faults.grey > TONED) return [{ influence, kind: 'toned-shape' as const }];
    return [
      ...(faults.touchesEdge ? [{ influence, kind: 'shape-at-edge' as const }] : []),
      ...(faults.hairlines > THIN ? [{ influence, kind: 'thin-shape' as const }] : []),
    ];
  });
}

/**
 * What references do to a painted stage before looks are laid over it: masses of layouts, backdrops, things, silhouettes, in
 * this order. The result does the same to any picture of the stage's size; `labels` is changed where things are set.
 */
export function stageChanges(
  request: RenderRequest,
  stage: Pick<Stage, 'labels' | 'figures'> & { readonly depth: () => Uint8Array },
  hints: LayoutHints,
  plan: SynthesisPlan,
  loaded: readonly LoadedPicture[],
  checkpoint: () => void,
): ((picture: Picture) => Picture)[] {
  const { influences, width: w, height: h, seed, prompt } = request;
  const shareOf = (p: LoadedPicture, shares: readonly number[]) => shares[p.influence] * p.part;
  const identityOf = (p: LoadedPicture) => apply(plan, 'identity', p.influence, shareOf(p, plan.identity));
  const layoutOf = (p: LoadedPicture) => apply(plan, 'layout', p.influence, shareOf(p, plan.layout));
  const giving = (gives: string, shares: readonly number[]) =>
    loaded.filter((p) => influences[p.influence].gives === gives && shareOf(p, shares) > 0.005);
  const changes: ((picture: Picture) => Picture)[] = [];
  // a toned drawing is no silhouette: it serves as a layout
  const shapes = giving('shape', plan.layout);
  const toned = shapes.filter((p) => shapeFaults(p.picture, 128, 128).grey > TONED);
  const layouts = giving('layout', plan.layout);
  const masses = [...layouts.filter((p) => !p.told.layout), ...toned].map((p) => ({
    picture: p.picture,
    share: layoutOf(p),
  }));
  // the same changes are made to the stage in another medium: what was painted there is what was painted at first
  const mapped = { ...stage, labels: stage.labels.slice(), shown: stage.labels, prompt, seed };
  for (const p of layouts) {
    const map = p.told.layout;
    if (map) changes.push((picture) => arrangeByMap(picture, mapped, map, p.picture, layoutOf(p), checkpoint));
  }
  if (masses.length)
    changes.push((picture) =>
      rearrange(picture, {
        labels: stage.labels,
        figures: stage.figures,
        pulls: masses,
        over: plan.layoutOver,
        seed,
        checkpoint,
      }),
    );
  for (const p of giving('place', plan.layout)) {
    const person = p.told.joints ? subjectOf(p.picture, p.told) : undefined;
    const hold = holdOf(stage.labels, stage.figures, w, h);
    const backdrop = backdropOf(p.picture, w, h, hints.horizon?.at ?? 0.5, person);
    changes.push((picture) => setBefore(picture, hold, backdrop, layoutOf(p)));
  }
  for (const p of giving('thing', plan.identity)) {
    const found = subjectOf(p.picture, p.told);
    if (!found) continue;
    const cut = { picture: p.picture, alpha: subjectAlpha(p.picture, found.box), box: found.box };
    changes.push((picture) => setThing(picture, stage.labels, cut, identityOf(p), stage.figures));
  }
  for (const p of shapes.filter((one) => !toned.includes(one))) {
    const mask = silhouette(p.picture, w, h);
    changes.push((picture) => fillShape(picture, mask, layoutOf(p), influences[p.influence].fill === 'around'));
  }
  return changes;
}
