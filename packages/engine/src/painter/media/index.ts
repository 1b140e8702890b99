import type { Canvas } from '@napi-rs/canvas';
import { colourDistance, type Medium, type NamedColour } from '@urbild/core';
import type { Scene } from '../scene/scene';
import { CHARCOAL } from './charcoal';
import { CYANOTYPE } from './cyanotype';
import { EMBROIDERY } from './embroidery';
import { GOUACHE } from './gouache';
import { IMPASTO } from './impasto';
import { INK_WASH } from './inkWash';
import { LINOCUT } from './linocut';
import type { MediumKind, MediumPalette } from './palettes';
import { PAPER_CUT } from './paperCut';
import { PASTEL } from './pastel';
import { PENCIL } from './pencil';
import { SCREEN_PRINT } from './screenPrint';
import { STAINED_GLASS } from './stainedGlass';
import { WOODBLOCK } from './woodblock';

export type { MediumPalette } from './palettes';

/** Every medium: one file and one line each. */
const KINDS: Readonly<Record<Medium, MediumKind>> = {
  gouache: GOUACHE,
  'ink wash': INK_WASH,
  linocut: LINOCUT,
  pastel: PASTEL,
  'paper-cut': PAPER_CUT,
  woodblock: WOODBLOCK,
  embroidery: EMBROIDERY,
  cyanotype: CYANOTYPE,
  'screen print': SCREEN_PRINT,
  impasto: IMPASTO,
  charcoal: CHARCOAL,
  pencil: PENCIL,
  'stained glass': STAINED_GLASS,
};

/** The palettes of every medium by name; the first one is the usual. */
export const PALETTES = Object.fromEntries(
  Object.entries(KINDS).map(([medium, { palettes }]) => [medium, palettes]),
) as Readonly<Record<Medium, MediumKind['palettes']>>;

/**
 * The palette of a medium: the one of that name, or one of the colours that the words name with the medium, or the usual one.
 */
export function paletteFor(medium: Medium, name?: string, inks: readonly NamedColour[] = []): MediumPalette {
  const { palettes, ofInks } = KINDS[medium];
  const [usual] = Object.values(palettes);
  if (name && palettes[name]) return palettes[name];
  if (!inks.length) return usual;
  if (ofInks)
    return ofInks(
      usual,
      inks.map((i) => i.lch),
    );
  const distance = (p: MediumPalette) => colourDistance(p.tone ?? p.key, inks[0].lch);
  return Object.values(palettes).reduce((best, p) => (distance(p) < distance(best) ? p : best));
}

/** Renders a scene in a medium; the canvas has the scene's size. */
export function renderScene(
  scene: Scene,
  medium: Medium,
  palette: MediumPalette = paletteFor(medium),
  checkpoint: () => void = () => {},
): Canvas {
  return new KINDS[medium].renderer(scene, palette).render(checkpoint);
}
