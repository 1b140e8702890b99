import type { Picture } from '@urbild/core';
import type { InfluenceRemark } from '../contract/result';
import { fillShape, shapeFaults, silhouette } from '../staging/silhouette';
import type { ChangedStage, GiveAction, Pull, StageChange } from './action';

/** Part of a picture that may be neither dark nor light in a silhouette. */
const TONED = 0.2;
/** Part of a silhouette that may be thinner than 2 px. */
const THIN = 0.15;
/** Side at which it is judged whether a picture is a silhouette at all, px. */
const SIDE = 128;

/** What is wrong with the silhouette at the size of the request. */
function remarks(picture: Picture, width: number, height: number): InfluenceRemark['kind'][] {
  const faults = shapeFaults(picture, width, height);
  if (faults.grey > TONED) return ['toned-shape'];
  return [
    ...(faults.touchesEdge ? (['shape-at-edge'] as const) : []),
    ...(faults.hairlines > THIN ? (['thin-shape'] as const) : []),
  ];
}

/** Fills the silhouette, or what is around it. */
const changes = (pulls: readonly Pull[], { request: { width, height } }: ChangedStage): StageChange[] =>
  pulls.map(({ picture: reference, share, by }) => {
    const mask = silhouette(reference, width, height);
    return (picture) => fillShape(picture, mask, share(), by.fill === 'around');
  });

export const shape: GiveAction = {
  remarks,
  // a toned drawing is no silhouette
  servesAs: (picture) => (shapeFaults(picture, SIDE, SIDE).grey > TONED ? 'layout' : undefined),
  changesBy: 'layout',
  changes,
};
