import type { Canvas } from '@napi-rs/canvas';
import { mixLch, type Lch } from '@urbild/core';
import type { Scene } from '../scene/scene';

/** The colours of a medium: what it is made on, its darkest ink, one between, one for accents, and a tone over everything. */
export interface MediumPalette {
  readonly paper: Lch;
  readonly key: Lch;
  readonly middle: Lch;
  readonly accent?: Lch;
  /** A stain over the whole picture, for media in full colour. */
  readonly tone?: Lch;
  /** Parts of the picture that are printed in the key and in the middle ink, 0..1; about a third each when absent. */
  readonly parts?: readonly [key: number, middle: number];
  /** The picture runs over the edge: no border of bare paper or cloth. */
  readonly bleed?: boolean;
}

/** A medium: how it draws, and in what colours. */
export interface MediumKind {
  readonly renderer: new (scene: Scene, palette: MediumPalette) => { render(checkpoint: () => void): Canvas };
  /** By name; the first one is the usual. */
  readonly palettes: Readonly<Record<string, MediumPalette>>;
  /** Its inks made of colours that words name with the medium, one at least; the palette with the nearest key when absent. */
  readonly ofInks?: (usual: MediumPalette, inks: readonly Lch[]) => MediumPalette;
}

export const WHITE: Lch = [0.965, 0.018, 85];
export const CREAM: Lch = [0.955, 0.025, 88];
const DARK: Lch = [0.22, 0.03, 260];

/** A paper with one ink and what lies between them. */
export const plain = (paper: Lch, key = DARK): MediumPalette => ({ paper, key, middle: mixLch(paper, key, 0.45) });
const toned = (tone: Lch): MediumPalette => ({ ...plain(WHITE), tone });

/** The palettes of media in full colour. */
export const FULL = {
  plain: plain(WHITE),
  warm: toned([0.72, 0.11, 65]),
  cool: toned([0.66, 0.08, 240]),
  faded: toned([0.8, 0.03, 90]),
};

/** A colour dark enough to print lines in. */
export const deep = ([L, C, h]: Lch): Lch => [Math.min(L, 0.5), C, h];
