import type { GiveAction } from './action';

export const outfit: GiveAction = { nothingIn: (_, sheet) => !(sheet?.upper ?? sheet?.lower ?? sheet?.headwear) };
