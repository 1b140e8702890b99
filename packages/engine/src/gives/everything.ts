import { give } from '@urbild/core';
import { horizonOf } from '../understand/horizon';
import type { GiveAction } from './action';

/** What it pulls on the layout at weight 1. */
const WHOLE = give('everything').factors.layout ?? 1;
/** From this weight on the reference is drawn by itself. */
const ALONE = 0.9;

export const everything: GiveAction = {
  horizon: horizonOf,
  areas: (_, pull) => ({ weight: pull / WHOLE, itself: true, aloneFrom: ALONE }),
};
