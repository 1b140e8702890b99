import type { GiveAction } from './action';

export const face: GiveAction = { nothingIn: (_, sheet) => !sheet?.skin && !sheet?.['face width'] };
