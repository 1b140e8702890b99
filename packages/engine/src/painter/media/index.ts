import type { Canvas } from '@napi-rs/canvas';
import type { Medium } from '@urbild/core';
import type { Scene } from '../stage/scene';
import { GouacheRenderer } from './gouache';
import { InkWashRenderer } from './inkWash';
import { LinocutRenderer, type LinocutInks } from './linocut';
import { PaperCutRenderer } from './paperCut';
import { PastelRenderer } from './pastel';
import { WoodblockRenderer } from './woodblock';

/** Colour variants of the linocut. */
export const LINOCUT_INKS: Readonly<Record<'green' | 'blue' | 'red', LinocutInks>> = {
  green: { paper: [0.955, 0.025, 88], middle: [0.74, 0.05, 150], key: [0.28, 0.06, 170], accent: [0.6, 0.17, 30] },
  blue: { paper: [0.955, 0.025, 88], middle: [0.66, 0.09, 225], key: [0.25, 0.055, 262], accent: [0.62, 0.17, 35] },
  red: { paper: [0.95, 0.03, 80], middle: [0.62, 0.16, 32], key: [0.24, 0.04, 30] },
};

/** Renders a scene in a medium; the canvas has the scene's size. Linocuts print in `inks`. */
export function renderScene(
  scene: Scene,
  medium: Medium,
  inks: LinocutInks = LINOCUT_INKS.blue,
  checkpoint: () => void = () => {},
): Canvas {
  switch (medium) {
    case 'gouache':
      return new GouacheRenderer(scene).render(checkpoint);
    case 'ink wash':
      return new InkWashRenderer(scene).render(checkpoint);
    case 'linocut':
      return new LinocutRenderer(scene, inks).render(checkpoint);
    case 'pastel':
      return new PastelRenderer(scene).render(checkpoint);
    case 'paper-cut':
      return new PaperCutRenderer(scene).render(checkpoint);
    case 'woodblock':
      return new WoodblockRenderer(scene).render(checkpoint);
    default:
      return new GouacheRenderer(scene).render(checkpoint);
  }
}
