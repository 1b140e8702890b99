import type { Action, Lch } from '@urbild/core';
import { Kit } from '../scene/kit';
import type { Scene } from '../scene/scene';
import { gull, heron } from './birds';
import type { CreatureDrawing } from './creature';
import { FOWL } from './fowl';
import { MAMMALS } from './mammals';
import { SEA } from './sea';
import { SMALL } from './small';

/** Where and how a creature is painted. */
export interface CreaturePlace {
  /** Its feet (or water line, or middle in the air), px. */
  readonly x: number;
  readonly y: number;
  /** Height of a grown person's head there, px. */
  readonly head: number;
  readonly depth: number;
  readonly flip?: boolean;
  readonly colour?: Lch;
  readonly action?: Action;
  readonly scarf?: Lch;
}

const HERON: CreatureDrawing = { height: 3.5, width: 0.8, lives: 'ground', paint: () => undefined };
const GULL: CreatureDrawing = { height: 0.5, width: 2, lives: 'air', paint: () => undefined };

/** Every creature, by the species of the vocabulary. */
export const CREATURES: Readonly<Record<string, CreatureDrawing>> = {
  heron: HERON,
  gull: GULL,
  ...MAMMALS,
  ...FOWL,
  ...SEA,
  ...SMALL,
};

/** Paints a creature; one that the painter does not know is left out. */
export function paintCreature(scene: Scene, species: string, place: CreaturePlace): void {
  const drawing = CREATURES[species];
  if (!drawing) return;
  const { x, y, head, depth, flip, colour, action, scarf } = place;
  const size = head * drawing.height;
  if (species === 'heron') return heron(scene, x, y, size, depth, { flip, scarf: !!scarf, colour });
  if (species === 'gull')
    return gull(
      scene,
      x,
      y,
      head * 0.75,
      colour ?? (scene.light.sky[1][0] > 0.6 ? [0.45, 0.05, 285] : [0.9, 0.01, 90]),
      depth,
    );
  drawing.paint(new Kit(scene, x, y, size, depth, { flip, keep: scene.light.figureKeep * 0.7 }), {
    colour,
    action,
    scarf,
  });
}
