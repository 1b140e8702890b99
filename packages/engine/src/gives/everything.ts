import { give } from '@urbild/core';
import { horizonOf } from '../understand/horizon';
import type { GiveAction } from './action';

/** What it pulls on the layout at weight 1. */
const WHOLE = give('everything').factors.layout ?? 1;
/** Below this weight it gives its colours, its light and its horizon alone. */
const FROM = 0.4;
/** From this weight on the reference is drawn by itself. */
const ALONE = 0.9;

export const everything: GiveAction = {
  horizon: horizonOf,
  areas: (_, pull) => ({ weight: pull / WHOLE, from: FROM, itself: true, aloneFrom: ALONE }),
};
