import type { GiveAction } from './action';

/** A palette is laid over the painted stage: its colours act in the synthesis, by their share. */
export const palette: GiveAction = {};
