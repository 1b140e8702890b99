import type { GiveAction } from './action';

export const character: GiveAction = { nothingIn: (_, sheet) => !Object.keys(sheet ?? {}).length };
