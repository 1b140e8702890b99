import type { Gives } from '@urbild/core';
import type { RenderRequest } from '../contract/request';
import type { InfluenceRemark } from '../contract/result';
import type { Stage } from '../painter/paint';
import { apply } from '../synthesis/applied';
import type { SynthesisPlan } from '../synthesis/plan';
import type { LoadedPicture, Pull, StageChange } from './action';
import { ACTIONS } from './index';

/** What changes a stage, in the order in which it is done. */
const ORDER: readonly Gives[] = ['layout', 'thing', 'shape'];
/** Shares that nobody would see. */
const UNSEEN = 0.005;

/** What is wrong with the pictures of a request for what they are to give, at its size. */
export const pictureRemarks = (
  { influences, width, height }: RenderRequest,
  loaded: readonly LoadedPicture[],
): InfluenceRemark[] =>
  loaded.flatMap(({ influence, picture }) => {
    const { gives, id } = influences[influence];
    return (ACTIONS[gives].remarks?.(picture, width, height) ?? []).map((kind) => ({ influence: id, kind }));
  });

/** What is known when references change a stage. */
export interface StageContext {
  readonly request: RenderRequest;
  readonly plan: SynthesisPlan;
  /** Throws to stop. */
  readonly checkpoint: () => void;
}

/**
 * What references do to a painted stage before looks are laid over it: what maps say, things, silhouettes, in
 * this order. The result does the same to any picture of the stage's size; `labels` is changed where things are set.
 */
export function stageChanges(
  { labels, figures, depth }: Pick<Stage, 'labels' | 'figures'> & { readonly depth: () => Uint8Array },
  loaded: readonly LoadedPicture[],
  { request, plan, checkpoint }: StageContext,
): StageChange[] {
  const mapped = { labels: labels.slice(), shown: labels };
  const stage = { request, labels, mapped, figures, depth, checkpoint };
  const pulls = loaded.flatMap((p) => pullsOf(p, request, plan));
  return ORDER.flatMap((gives) => {
    const own = pulls.filter((p) => p.as === gives);
    return own.length ? (ACTIONS[gives].changes?.(own, stage) ?? []) : [];
  });
}

/** A picture as it pulls at the stage; nothing where its give does not, or does not to be seen. */
function pullsOf(p: LoadedPicture, { influences }: RenderRequest, plan: SynthesisPlan): (Pull & { as: Gives })[] {
  const by = influences[p.influence];
  const { changesBy: channel, servesAs } = ACTIONS[by.gives];
  if (!channel) return [];
  const pull = plan[channel][p.influence] * p.part;
  if (pull <= UNSEEN) return [];
  return [{ ...p, by, as: servesAs?.(p.picture) ?? by.gives, share: () => apply(plan, channel, p.influence, pull) }];
}
