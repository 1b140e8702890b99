import { levelOf, type Picture } from '@urbild/core';
import type { RequestPicture } from '../contract/request';
import { arrangeByMap } from '../staging/arrangeByMap';
import { horizonOf, PLAN_SIDE } from '../understand/horizon';
import { placesOfPlan } from '../understand/placesOfPlan';
import { subjectOf, type FoundSubject } from '../understand/subject';
import type { ChangedStage, GiveAction, Pull, StageChange } from './action';

/** Where a layout has its subject: what a plan names, or whoever was found in it; a map of distances tells nothing of it. */
function placeOfSubject(told: RequestPicture, picture: Picture): FoundSubject | undefined {
  if (told.layout) {
    const { somebody } = told.layout.read === 'areas' ? placesOfPlan(levelOf(picture, PLAN_SIDE), told.layout) : {};
    return somebody && { box: somebody, confidence: 1 };
  }
  return told.joints || told.face ? subjectOf(picture, told) : undefined;
}

/** What maps say, one after the other. */
function changes(pulls: readonly Pull[], stage: ChangedStage): StageChange[] {
  const { figures, mapped, checkpoint } = stage;
  const { prompt, seed } = stage.request;
  // the same changes are made to the stage in another medium: what was painted there is what was painted at first
  const painted = { ...mapped, figures, depth: stage.depth, prompt, seed };
  return pulls.flatMap(({ told: { layout }, picture: drawn, share }): StageChange[] =>
    layout ? [(picture) => arrangeByMap(picture, painted, layout, drawn, share(), checkpoint)] : [],
  );
}

export const layout: GiveAction = {
  horizon: horizonOf,
  subject: placeOfSubject,
  areas: (told, pull) => (told.layout ? undefined : { weight: pull, from: 0.12, itself: false }),
  changesBy: 'layout',
  changes,
};
