import type { Canvas } from '@napi-rs/canvas';
import type { Medium } from '@urbild/core';
import type { Scene } from '../scene/scene';
import { CharcoalRenderer } from './charcoal';
import { CyanotypeRenderer } from './cyanotype';
import { EmbroideryRenderer } from './embroidery';
import { GouacheRenderer } from './gouache';
import { ImpastoRenderer } from './impasto';
import { InkWashRenderer } from './inkWash';
import { LinocutRenderer } from './linocut';
import { paletteFor, type MediumPalette } from './palettes';
import { PaperCutRenderer } from './paperCut';
import { PastelRenderer } from './pastel';
import { PencilRenderer } from './pencil';
import { ScreenPrintRenderer } from './screenPrint';
import { StainedGlassRenderer } from './stainedGlass';
import { WoodblockRenderer } from './woodblock';

export { paletteFor, PALETTES, type MediumPalette } from './palettes';

/** The renderer of every medium: one file and one line each. */
const RENDERERS: Readonly<Record<Medium, new (scene: Scene, palette: MediumPalette) => GouacheRenderer>> = {
  gouache: GouacheRenderer,
  'ink wash': InkWashRenderer,
  linocut: LinocutRenderer,
  pastel: PastelRenderer,
  'paper-cut': PaperCutRenderer,
  woodblock: WoodblockRenderer,
  embroidery: EmbroideryRenderer,
  cyanotype: CyanotypeRenderer,
  'screen print': ScreenPrintRenderer,
  impasto: ImpastoRenderer,
  charcoal: CharcoalRenderer,
  pencil: PencilRenderer,
  'stained glass': StainedGlassRenderer,
};

/** Renders a scene in a medium; the canvas has the scene's size. */
export function renderScene(
  scene: Scene,
  medium: Medium,
  palette: MediumPalette = paletteFor(medium),
  checkpoint: () => void = () => {},
): Canvas {
  return new RENDERERS[medium](scene, palette).render(checkpoint);
}
