import { give, partOfGive, poseOf, type Joints, type Picture, type SceneBrief, type TraitSheet } from '@urbild/core';
import type { RenderRequest, RequestInfluence } from '../contract/request';
import type { InfluenceRemark } from '../contract/result';
import type { Environment } from '../painter/light/environment';
import type { LayoutHints } from '../painter/places';
import { lightOfBrief } from '../staging/lightOfBrief';
import { mixLight } from '../staging/light';
import { somebodyIn } from '../understand/somebodyIn';
import { subjectOf } from '../understand/subject';
import { jointsOfFigure } from '../understand/lines/figureLines';
import type { SeenPicture } from '../understand/readPicture';
import { apply } from '../synthesis/applied';
import type { SynthesisPlan } from '../synthesis/plan';
import type { LoadedPicture } from './action';
import { areasOf, fitTo } from './areas';
import { ACTIONS } from './index';
import { seenReference } from './seenReference';
import { decideIdentities, sheetOf, type Identities } from './identities';

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

/** What the references of a request say to the painter about layout, pose, light and people. */
export function directPainter(
  request: RenderRequest,
  brief: SceneBrief,
  plan: SynthesisPlan,
  loaded: readonly LoadedPicture[],
): Direction {
  const { influences } = request;
  const sheets = sheetsOf(influences, loaded);
  const pose = poseHint(loaded, plan);
  const areas = areasHint(loaded, request, plan);
  const identities = decideIdentities(brief, request, sheets);
  const empty = influences.filter((i, k) => {
    const own = loaded.filter((p) => p.influence === k);
    const { nothingIn, needsPose } = ACTIONS[i.gives];
    return (own.length && nothingIn?.(own, sheets.get(i.id))) || (needsPose && pose.without.has(k));
  });
  return {
    hints: {
      ...horizonHint(loaded, influences, plan),
      ...subjectHint(loaded, influences, plan),
      ...areas,
      ...pose.hint,
    },
    light: lightOf(brief, loaded, influences, plan),
    identities,
    sheets,
    remarks: [
      ...empty.map(({ id }) => ({ influence: id, kind: 'nothing-to-give' as const })),
      ...identities.idle.map((influence) => ({ influence, kind: 'nobody-to-take' as const })),
    ],
  };
}

/** What is known of whoever is shown by an influence that carries something of somebody, by its id. */
function sheetsOf(
  influences: readonly RequestInfluence[],
  loaded: readonly LoadedPicture[],
): ReadonlyMap<string, TraitSheet> {
  const pictures = new Map(loaded.map((p) => [p.told.content, p.picture]));
  const carriers = influences.filter((i, k) => give(i.gives).parts.length > 0 && loaded.some((p) => p.influence === k));
  return new Map(carriers.map((i) => [i.id, sheetOf(i, pictures)]));
}

/** The light of the words, on the way to that of each reference in turn. */
function lightOf(
  brief: SceneBrief,
  loaded: readonly LoadedPicture[],
  influences: readonly RequestInfluence[],
  plan: SynthesisPlan,
): Environment {
  let light = lightOfBrief(brief);
  for (const { influence, part, picture } of loaded) {
    const own = ACTIONS[influences[influence].gives].light;
    const pull = plan.colour[influence] * part;
    const share = partOfGive('light', 'colour', pull);
    if (!own || share <= 0) continue;
    apply(plan, 'colour', influence, pull);
    light = mixLight(light, own(picture, brief), share);
  }
  return light;
}

function horizonHint(
  loaded: readonly LoadedPicture[],
  influences: readonly RequestInfluence[],
  plan: SynthesisPlan,
): Pick<LayoutHints, 'horizon'> {
  let share = 0;
  let at = 0;
  for (const { influence, part, told, picture } of loaded) {
    const pull = plan.layout[influence] * part;
    const horizon = pull > 0 ? ACTIONS[influences[influence].gives].horizon?.(told, picture) : undefined;
    if (!horizon) continue;
    apply(plan, 'layout', influence, pull);
    share += pull * horizon.confidence;
    at += pull * horizon.confidence * horizon.at;
  }
  return share > 0 ? { horizon: { at: at / share, share: Math.min(1, share) } } : {};
}

