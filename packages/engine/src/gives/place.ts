import { horizonOf } from '../understand/horizon';
import type { GiveAction } from './action';

export const place: GiveAction = {
  horizon: horizonOf,
  areas: (_, pull) => ({ weight: pull, from: 0.12, itself: true }),
};
