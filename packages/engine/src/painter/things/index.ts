import type { Lch } from '@urbild/core';
import { Kit, type KitOptions } from '../scene/kit';
import type { Scene } from '../scene/scene';
import { CONTAINERS } from './containers';
import { HELD } from './held';
import { HOME } from './home';
import { LANDMARK_THINGS } from './landmarks';
import { GARDEN } from './garden';
import { STREET } from './street';
import type { ThingDrawing } from './thing';

/** Every thing, by the name in the vocabulary. */
export const THINGS: Readonly<Record<string, ThingDrawing>> = {
  ...CONTAINERS,
  ...HOME,
  ...HELD,
  ...GARDEN,
  ...STREET,
  ...LANDMARK_THINGS,
};

/** Where and how a thing is painted; `size` px is its height. */
export interface ThingPlace {
  readonly x: number;
  readonly y: number;
  readonly size: number;
  readonly depth: number;
  readonly colour?: Lch;
  readonly options?: KitOptions;
}

/** Paints a thing; one that the painter does not know is left out. */
export function paintThing(scene: Scene, thing: string, { x, y, size, depth, colour, options }: ThingPlace): void {
  if (!scene.allows(`thing: ${thing}`)) return;
  THINGS[thing]?.paint(new Kit(scene, x, y, size, depth, { keep: scene.light.figureKeep * 0.5, ...options }), colour);
}