function subjectHint(
  loaded: readonly LoadedPicture[],
  influences: readonly RequestInfluence[],
  plan: SynthesisPlan,
): Pick<LayoutHints, 'subject'> {
  let share = 0;
  const sum = { x: 0, y: 0, height: 0 };
  for (const { influence, part, told, picture } of loaded) {
    const pull = plan.layout[influence] * part;
    const found = pull > 0 ? ACTIONS[influences[influence].gives].subject?.(told, picture) : undefined;
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

/** The areas of the picture that pulls most, and its figure of lines: two arrangements cannot be mixed into a third. */
function areasHint(
  loaded: readonly LoadedPicture[],
  { influences, width, height }: RenderRequest,
  plan: SynthesisPlan,
): Pick<LayoutHints, 'areas' | 'horizon' | 'subject' | 'pose'> {
  const pulls = loaded.flatMap((p) => {
    const pull = plan.layout[p.influence] * plan.layoutOver;
    const { gives } = influences[p.influence];
    const wish = pull > 0 ? ACTIONS[ACTIONS[gives].servesAs?.(p.picture) ?? gives].areas?.(p.told, pull) : undefined;
    return wish ? [{ ...p, wish }] : [];
  });
  const strongest = pulls.reduce<(typeof pulls)[number] | undefined>(
    (best, p) => (p.wish.weight * p.part > (best ? best.wish.weight * best.part : 0) ? p : best),
    undefined,
  );
  if (!strongest) return {};
  const { picture, told, wish } = strongest;
  const seen = seenReference(strongest);
  const known = told.joints ? subjectOf(picture, told)?.box : undefined;
  const areas = areasOf(seen, wish, { width, height, somebody: known });
  if (!areas) return {};
  apply(plan, 'layout', strongest.influence, plan.layout[strongest.influence]);
  const { share, horizon } = areas;
  // a place is where others stand, not how
  const posed = influences[strongest.influence].gives !== 'place';
  const joints = posed && !told.joints ? figureIn(seen) : undefined;
  const pose = joints && poseOf(joints, aspectOf(picture));
  return {
    areas,
    ...(told.horizon === undefined && horizon !== undefined && { horizon: { at: horizon, share } }),
    ...(posed && !told.joints && subjectIn(seen, { width, height }, share)),
    ...(pose && { pose: { ...pose, share } }),
  };
}

/** Where whoever is seen in a picture stands, as a place of the picture that it covers. */
function subjectIn(
  seen: SeenPicture,
  frame: { width: number; height: number },
  share: number,
): Pick<LayoutHints, 'subject'> {
  const box = somebodyIn(seen);
  if (!box) return {};
  const fit = fitTo(frame, seen.width, seen.height);
  const [x, y] = fit((box.left + box.right) / 2, box.bottom);
  return { subject: { x, y, height: y - fit(0.5, box.top)[1], share } };
}

/** The pose of the strongest picture that has one, and the influences of whose pictures one has none. */
function poseHint(
  loaded: readonly LoadedPicture[],
  plan: SynthesisPlan,
): { readonly hint: Pick<LayoutHints, 'pose'>; readonly without: ReadonlySet<number> } {
  const without = new Set<number>();
  let best: { share: number; influence: number; pose: NonNullable<ReturnType<typeof poseOf>> } | undefined;
  for (const { influence, part, told, picture } of loaded) {
    const share = plan.pose[influence] * part;
    if (share <= 0) continue;
    const joints = told.joints ?? figureIn(seenReference({ told, picture }));
    const pose = joints && poseOf(joints, aspectOf(picture));
    if (!pose) without.add(influence);
    // two poses cannot be mixed into a third: the strongest one counts, as far as its own share goes
    else if (share > (best?.share ?? 0)) best = { share, influence, pose };
  }
  if (!best) return { hint: {}, without };
  const share = Math.min(1, apply(plan, 'pose', best.influence, best.share));
  return { hint: { pose: { ...best.pose, share } }, without };
}

/** The joints of a figure of lines, where a picture has one. */
function figureIn({ figures, width, height }: SeenPicture): Joints | undefined {
  const [largest] = [...figures].sort((a, b) => b.radius - a.radius);
  return largest && jointsOfFigure(largest, width, height);
}

const aspectOf = ({ width, height }: Picture): number => width / height;
