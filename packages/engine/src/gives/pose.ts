import type { GiveAction } from './action';

export const pose: GiveAction = { needsPose: true };
