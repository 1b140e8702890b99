import { levelOf, type Picture } from '@urbild/core';
import type { RequestPicture } from '../contract/request';
import { arrangeByMap } from '../staging/arrangeByMap';
import { rearrange } from '../staging/masses';
import { horizonOf, PLAN_SIDE } from '../understand/horizon';
import { placesOfPlan } from '../understand/placesOfPlan';
import { subjectOf, type FoundSubject } from '../understand/subject';
import type { ChangedStage, GiveAction, Pull, StageChange } from './action';

/** Where a layout has its subject: what a plan names, or what is found; a map of distances tells nothing of it. */
function placeOfSubject(told: RequestPicture, picture: Picture): FoundSubject | undefined {
  if (!told.layout) return subjectOf(picture, told);
  const box =
    told.layout.read === 'areas' ? placesOfPlan(levelOf(picture, PLAN_SIDE), told.layout).somebody : undefined;
  return box && { box, confidence: 1 };
}

/** What maps say comes first, one after the other; the masses of all other pictures are taken over together. */
function changes(pulls: readonly Pull[], stage: ChangedStage): StageChange[] {
  const { labels, figures, mapped, layoutOver: over, checkpoint } = stage;
  const { prompt, seed } = stage.request;
  // the same changes are made to the stage in another medium: what was painted there is what was painted at first
  const painted = { ...mapped, figures, depth: stage.depth, prompt, seed };
  const byMap = pulls.flatMap(({ told: { layout }, picture: drawn, share }): StageChange[] =>
    layout ? [(picture) => arrangeByMap(picture, painted, layout, drawn, share(), checkpoint)] : [],
  );
  const masses = pulls.filter((p) => !p.told.layout).map(({ picture, share }) => ({ picture, share: share() }));
  if (!masses.length) return byMap;
  return [...byMap, (picture) => rearrange(picture, { labels, figures, pulls: masses, over, seed, checkpoint })];
}

export const layout: GiveAction = { horizon: horizonOf, subject: placeOfSubject, changesBy: 'layout', changes };
