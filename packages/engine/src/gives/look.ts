import type { GiveAction } from './action';

/** A look is laid over the painted stage: its colours and its surface act in the synthesis, by their shares. */
export const look: GiveAction = {};
